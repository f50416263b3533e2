<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\CoreCommand;
use App\Garage\Role;
use App\Models\Garage;
use App\Models\Membership;
use App\Models\User;
use App\People\AccountFields;
use App\People\Devices;
use App\People\GarageFields;
use App\People\PasswordRule;
use App\People\Passwords;
use App\People\Registration;
use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Words\Message;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Validator;
use Illuminate\Support\Str;

/** Manages accounts where there is no mail: add, list, password, remove. */
final class UserCommand extends CoreCommand
{
    private const ACTS = ['add', 'list', 'password', 'remove'];

    private const PASSWORD_LENGTH = 20;

    protected $signature = 'harmozon:user {act : add, list, password or remove} {email? : whose account}
        {--name= : add: how the person is called}
        {--garage= : add: the name of a garage made for them, or the id of one that is there}
        {--role=keeper : add: what they are in a garage that is there}
        {--currency=USD} {--units=metric} {--locale=en-GB} {--timezone=UTC} {--region= : north-america, europe, uk, china, japan, oceania or elsewhere; else guessed from time zone and locale}
        {--password-from-input : take the password from standard input; else one is made up and printed once}
        {--json : print JSON instead of a table}';

    protected $description = 'Add, list and remove accounts, and set passwords';

    protected function answer(): array
    {
        return match ($this->argument('act')) {
            'add' => $this->add(),
            'list' => ['users' => User::query()->get()->sortBy('email')->values()->map(self::told(...))->all()],
            'password' => $this->password(),
            'remove' => $this->remove(),
            default => throw FieldError::at('act', Message::of('console.user_acts', known: implode(', ', self::ACTS))),
        };
    }

    protected function describe(array $answer): void
    {
        $users = is_array($answer['users'] ?? null) ? $answer['users'] : [$answer];
        $this->tabulate(['e-mail', 'name', 'garages', 'as', 'ids'], array_map(static fn (array $u): array => [
            $u['email'], $u['name'], implode(', ', array_column($u['garages'], 'name')), implode(', ', array_column($u['garages'], 'role')), implode(', ', array_column($u['garages'], 'id')),
        ], $users));
        if (is_string($answer['password'] ?? null)) {
            $this->tell($this->voice()->say(Message::of('console.password', password: $answer['password'])));
        }
    }

    /** @return array<string, mixed> */
    private function add(): array
    {
        $registration = $this->laravel->make(Registration::class);
        $name = is_string($this->option('name')) ? $this->option('name') : Str::before($this->email(), '@');
        $this->mustHold(['email' => $this->email(), 'name' => $name], ['email' => AccountFields::email(), 'name' => AccountFields::name()]);
        $role = Role::tryFrom(is_string($this->option('role')) ? $this->option('role') : '') ?? throw FieldError::at('role', Message::of('console.user_roles', known: implode(', ', array_column(Role::cases(), 'value'))));
        $wanted = $this->option('garage');
        $known = is_string($wanted) ? Garage::query()->firstWhere('ulid', $wanted) : null;
        $fields = ['name' => is_string($wanted) ? $wanted : $name, 'currency' => $this->option('currency'), 'units' => $this->option('units'), 'locale' => $this->option('locale'), 'timezone' => $this->option('timezone'), ...($this->option('region') === null ? [] : ['region' => $this->option('region')])];
        $this->mustHold($fields, GarageFields::rules());
        [$password, $isMade] = $this->newPassword(['email' => $this->email(), 'name' => $name]);
        $user = DB::transaction(function () use ($registration, $name, $password, $known, $fields, $role): User {
            $user = $registration->account($name, $this->email(), $password);
            /** @var array{name: string, currency: string, units: string, locale: string, timezone: string, region?: string} $fields */
            $known === null ? $registration->garage($user, $fields) : $registration->join($user, $known, $role);

            return $user;
        });

        return [...self::told($user), ...($isMade ? ['password' => $password] : [])];
    }

    /** @return array<string, mixed> */
    private function password(): array
    {
        $user = $this->user();
        [$password, $isMade] = $this->newPassword(['email' => $user->email, 'name' => $user->name]);
        $this->laravel->make(Passwords::class)->set($user, $password);

        return [...self::told($user), ...($isMade ? ['password' => $password] : [])];
    }

    /** @return array<string, mixed> */
    private function remove(): array
    {
        $user = $this->user();
        $told = self::told($user);
        Devices::of($user)->signOutAll();
        $user->delete();

        return $told;
    }

    private function email(): string
    {
        $email = $this->argument('email');

        return is_string($email) ? (string) AccountFields::kept($email) : throw FieldError::at('email', Message::of('field.required'));
    }

    private function user(): User
    {
        return User::query()->firstWhere('email', $this->email()) ?? throw FieldError::at('email', Message::of('console.no_such_user', email: $this->email()));
    }

    /**
     * @param  array<string, string>  $typed  what it must not consist of
     * @return array{string, bool} and whether it was made up here
     */
    private function newPassword(array $typed): array
    {
        if ($this->option('password-from-input') !== true) {
            return [Str::password(self::PASSWORD_LENGTH, symbols: false), true];
        }
        $password = rtrim((string) stream_get_contents(STDIN), "\r\n");
        $this->mustHold(['password' => $password, ...$typed], ['password' => ['required', $this->laravel->make(PasswordRule::class)]]);

        return [$password, false];
    }

    /**
     * @param  array<string, mixed>  $typed
     * @param  array<string, list<mixed>>  $rules
     */
    private function mustHold(array $typed, array $rules): void
    {
        foreach (Validator::make($typed, $rules)->errors()->toArray() as $field => $problems) {
            throw FieldError::at((string) $field, Message::of('app.refused', why: lcfirst((string) $problems[0])));
        }
    }

    /** @return array{email: string, name: string, garages: list<array{id: string, name: string, role: string}>} */
    private static function told(User $user): array
    {
        $user->load('memberships.garage');

        return ['email' => $user->email, 'name' => $user->name, 'garages' => array_values($user->memberships->map(static fn (Membership $m): array => ['id' => $m->garage->ulid, 'name' => $m->garage->name, 'role' => $m->role->value])->all())];
    }
}
