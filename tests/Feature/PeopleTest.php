<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Garage\Role;
use App\Models\Garage;
use App\Models\Invitation;
use App\Models\Membership;
use App\Models\User;
use App\Models\Vehicle;
use App\People\Registration;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Contract;
use Tests\StartsFromSeed;
use Tests\TestCase;

/** Accounts that begin, people who come into a garage and go, and what each may do in it. */
final class PeopleTest extends TestCase
{
    use StartsFromSeed;

    private const GARAGE = ['name' => 'Wren and Daughter', 'currency' => 'EUR', 'units' => 'metric', 'locale' => 'en-NL', 'timezone' => 'Europe/Amsterdam'];

    private const WREN = ['name' => 'Ida Wren', 'email' => 'Ida@Wren.example', 'password' => 'seven swans a-swimming', 'garage' => self::GARAGE];

    public function test_the_first_account_is_made_beside_the_made_up_garage_and_registration_closes(): void
    {
        $this->demoUser();
        $this->get('/sign-in')->assertSee('name="harmozon-registration" content="first"', false);
        $response = $this->postJson('/api/accounts', self::WREN)->assertCreated()
            ->assertJsonPath('user.email', 'ida@wren.example')->assertJsonPath('garage.name', 'Wren and Daughter')->assertJsonPath('garage.timezone', 'Europe/Amsterdam')
            ->assertJsonPath('role', 'keeper')->assertJsonPath('may', ['record', 'edit', 'keep']);
        Contract::holds('POST', '/accounts', $response);
        $this->getJson('/api/garage')->assertOk()->assertJsonPath('vehicles', [])->assertJsonPath('places', []);
        self::assertTrue(password_verify(self::WREN['password'], User::query()->where('email', 'ida@wren.example')->firstOrFail()->password));

        $this->leave();
        $this->get('/sign-in')->assertSee('name="harmozon-registration" content="closed"', false);
        Contract::holds('POST', '/accounts', $this->postJson('/api/accounts', ['email' => 'other@wren.example'] + self::WREN)->assertForbidden());
        $this->assertDatabaseMissing('users', ['email' => 'other@wren.example']);

        config(['harmozon.open' => true]);
        $this->get('/sign-in')->assertSee('name="harmozon-registration" content="open"', false);
        $this->postJson('/api/accounts', ['email' => 'other@wren.example'] + self::WREN)->assertCreated();
    }

    /** Who knows no way in learns nothing of who has one. */
    public function test_a_closed_house_says_the_same_of_known_and_unknown_addresses(): void
    {
        $known = $this->person('somebody')->email;
        foreach (['/api/accounts', '/api/invitations/nothing/account'] as $door) {
            $answers = array_map(fn (array $changes): string => (string) $this->postJson($door, $changes + self::WREN)->getContent(), [[], ['email' => $known], ['email' => 'no address'], ['password' => 'short'], ['garage' => 'none']]);
            self::assertCount(1, array_unique($answers), implode("\n", $answers));
            $this->postJson($door, ['email' => $known] + self::WREN)->assertStatus($door === '/api/accounts' ? 403 : 404);
        }
    }

    /** @param  array<string, mixed>  $changes */
    #[DataProvider('refusals')]
    public function test_an_account_that_cannot_be_is_refused_by_its_field(array $changes, string $field, string $said): void
    {
        $this->person('somebody');
        config(['harmozon.open' => true]);
        $response = $this->postJson('/api/accounts', array_replace_recursive(self::WREN, $changes))->assertUnprocessable();

        self::assertStringContainsString($said, $response->json('errors')[$field][0] ?? $response->getContent());
        Contract::holds('POST', '/accounts', $response);
        self::assertSame([1, 0], [User::query()->count(), Garage::query()->count()]);
    }

    /** @return iterable<string, array{array<string, mixed>, string, string}> */
    public static function refusals(): iterable
    {
        yield 'no name' => [['name' => ''], 'name', 'required'];
        yield 'a list for a name' => [['name' => ['Ida']], 'name', 'string'];
        yield 'no address' => [['email' => 'ida'], 'email', 'valid email'];
        yield 'an address that somebody has' => [['email' => 'SOMEBODY@another.example'], 'email', 'taken'];
        yield 'an address of the made-up' => [['email' => 'puppet@Lanternfish.example'], 'email', 'must not end with'];
        yield 'eleven characters' => [['password' => 'seven swans'], 'password', 'at least 12 characters'];
        yield 'more than anybody types' => [['password' => str_repeat('swan ', 26)], 'password', 'at most 128'];
        yield 'a list for a password' => [['password' => ['a', 'b']], 'password', 'must be text'];
        yield 'one character' => [['password' => str_repeat('s', 14)], 'password', 'repeats itself'];
        yield 'a word over and over' => [['password' => 'swan7swan7swan7'], 'password', 'repeats itself'];
        yield 'one that is tried first' => [['password' => '1qaz2wsx3edc'], 'password', 'Many people use this'];
        yield 'the same with a year' => [['password' => 'Football12345678!'], 'password', 'Many people use this'];
        yield 'hardly more than the name' => [['name' => 'Idabella Wrenfield', 'password' => 'wrenfield1234'], 'password', 'little more than "Wrenfield"'];
        yield 'hardly more than the address' => [['email' => 'idabella@wren.example', 'password' => 'idabella-12!x'], 'password', 'little more than "idabella"'];
        yield 'the name of this' => [['password' => 'harmozon2026'], 'password', 'little more than "harmozon"'];
        yield 'a currency in words' => [['garage' => ['currency' => 'euro']], 'garage.currency', 'format'];
        yield 'other units' => [['garage' => ['units' => 'cubits']], 'garage.units', 'invalid'];
        yield 'a place nobody knows' => [['garage' => ['locale' => 'en-QQ']], 'garage.locale', 'locale'];
        yield 'a zone nobody knows' => [['garage' => ['timezone' => 'Moon/Tranquility']], 'garage.timezone', 'timezone'];
    }

    public function test_long_passwords_count_to_their_last_character(): void
    {
        $long = str_repeat('seven swans a-swimming ', 5).'🦢';
        $this->postJson('/api/accounts', ['password' => $long] + self::WREN)->assertCreated();
        $this->leave();

        $this->postJson('/api/sign-in', ['email' => 'ida@wren.example', 'password' => mb_substr($long, 0, -1).'x'])->assertUnprocessable();
        $this->postJson('/api/sign-in', ['email' => 'ida@wren.example', 'password' => $long])->assertOk();
    }

    public function test_an_invitation_works_once_within_seven_days(): void
    {
        $keeper = $this->keeper();
        $made = $this->actingAs($keeper)->postJson('/api/people/invitations', ['role' => 'driver', 'note' => 'Bo, the van'])->assertCreated();
        Contract::holds('POST', '/people/invitations', $made);
        $token = (string) parse_url((string) $made->json('link'), PHP_URL_FRAGMENT);
        self::assertSame(40, strlen($token));
        $this->assertDatabaseMissing('invitations', ['token_hash' => $token]);
        Contract::holds('GET', '/people', $this->getJson('/api/people')->assertOk()->assertJsonPath('invitations.0.note', 'Bo, the van')->assertJsonMissing(['link' => $made->json('link')]));

        $this->leave();
        Contract::holds('GET', '/invitations/{token}', $this->getJson("/api/invitations/{$token}")->assertOk()->assertJsonPath('garage', 'Rook yard')->assertJsonPath('role', 'driver'));
        $bo = ['name' => 'Bo', 'email' => 'bo@rook.example', 'password' => 'eleven pipers piping'];
        Contract::holds('POST', '/invitations/{token}/account', $this->postJson("/api/invitations/{$token}/account", $bo)->assertCreated()->assertJsonPath('garage.name', 'Rook yard')->assertJsonPath('may', ['record', 'edit']));

        $this->leave();
        $this->getJson("/api/invitations/{$token}")->assertNotFound();
        Contract::holds('POST', '/invitations/{token}/account', $this->postJson("/api/invitations/{$token}/account", ['email' => 'second@rook.example'] + $bo)->assertNotFound());
        $this->assertDatabaseMissing('users', ['email' => 'second@rook.example']);

        $late = Invitation::newToken();
        $invitation = Invitation::query()->create(['garage_id' => $keeper->garage_id, 'role' => Role::Reader, 'note' => '', 'token_hash' => Invitation::hashOf($late), 'expires_at' => now()->addDays(7)]);
        $this->travelTo(now()->addDays(7)->addSecond());
        $this->getJson("/api/invitations/{$late}")->assertNotFound();
        self::assertFalse($this->app->make(Registration::class)->accept($invitation, $keeper));
        self::assertNull($this->app->make(Registration::class)->joinAnew($invitation, ['Late', 'late@rook.example', self::WREN['password']]));
        $this->assertDatabaseMissing('users', ['email' => 'late@rook.example']);
        $this->travelBack();
        $this->getJson("/api/invitations/{$late}")->assertOk();
        $this->actingAs($keeper)->deleteJson("/api/people/invitations/{$invitation->ulid}")->assertNoContent();
        $this->getJson("/api/invitations/{$late}")->assertNotFound();
    }

    public function test_somebody_with_an_account_joins_stands_there_and_goes_back(): void
    {
        $keeper = $this->keeper();
        $guest = $this->stranger();
        $token = $this->invitation($keeper, Role::Reader);

        $joined = $this->actingAs($guest)->postJson("/api/invitations/{$token}/join")->assertOk()->assertJsonPath('garage.name', 'Rook yard')->assertJsonPath('role', 'reader')->assertJsonCount(2, 'garages');
        Contract::holds('POST', '/invitations/{token}/join', $joined);
        Contract::holds('POST', '/invitations/{token}/join', $this->postJson("/api/invitations/{$token}/join")->assertNotFound());
        $own = collect($joined->json('garages'))->firstWhere('name', 'Another garage')['id'];
        Contract::holds('PUT', '/garages/{garage}/stand', $this->putJson("/api/garages/{$own}/stand")->assertOk()->assertJsonPath('garage.name', 'Another garage')->assertJsonPath('role', 'keeper'));
        Contract::holds('PUT', '/garages/{garage}/stand', $this->putJson('/api/garages/'.Garage::query()->create(['name' => 'Elsewhere'])->ulid.'/stand')->assertNotFound());
        self::assertSame('Another garage', $guest->refresh()->garage?->name);
    }

    /** An invitation to a lesser role takes nothing from anybody. */
    public function test_who_is_in_already_keeps_the_higher_role(): void
    {
        $keeper = $this->keeper();
        $this->actingAs($keeper)->postJson('/api/invitations/'.$this->invitation($keeper, Role::Reader).'/join')->assertOk()->assertJsonPath('role', 'keeper');
        $reader = $this->person('reader', Role::Reader, $keeper->garage);
        $this->actingAs($reader)->postJson('/api/invitations/'.$this->invitation($keeper, Role::Driver).'/join')->assertOk()->assertJsonPath('role', 'driver');
    }

    /** @param  list<string>  $may */
    #[DataProvider('roles')]
    public function test_what_each_role_may_do(Role $role, array $may): void
    {
        $keeper = $this->keeper();
        $person = $this->person('somebody', $role, $keeper->garage);
        $car = $this->inside($keeper, static fn (): Vehicle => Vehicle::query()->create(['name' => 'Van', 'blurb' => '', 'position' => 0, 'spec' => ['inlets' => [['coupler' => 'ccs1']]]]));
        $this->actingAs($person);
        $allowed = static fn (TestResponse $response): bool => $response->getStatusCode() !== 403;

        self::assertTrue($allowed($this->getJson('/api/garage')));
        self::assertTrue($allowed($this->getJson('/api/board')));
        foreach (['record' => fn () => $this->postJson('/api/sessions', []), 'edit' => fn () => $this->putJson("/api/pieces/vehicles/{$car->ulid}", []), 'keep' => fn () => $this->putJson('/api/garage/habits', ['units' => 'us'])] as $act => $try) {
            $response = $try();
            self::assertSame(in_array($act, $may, true), $allowed($response), $act);
            if (! $allowed($response)) {
                self::assertStringContainsString('As a '.($role === Role::Reader ? 'viewer' : 'driver')." you can't", (string) $response->json('message'));
            }
        }
        foreach ([['DELETE', "/api/pieces/vehicles/{$car->ulid}"], ['POST', '/api/ocpi/preview'], ['POST', '/api/people/invitations'], ['PUT', "/api/people/{$keeper->ulid}"], ['DELETE', "/api/people/{$keeper->ulid}"], ['PUT', '/api/garage'], ['DELETE', '/api/garage']] as [$method, $path]) {
            self::assertSame($role === Role::Keeper, $allowed($this->json($method, $path)), "{$method} {$path}");
        }
        self::assertSame($role === Role::Keeper, is_string($this->getJson('/api/people')->json('people.0.email')));
    }

    /** @return iterable<string, array{Role, list<string>}> */
    public static function roles(): iterable
    {
        yield 'keeper' => [Role::Keeper, ['record', 'edit', 'keep']];
        yield 'driver' => [Role::Driver, ['record', 'edit']];
        yield 'reader' => [Role::Reader, []];
    }

    /** Whoever asks as somebody else, or for a garage that is not open, is told so before anything is looked up. */
    public function test_what_is_elsewhere_never_passes_for_gone(): void
    {
        $person = $this->stranger();
        $this->actingAs($person);
        $nowhere = '/api/sessions/'.Str::ulid();
        foreach ([['deleteJson', $nowhere], ['deleteJson', "{$nowhere}/readings/x"], ['deleteJson', "{$nowhere}/events/x"], ['postJson', "{$nowhere}/finish"], ['getJson', $nowhere]] as [$ask, $path]) {
            $sent = static fn (array $headers): array => $ask === 'getJson' ? [$path, $headers] : [$path, [], $headers];
            $this->{$ask}(...$sent([]))->assertNotFound();
            $this->{$ask}(...$sent(['X-Account' => $person->ulid, 'X-Garage' => (string) $person->garage?->ulid]))->assertNotFound();
            $this->{$ask}(...$sent(['X-Garage' => 'another']))->assertStatus(412)->assertJsonPath('code', 'app.other_garage');
            $this->{$ask}(...$sent(['X-Account' => 'another']))->assertStatus(412)->assertJsonPath('code', 'app.other_account');
        }
        $this->getJson('/api/me', ['X-Account' => 'another'])->assertStatus(412);
        $this->getJson('/api/me', ['X-Garage' => 'another'])->assertOk();
        $this->postJson('/api/sign-out', [], ['X-Account' => 'another'])->assertNoContent();
    }

    public function test_what_was_meant_for_one_garage_is_never_written_into_another(): void
    {
        $person = $this->stranger();
        $here = (string) $person->garage?->ulid;
        $this->actingAs($person);
        $car = ['name' => 'Van', 'spec' => ['inlets' => [['coupler' => 'ccs1']]]];
        $this->postJson('/api/pieces/vehicles', $car, ['X-Garage' => $here])->assertCreated();
        // Another tab has gone to another garage.
        $this->postJson('/api/garages', self::GARAGE)->assertCreated();
        $this->postJson('/api/pieces/vehicles', $car, ['X-Garage' => $here])->assertStatus(412)->assertJsonPath('message', 'Another garage is open now, perhaps in another tab. Nothing was saved. Reload this page.');
        $this->getJson('/api/garage', ['X-Garage' => $here])->assertStatus(412);
        self::assertSame(1, Vehicle::query()->withoutGlobalScopes()->count());
        $this->putJson("/api/garages/{$here}/stand", [], ['X-Garage' => 'wherever'])->assertOk();
        $this->postJson('/api/pieces/vehicles', $car, ['X-Garage' => $here])->assertCreated();
    }

    /** Anybody opens them: they are no way into a house whose door is closed, and nobody breaks them for the next. */
    public function test_the_accounts_of_the_made_up_garages_stay_as_they_are_and_bring_nobody_in(): void
    {
        $keeper = $this->keeper();
        $token = $this->invitation($keeper, Role::Reader);
        $demo = $this->demoUser();
        $this->actingAs($demo);
        $password = (string) config('harmozon.demo_password');
        foreach ([['PUT', '/api/me', ['name' => 'Mine now']], ['PUT', '/api/me', ['email' => 'mine@now.example', 'password' => $password]], ['PUT', '/api/me/password', ['password' => $password, 'new_password' => self::WREN['password']]],
            ['DELETE', '/api/me', ['password' => $password]], ['POST', '/api/people/invitations', ['role' => 'keeper']], ['PUT', "/api/people/{$demo->ulid}", ['role' => 'reader']], ['DELETE', "/api/people/{$demo->ulid}", []],
            ['POST', "/api/invitations/{$token}/join", []], ['POST', '/api/garages', self::GARAGE], ['DELETE', '/api/garage', ['name' => 'The Lanternfish Puppet Company']]] as [$method, $path, $body]) {
            self::assertStringContainsString('demo garage', (string) $this->json($method, $path, $body)->assertForbidden()->json('message'), "{$method} {$path}");
        }
        $this->getJson('/api/me')->assertJsonPath('user.name', $demo->name)->assertJsonPath('role', 'keeper')->assertJsonCount(1, 'garages');
        $this->getJson("/api/invitations/{$token}")->assertOk();
    }

    public function test_two_who_take_the_same_address_at_once(): void
    {
        User::creating(static function (User $user): void {
            User::withoutEvents(static fn () => User::query()->firstOrCreate(['email' => $user->email], ['ulid' => strtolower((string) \Illuminate\Support\Str::ulid()), 'name' => 'The first', 'password' => 'x']));
        });
        $this->postJson('/api/accounts', self::WREN)->assertConflict()->assertJsonPath('message', 'Somebody else has just entered the same. Nothing was saved. Try again.');
        User::flushEventListeners();
    }

    public function test_a_garage_is_never_left_without_a_keeper(): void
    {
        $keeper = $this->keeper();
        $other = $this->person('other', Role::Driver, $keeper->garage);
        $this->actingAs($keeper);
        foreach ([$this->putJson("/api/people/{$keeper->ulid}", ['role' => 'driver']), $this->deleteJson("/api/people/{$keeper->ulid}")] as $refused) {
            self::assertStringContainsString('no owner left', (string) $refused->assertUnprocessable()->json('errors.role.0'));
        }
        $this->deleteJson('/api/me', ['password' => 'the kettle is on again'])->assertUnprocessable()->assertJsonPath('errors.garages.0', 'Rook yard would have no owner left. Make somebody else an owner first, or delete the garage.');

        Contract::holds('PUT', '/people/{person}', $this->putJson("/api/people/{$other->ulid}", ['role' => 'keeper'])->assertNoContent());
        Contract::holds('DELETE', '/people/{person}', $this->deleteJson("/api/people/{$keeper->ulid}")->assertNoContent());
        self::assertNull($keeper->refresh()->garage_id);
        $this->app['auth']->forgetGuards();
        $this->actingAs($keeper)->getJson('/api/garage')->assertForbidden();
        Contract::holds('GET', '/me', $this->getJson('/api/me')->assertOk()->assertJsonPath('garage', null)->assertJsonPath('may', []));
        Contract::holds('POST', '/garages', $this->postJson('/api/garages', self::GARAGE)->assertCreated()->assertJsonPath('garage.name', 'Wren and Daughter')->assertJsonPath('role', 'keeper'));
    }

    public function test_who_is_sent_away_sees_nothing_any_more_and_stands_in_another_of_theirs(): void
    {
        $keeper = $this->keeper();
        $guest = $this->stranger();
        $this->app->make(Registration::class)->join($guest, $keeper->garage ?? self::fail(), Role::Driver);
        $this->actingAs($keeper)->deleteJson("/api/people/{$guest->ulid}")->assertNoContent();

        self::assertSame('Another garage', $guest->refresh()->garage?->name);
        $this->deleteJson("/api/people/{$guest->ulid}")->assertNotFound();
        Contract::holds('PUT', '/people/{person}', $this->putJson("/api/people/{$guest->ulid}", ['role' => 'keeper'])->assertNotFound());
    }

    public function test_a_garage_is_renamed_and_ended_by_its_name_and_takes_nobody_with_it(): void
    {
        $keeper = $this->keeper();
        $driver = $this->person('driver', Role::Driver, $keeper->garage);
        $this->inside($keeper, static fn () => Vehicle::query()->create(['name' => 'Van', 'blurb' => '', 'position' => 0, 'spec' => []]));
        $this->actingAs($keeper);
        Contract::holds('PUT', '/garage', $this->putJson('/api/garage', ['name' => 'Rook wharf', 'currency' => 'CHF'])->assertOk()->assertJsonPath('garage.name', 'Rook wharf')->assertJsonPath('garage.currency', 'CHF'));
        $this->deleteJson('/api/garage', ['name' => 'Rook yard'])->assertUnprocessable();
        Contract::holds('DELETE', '/garage', $this->deleteJson('/api/garage', ['name' => 'Rook wharf'])->assertOk()->assertJsonPath('garage', null));

        self::assertSame([0, 0, 0, 2], [Garage::query()->count(), Membership::query()->count(), Vehicle::query()->withoutGlobalScopes()->count(), User::query()->count()]);
        self::assertNull($driver->refresh()->garage_id);
    }

    private function keeper(): User
    {
        return $this->person('rook', Role::Keeper, Garage::query()->create(['name' => 'Rook yard']));
    }

    private function invitation(User $keeper, Role $role): string
    {
        $token = Invitation::newToken();
        Invitation::query()->create(['garage_id' => $keeper->memberships()->firstOrFail()->garage_id, 'role' => $role, 'note' => '', 'token_hash' => Invitation::hashOf($token), 'expires_at' => now()->addDay()]);

        return $token;
    }

    private function leave(): void
    {
        $this->postJson('/api/sign-out')->assertNoContent();
        $this->app['auth']->forgetGuards();
    }
}
