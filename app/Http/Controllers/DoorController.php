<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Door;
use App\Http\KnownBrowser;
use App\Http\Requests\AccountRequest;
use App\Http\Requests\FoundingRequest;
use App\Http\Requests\JoinRequest;
use App\Http\SignInDoor;
use App\Models\Invitation;
use App\Models\User;
use App\People\Founding;
use App\People\PasswordRule;
use App\People\Passwords;
use App\People\Who;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Voice;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Auth;
use Illuminate\Validation\ValidationException;

/** The ways in for who has no account, no garage, or no password any more. */
final class DoorController extends Controller
{
    public function __construct(private readonly Founding $founding, private readonly Who $who, private readonly Voice $voice)
    {
    }

    /** The first account of all, or any where the door stands open, with a garage that holds nothing. */
    public function found(FoundingRequest $request): JsonResponse
    {
        $person = $this->founding->begin(self::account($request), $request->validated('garage'));
        if ($person === null) {
            abort(403, $this->voice->say(Message::of('app.door_closed')));
        }

        return $this->enter($request, $person, 201);
    }

    /** What an invitation offers, for who holds its link. */
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
        $person = $this->founding->joinAnew($this->opened($token), self::account($request)) ?? $this->gone();

        return $this->enter($request, $person, 201);
    }

    /** With the account that is signed in. */
    public function join(string $token): JsonResponse
    {
        if (! $this->founding->accept($this->opened($token), Who::signedIn())) {
            $this->gone();
        }

        return response()->json($this->who->told(Who::signedIn()));
    }

    /** Says the same whether there is such an account or not. */
    public function forgotten(Request $request, SignInDoor $door, Passwords $passwords): Response
    {
        $typed = $request->validate(['email' => ['required', 'string', 'email', 'max:254']]);
        $email = strtolower((string) $typed['email']);
        $address = (string) $request->ip();
        $door->mustBeOpen(Door::Forgotten, $email, $address);
        $door->failed(Door::Forgotten, $email, $address);
        $passwords->sendLink($email);

        return response()->noContent();
    }

    /** By the link of the mail, within an hour; everybody who is signed in with the old one is signed out. */
    public function reset(Request $request, PasswordRule $password, SignInDoor $door, Passwords $passwords): JsonResponse
    {
        $address = (string) $request->ip();
        $typed = $request->validate(['email' => ['required', 'string', 'email', 'max:254'], 'token' => ['required', 'string', 'max:200'], 'password' => ['required', $password]]);
        $email = strtolower((string) $typed['email']);
        $door->mustBeOpen(Door::Reset, $email, $address);
        $person = $passwords->setByLink($email, (string) $typed['token'], (string) $typed['password']);
        if ($person === null) {
            $door->failed(Door::Reset, $email, $address);
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

        return response()->json($this->who->told($person), $status);
    }

    /** @return array{string, string, string} name, address, password */
    private static function account(AccountRequest $request): array
    {
        return [$request->string('name')->trim()->toString(), $request->string('email')->toString(), $request->string('password')->toString()];
    }
}
