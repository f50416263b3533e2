<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\TokenRequest;
use App\Models\LoggerToken;
use App\People\SignedInUser;
use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;

/** The tokens of a person's own loggers, in the open garage. */
final class TokenController extends Controller
{
    private const MOST = 20;

    public function index(): JsonResponse
    {
        return response()->json(['tokens' => LoggerToken::of(SignedInUser::signedIn(), self::garage())->map(static fn (LoggerToken $t): array => $t->told())]);
    }

    /** The token itself is only shown once, here. */
    public function store(TokenRequest $request): JsonResponse
    {
        $person = SignedInUser::signedIn();
        if (LoggerToken::of($person, self::garage())->count() >= self::MOST) {
            throw FieldError::at('name', Message::of('app.too_many_tokens', most: Amount::count(self::MOST)));
        }
        $plain = $person->generateTokenString();
        $token = LoggerToken::query()->create([
            'tokenable_type' => $person->getMorphClass(), 'tokenable_id' => $person->id, 'garage_id' => self::garage(),
            'name' => $request->string('name')->toString(), 'token' => hash('sha256', $plain), 'abilities' => [LoggerToken::APPEND],
            'expires_at' => now()->addDays($request->integer('days')),
        ]);

        return response()->json(['token' => "{$token->id}|{$plain}", ...$token->told()], 201);
    }

    public function destroy(string $token): Response
    {
        $mine = LoggerToken::of(SignedInUser::signedIn(), self::garage())->first(static fn (LoggerToken $t): bool => (string) $t->id === $token);
        if ($mine === null) {
            abort(404);
        }
        $mine->delete();

        return response()->noContent();
    }

    private static function garage(): int
    {
        return SignedInUser::signedIn()->garage_id ?? 0;
    }
}
