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
use Illuminate\Support\Facades\Log;

/**
 * Slows guessing down. Failures are counted for an account from one address, and for an address, in a store that counts for
 * many at once; the wait grows with every further one. A success ends the wait of its own account, not that of the address. An
 * account alone is never counted: nobody can lock another out. A browser in which somebody has signed in before does not wait
 * for others behind the same address: they may share nothing but a proxy.
 */
final readonly class SignInThrottle
{
    /** Failures that cost nothing: people mistype. */
    private const FREE_FOR_ACCOUNT = 5;

    private const FREE_FOR_ADDRESS = 30;

    private const FIRST_WAIT_S = 15;

    private const LONGEST_WAIT_S = 900;

    /** How long failures count (s). */
    private const MEMORY_S = 3600;

    /** @param  Repository  $counters  that increments atomically */
    public function __construct(private Repository $counters, private Voice $voice)
    {
    }

    /**
     * @param  bool  $isKnown  whether this browser has been signed in to the account before
     *
     * @throws ThrottleRequestsException while one has to wait
     */
    public function mustBeOpen(AuthAction $action, string $account, string $address, bool $isKnown = false): void
    {
        $keys = [self::ofAccount($action, $account, $address), ...($isKnown ? [] : [self::ofAddress($action, $address)])];
        $now = Carbon::now()->getTimestamp();
        $waitS = max(0, ...array_map(fn (string $key): int => $this->number("{$key}:until") - $now, $keys));
        if ($waitS > 0) {
            self::noted('attempt slowed down', $action, $account, $address);
            throw new ThrottleRequestsException(
                $this->voice->say(Message::of('app.too_many_attempts', seconds: Amount::asGiven($waitS, Unit::Seconds))), headers: ['Retry-After' => (string) $waitS],
            );
        }
    }

    public function failed(AuthAction $action, string $account, string $address): void
    {
        self::noted('attempt refused', $action, $account, $address);
        $this->count(self::ofAccount($action, $account, $address), self::FREE_FOR_ACCOUNT);
        $this->count(self::ofAddress($action, $address), self::FREE_FOR_ADDRESS);
    }

    public function opened(AuthAction $action, string $account, string $address): void
    {
        self::noted('attempt accepted', $action, $account, $address);
        $key = self::ofAccount($action, $account, $address);
        $this->counters->forget($key);
        $this->counters->forget("{$key}:until");
    }

    /** Logs a failure. The typed account may be a password, so it is logged as a hash. */
    private static function noted(string $what, AuthAction $action, string $account, string $address): void
    {
        Log::notice($what, ['action' => $action->value, 'account' => substr(hash('sha256', $account), 0, 12), 'address' => $address]);
    }

    private function count(string $key, int $free): void
    {
        $this->counters->add($key, 0, self::MEMORY_S);
        $failures = (int) $this->counters->increment($key);
        if ($failures >= $free) {
            $waitS = min(self::LONGEST_WAIT_S, self::FIRST_WAIT_S * 2 ** min($failures - $free, 10));
            $this->counters->put("{$key}:until", Carbon::now()->getTimestamp() + $waitS, self::MEMORY_S);
        }
    }

    private function number(string $key): int
    {
        $kept = $this->counters->get($key);

        return is_numeric($kept) ? (int) $kept : 0;
    }

    private static function ofAccount(AuthAction $action, string $account, string $address): string
    {
        return "auth:{$action->value}:".hash('sha256', $account.'|'.$address);
    }

    private static function ofAddress(AuthAction $action, string $address): string
    {
        return "auth:{$action->value}:".hash('sha256', $address);
    }
}
