<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Database\Dialect;
use App\Garage\Role;
use App\Http\AuthAction;
use App\Http\Middleware\SpeakLanguage;
use App\Http\SignInThrottle;
use App\Models\Membership;
use App\Models\User;
use App\People\AccountChangedMail;
use App\People\AccountFields;
use App\People\DeferredMail;
use App\People\Devices;
use App\People\PasswordRule;
use App\People\Passwords;
use App\People\SignedInUser;
use Harmozon\Core\Words\Languages;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Voice;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Str;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;

/** A person's own account. Changing sign-in details asks for the password again. */
final class PersonController extends Controller
{
    public function __construct(private readonly Voice $voice, private readonly SignedInUser $signedInUser, private readonly SignInThrottle $throttle)
    {
    }

    public function show(): JsonResponse
    {
        return response()->json($this->signedInUser->asKnown(SignedInUser::signedIn()));
    }

    public function update(Request $request, DeferredMail $mail): JsonResponse
    {
        $person = SignedInUser::signedIn();
        $request->merge($request->has('email') ? ['email' => AccountFields::kept($request->input('email'))] : []);
        $typed = $request->validate(['name' => [Rule::requiredIf(! $request->hasAny(['email', 'language'])), ...AccountFields::name()], 'email' => AccountFields::email($person), 'language' => ['nullable', 'string', Rule::in(array_keys(Languages::NAMES))]]);
        if (isset($typed['email']) && $typed['email'] !== $person->email) {
            $this->mustKnow($request);
            $mail->send($person->email, AccountChangedMail::address($person, $typed['email']));
        }
        $person->update($typed);
        SpeakLanguage::ofPerson($person);

        return response()->json($this->signedInUser->told($person));
    }

    public function password(Request $request, Passwords $passwords): Response
    {
        $person = SignedInUser::signedIn();
        $this->mustKnow($request);
        $request->validate(['new_password' => ['required', new PasswordRule($this->voice, [$person->name, Str::before($person->email, '@')])]]);
        $passwords->set($person, $request->string('new_password')->toString(), $request->session()->getId());

        return response()->noContent();
    }

    public function devices(Request $request): JsonResponse
    {
        return response()->json(['devices' => Devices::of(SignedInUser::signedIn())->told($request->session()->getId())]);
    }

    public function signOutDevice(string $device): Response
    {
        if (! Devices::of(SignedInUser::signedIn())->signOut($device)) {
            abort(404, $this->voice->say(Message::of('app.no_such_record')));
        }

        return response()->noContent();
    }

    /** Garages stay with their other members; a garage without another owner must get one, or be deleted, first. */
    public function destroy(Request $request): Response
    {
        $person = SignedInUser::signedIn();
        $this->mustKnow($request);
        DB::transaction(function () use ($person): void {
            Dialect::ofConnection()->peoplesTurn();
            $alone = $person->memberships()->with('garage')->where('role', Role::Keeper->value)->get()->filter(static fn (Membership $m): bool => ! $m->hasOtherKeeper());
            if ($alone->isNotEmpty()) {
                throw ValidationException::withMessages(['garages' => $alone->map(fn (Membership $m): string => $this->voice->say(Message::of('app.last_keeper', garage: $m->garage->name)))->values()->all()]);
            }
            Devices::of($person)->signOutAll();
            User::query()->whereKey($person->id)->delete();
        });
        Auth::forgetUser();
        $request->session()->invalidate();

        return response()->noContent();
    }

    /** @throws ValidationException where the password of this person is not given with it */
    private function mustKnow(Request $request): void
    {
        $person = SignedInUser::signedIn();
        $address = (string) $request->ip();
        $this->throttle->mustBeOpen(AuthAction::OwnPassword, $person->email, $address, isKnown: true);
        $password = $request->input('password');
        if (! is_string($password) || ! Hash::check($password, $person->password)) {
            $this->throttle->failed(AuthAction::OwnPassword, $person->email, $address);
            throw ValidationException::withMessages(['password' => $this->voice->say(Message::of('app.password_wrong'))]);
        }
        $this->throttle->opened(AuthAction::OwnPassword, $person->email, $address);
    }
}
