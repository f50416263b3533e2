<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\People\SignedInUser;
use Closure;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Voice;
use Illuminate\Contracts\Encryption\Encrypter;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Symfony\Component\HttpFoundation\Response;

/**
 * A call that creates something carries an `Idempotency-Key`. The same call repeated, because its answer was lost,
 * creates nothing and gets the first answer again. The record and the answer are written together: after an error
 * neither exists, and the key may be used again.
 */
final readonly class Idempotent
{
    public const HEADER = 'Idempotency-Key';

    private const TABLE = 'answered_calls';

    private const KEPT_HOURS = 24;

    /** As a ULID or a UUID is written. */
    private const KEY = '/^[A-Za-z0-9-]{16,64}$/';

    public function __construct(private Voice $voice, private Encrypter $encrypter)
    {
    }

    public function handle(Request $request, Closure $next): Response
    {
        $key = $request->headers->get(self::HEADER);
        if ($key === null) {
            return self::responded($next($request));
        }
        if (preg_match(self::KEY, $key) !== 1) {
            return $this->refusal(Message::of('app.key_unreadable'), 400);
        }
        $fingerprint = hash('sha256', implode("\0", [$request->method(), $request->path(), $request->getContent()]));
        $row = ['user_id' => SignedInUser::signedIn()->id, 'key' => $key];

        DB::beginTransaction();
        try {
            $known = DB::table(self::TABLE)->where($row)->first();
            if ($known !== null) {
                DB::rollBack();

                return $known->fingerprint === $fingerprint
                    ? new JsonResponse($this->encrypter->decrypt($known->body, false), (int) $known->status, json: true)
                    : $this->refusal(Message::of('app.key_used'), 409);
            }
            $response = self::responded($next($request));
            if ($response->isSuccessful()) {
                DB::table(self::TABLE)->where('answered_at', '<', Carbon::now()->subHours(self::KEPT_HOURS))->delete();
                DB::table(self::TABLE)->insert([...$row, 'fingerprint' => $fingerprint, 'status' => $response->getStatusCode(), 'body' => $this->encrypter->encrypt((string) $response->getContent(), false), 'answered_at' => Carbon::now()]);
                DB::commit();
            } else {
                DB::rollBack();
            }

            return $response;
        } catch (\Throwable $e) {
            DB::rollBack();
            throw $e;
        }
    }

    private function refusal(Message $why, int $status): JsonResponse
    {
        return new JsonResponse(['message' => $this->voice->say($why), 'code' => $why->code], $status);
    }

    private static function responded(mixed $response): Response
    {
        assert($response instanceof Response);

        return $response;
    }
}
