<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\SignInRequest;
use App\Models\User;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Voice;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Auth;
use Illuminate\Validation\ValidationException;

final class AccountController extends Controller
{
    public function signIn(SignInRequest $request, Voice $voice): JsonResponse
    {
        if (! Auth::attempt(['email' => $request->string('email')->toString(), 'password' => $request->string('password')->toString()], $request->boolean('remember'))) {
            throw ValidationException::withMessages(['email' => $voice->say(Message::of('app.sign_in_refused'))]);
        }
        $request->session()->regenerate();

        return $this->me($request);
    }

    /** Only in demo mode: the made-up garage, without a password. */
    public function openDemo(Request $request, Voice $voice): JsonResponse
    {
        abort_unless(config('harmozon.demo') === true, 404);
        $user = User::query()->firstWhere('email', config('harmozon.demo_email'));
        if ($user === null) {
            abort(404, $voice->say(Message::of('app.demo_not_loaded')));
        }
        Auth::login($user);
        $request->session()->regenerate();

        return $this->me($request);
    }

    public function signOut(Request $request): Response
    {
        Auth::logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return response()->noContent();
    }

    public function me(Request $request): JsonResponse
    {
        $user = Auth::user();
        assert($user instanceof User);

        return response()->json([
            'user' => ['name' => $user->name, 'email' => $user->email],
            'garage' => [
                'id' => $user->garage->ulid,
                'name' => $user->garage->name,
                'timezone' => $user->garage->timezone,
                'currency' => $user->garage->currency,
                'units' => $user->garage->units,
            ],
        ]);
    }
}
