<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Models\ChargeSession;
use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\WrongState;
use Illuminate\Support\Facades\DB;

/** Adds and removes a session's readings one after another, and keeps count and limit. */
final class SessionReadings
{
    /**
     * Runs an action on an open session's readings while nobody else does, so that adding, removing and finishing
     * happen one after another.
     *
     * @template T
     *
     * @param  \Closure(): T  $do
     * @return T
     */
    public static function inOrder(ChargeSession $session, \Closure $do): mixed
    {
        return DB::transaction(static function () use ($session, $do): mixed {
            if ($session->refresh()->finished_at !== null) {
                throw WrongState::of('session', Message::of('app.session_finished'));
            }

            return $do();
        });
    }

    /**
     * @param  bool  $isDisturbed  what stood before the newest reading has changed
     * @param  int  $more  readings than before; negative where there are fewer
     */
    public static function count(ChargeSession $session, bool $isDisturbed, int $more): void
    {
        $session->update(['held' => max(0, $session->held + $more), 'revision' => $session->revision + 1, 'disturbed' => $session->disturbed + ($isDisturbed ? 1 : 0)]);
    }

    /** @param  array<array-key, int>  $timesMs */
    public static function isOlder(array $timesMs, ?int $newestMs): bool
    {
        return $timesMs !== [] && $newestMs !== null && min($timesMs) < $newestMs;
    }

    public static function mustHaveRoom(ChargeSession $session, int $new): void
    {
        if ($new > 0 && $session->held + $new > self::most()) {
            throw self::tooMany();
        }
    }

    /** Readings that the session can still hold. */
    public static function room(ChargeSession $session): int
    {
        return self::most() - $session->refresh()->held;
    }

    public static function most(): int
    {
        $most = config('harmozon.most_readings');

        return is_int($most) ? $most : PHP_INT_MAX;
    }

    public static function tooMany(): FieldError
    {
        return FieldError::at('readings', Message::of('app.too_many_readings', most: Amount::count(self::most())));
    }
}
