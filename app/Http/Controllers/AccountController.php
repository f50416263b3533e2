<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\AuthAction;
use App\Http\KnownBrowser;
use App\Http\SignInThrottle;
use App\Models\User;
use App\People\SignedInUser;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Voice;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;

final class AccountController extends Controller
{
    public function __construct(private readonly SignedInUser $signedInUser)
    {
    }

    /** Known and unknown accounts take equally long. */
    public function signIn(Request $request, SignInThrottle $throttle, Voice $voice): JsonResponse
    {
        $address = (string) $request->ip();
        $account = Str::lower(is_string($request->input('email')) ? $request->input('email') : '');
        $throttle->mustBeOpen(AuthAction::SignIn, $account, $address, KnownBrowser::knows($request, $account));
        try {
            $typed = $request->validate(['email' => ['required', 'string', 'email', 'max:254'], 'password' => ['required', 'string', 'max:200'], 'remember' => ['boolean']]);
            $user = User::query()->where('email', $account)->first();
            $password = is_string($typed['password']) ? $typed['password'] : '';
            $isRight = $user === null ? Hash::make($password) === '' : Hash::check($password, $user->password);
            if ($user === null || ! $isRight || ($user->isMadeUp() && config('harmozon.demo') !== true)) {
                throw ValidationException::withMessages(['email' => $voice->say(Message::of('app.sign_in_refused'))]);
            }
        } catch (ValidationException $e) {
            $throttle->failed(AuthAction::SignIn, $account, $address);
            throw $e;
        }
        $throttle->opened(AuthAction::SignIn, $account, $address);
        KnownBrowser::remember($request, $account);
        if (Hash::needsRehash($user->password)) {
            $user->update(['password' => $password]);
        }
        Auth::login($user, $request->boolean('remember'));
        $request->session()->regenerate();

        return response()->json($this->signedInUser->told($user));
    }

    /** Only in demo mode: the made-up garage, without a password. */
    public function openDemo(Request $request, Voice $voice): JsonResponse
    {
        if (config('harmozon.demo') !== true) {
            abort(404, $voice->say(Message::of('app.no_demo')));
        }
        $user = User::query()->firstWhere('email', config('harmozon.demo_email'));
        if ($user === null) {
            abort(404, $voice->say(Message::of('app.demo_not_loaded')));
        }
        Auth::login($user);
        $request->session()->regenerate();

        return response()->json($this->signedInUser->told($user));
    }

    public function signOut(Request $request): Response
    {
        Auth::logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return response()->noContent();
    }
}
