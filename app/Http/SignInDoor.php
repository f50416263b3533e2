<?php

declare(strict_types=1);

namespace App\Http;

use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Unit;
use Harmozon\Core\Words\Voice;
use Illuminate\Contracts\Cache\Repository;
use Illuminate\Http\Exceptions\ThrottleRequestsException;
use Illuminate\Support\Carbon;

/**
 * Slows guessing down. Failures are counted for an account from one address, and for an address; the wait grows with every
 * further one and ends with a success. An account alone is never counted: nobody can lock another out.
 */
final readonly class SignInDoor
{
    /** Failures that cost nothing: people mistype. */
    private const FREE_FOR_ACCOUNT = 5;

    private const FREE_FOR_ADDRESS = 30;

    private const FIRST_WAIT_S = 15;

    private const LONGEST_WAIT_S = 900;

    /** Failures are forgotten after so long (s). */
    private const MEMORY_S = 3600;

    public function __construct(private Repository $cache, private Voice $voice)
    {
    }

    /** @throws ThrottleRequestsException while one has to wait */
    public function mustBeOpen(string $account, string $address): void
    {
        $waitS = max(0, ...array_map(fn (string $key): int => $this->seen($key)[1] - Carbon::now()->getTimestamp(), self::keys($account, $address)));
        if ($waitS > 0) {
            throw new ThrottleRequestsException(
                $this->voice->say(Message::of('app.too_many_attempts', seconds: Amount::asGiven($waitS, Unit::Seconds))), headers: ['Retry-After' => (string) $waitS],
            );
        }
    }

    public function failed(string $account, string $address): void
    {
        foreach (array_combine(self::keys($account, $address), [self::FREE_FOR_ACCOUNT, self::FREE_FOR_ADDRESS]) as $key => $free) {
            $failures = $this->seen($key)[0] + 1;
            $waitS = $failures < $free ? 0 : min(self::LONGEST_WAIT_S, self::FIRST_WAIT_S * 2 ** min($failures - $free, 10));
            $this->cache->put($key, [$failures, Carbon::now()->getTimestamp() + $waitS], self::MEMORY_S);
        }
    }

    public function opened(string $account, string $address): void
    {
        foreach (self::keys($account, $address) as $key) {
            $this->cache->forget($key);
        }
    }

    /** @return array{int, int} failures, and until when to wait (Unix time) */
    private function seen(string $key): array
    {
        $seen = $this->cache->get($key);

        return is_array($seen) && is_int($seen[0] ?? null) && is_int($seen[1] ?? null) ? [$seen[0], $seen[1]] : [0, 0];
    }

    /** @return array{string, string} */
    private static function keys(string $account, string $address): array
    {
        return ['sign-in:'.hash('sha256', $account.'|'.$address), 'sign-in:'.hash('sha256', $address)];
    }
}
