<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\AuthAction;
use App\Http\KnownBrowser;
use App\Http\Requests\AccountRequest;
use App\Http\Requests\JoinRequest;
use App\Http\Requests\RegistrationRequest;
use App\Http\SignInThrottle;
use App\Models\Invitation;
use App\Models\User;
use App\People\PasswordRule;
use App\People\Passwords;
use App\People\Registration;
use App\People\SignedInUser;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Voice;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Auth;
use Illuminate\Validation\ValidationException;

/** For people without an account, a garage, or a known password. */
final class AuthController extends Controller
{
    public function __construct(private readonly Registration $registration, private readonly SignedInUser $signedInUser, private readonly Voice $voice)
    {
    }

    /** Creates an account with an empty garage: the first, or any while registration is open. */
    public function found(RegistrationRequest $request): JsonResponse
    {
        $person = $this->registration->begin(self::account($request), $request->validated('garage'));
        if ($person === null) {
            abort(403, $this->voice->say(Message::of('app.door_closed')));
        }

        return $this->enter($request, $person, 201);
    }

    /** What an invitation offers, for the person with its link. */
    public function invitation(string $token): JsonResponse
    {
        $invitation = $this->opened($token);

        return response()->json([
            'garage' => $invitation->garage->name,
            'role' => $invitation->role->value,
            'role_words' => $this->voice->say($invitation->role->message()),
            'expires_at' => $invitation->expires_at->toIso8601ZuluString(),
        ]);
    }

    /** With a new account. */
    public function joinAnew(JoinRequest $request, string $token): JsonResponse
    {
        $person = $this->registration->joinAnew($this->opened($token), self::account($request)) ?? $this->gone();

        return $this->enter($request, $person, 201);
    }

    /** With the account that is signed in. */
    public function join(string $token): JsonResponse
    {
        if (! $this->registration->accept($this->opened($token), SignedInUser::signedIn())) {
            $this->gone();
        }

        return response()->json($this->signedInUser->told(SignedInUser::signedIn()));
    }

    /** Answers the same whether there is such an account or not. */
    public function forgotten(Request $request, SignInThrottle $throttle, Passwords $passwords): Response
    {
        $typed = $request->validate(['email' => ['required', 'string', 'email', 'max:254']]);
        $email = strtolower((string) $typed['email']);
        $address = (string) $request->ip();
        $throttle->mustBeOpen(AuthAction::Forgotten, $email, $address);
        $throttle->failed(AuthAction::Forgotten, $email, $address);
        $passwords->sendLink($email);

        return response()->noContent();
    }

    /** Sets a new password by the mailed link, within an hour; every browser signed in with the old one is signed out. */
    public function reset(Request $request, PasswordRule $password, SignInThrottle $throttle, Passwords $passwords): JsonResponse
    {
        $address = (string) $request->ip();
        $typed = $request->validate(['email' => ['required', 'string', 'email', 'max:254'], 'token' => ['required', 'string', 'max:200'], 'password' => ['required', $password]]);
        $email = strtolower((string) $typed['email']);
        $throttle->mustBeOpen(AuthAction::Reset, $email, $address);
        $person = $passwords->setByLink($email, (string) $typed['token'], (string) $typed['password']);
        if ($person === null) {
            $throttle->failed(AuthAction::Reset, $email, $address);
            throw ValidationException::withMessages(['token' => $this->voice->say(Message::of('app.reset_gone'))]);
        }

        return $this->enter($request, $person);
    }

    private function opened(string $token): Invitation
    {
        return Invitation::open($token) ?? $this->gone();
    }

    private function gone(): never
    {
        abort(404, $this->voice->say(Message::of('app.invitation_gone')));
    }

    private function enter(Request $request, User $person, int $status = 200): JsonResponse
    {
        Auth::login($person);
        $request->session()->regenerate();
        KnownBrowser::remember($request, $person->email);

        return response()->json($this->signedInUser->told($person), $status);
    }

    /** @return array{string, string, string} name, address, password */
    private static function account(AccountRequest $request): array
    {
        return [$request->string('name')->trim()->toString(), $request->string('email')->toString(), $request->string('password')->toString()];
    }
}
