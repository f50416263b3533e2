<?php

declare(strict_types=1);

namespace Harmozon\Core\Review;

use Harmozon\Core\Forecast\Forecast;
use Harmozon\Core\Words\Message;

/** When to call the driver back, as far as the forecast can tell. */
final class Reminders
{
    /** When to take temperatures: at the start and ten minutes later (s). */
    private const START_S = 60;

    private const TEN_MINUTES_S = 600;

    /** How long before a boost is spent, and before the end (s). */
    private const BEFORE_BOOST_S = 120;

    private const BEFORE_END_S = 120;

    /** @return array<int, Message> by seconds since plugging in, in their order */
    public static function of(Forecast $forecast): array
    {
        if ($forecast->totals->minutes === null) {
            return [];
        }
        $endS = (int) round($forecast->totals->minutes * 60);
        $reminders = [self::START_S => Message::of('reminder.start'), self::TEN_MINUTES_S => Message::of('reminder.ten_minutes'), $endS - self::BEFORE_END_S => Message::of('reminder.end')];
        foreach ($forecast->answer->links() as $link) {
            foreach ($forecast->course->heat as $heat) {
                if ($heat->fullAtMinute !== null && $heat->link->linkId === $link->id) {
                    $reminders[(int) round($heat->fullAtMinute * 60) - self::BEFORE_BOOST_S] = Message::of('reminder.boost', link: $link->name);
                }
            }
        }
        if ($forecast->advice->passed !== null && ! $forecast->advice->passed->isAtOnce) {
            $reminders[(int) round($forecast->advice->passed->minute * 60) - self::BEFORE_BOOST_S] = $forecast->advice->passed->message();
        }
        ksort($reminders);

        return array_filter($reminders, static fn (int $s): bool => $s > 0 && $s < $endS, ARRAY_FILTER_USE_KEY);
    }
}
