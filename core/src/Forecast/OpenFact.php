<?php

declare(strict_types=1);

namespace Harmozon\Core\Forecast;

use Harmozon\Core\Chain\AssumedFact;
use Harmozon\Core\Fit\UncertaintyBand;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;

/** An unread fact that a forecast depends on, and how much reading it would narrow the forecast. */
final readonly class OpenFact
{
    /** Reading a fact is worth suggesting if it leaves less than this share of the spread. */
    private const WORTH = 0.9;

    /** @param  UncertaintyBand  $minutesOnceRead  between what the minutes would lie then, if its value turned out as it stands */
    public function __construct(public AssumedFact $assumed, public UncertaintyBand $minutesOnceRead)
    {
    }

    /** What reading it would do for the minutes. */
    public function message(UncertaintyBand $now): Message
    {
        $fact = $this->assumed->unread->fact();
        if ($this->minutesOnceRead->width() >= self::WORTH * $now->width()) {
            return Message::of('doubt.rests', fact: $fact);
        }
        [$low, $high] = [$this->minutesOnceRead->low, $this->minutesOnceRead->high];
        $then = round($low) === round($high) ? Amount::minutes(round($high)) : self::span($this->minutesOnceRead);

        return Message::of('doubt.narrows', fact: $fact, now: self::span($now), then: $then);
    }

    private static function span(UncertaintyBand $minutes): Message
    {
        return Message::of('doubt.span', low: Amount::count((int) round($minutes->low)), high: Amount::minutes(round($minutes->high)));
    }
}
