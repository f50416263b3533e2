<?php

declare(strict_types=1);

namespace Harmozon\Core\Readings;

/** What the first row of a readings file says of the hour, so that the file can be laid beside a session by the clock. */
final readonly class ClockStart
{
    private const DAY_S = 86_400;

    /** A clock that tells a moment so far from plugging in does not speak of this session (s). */
    private const SAME_VISIT_S = 43_200;

    /**
     * @param  float  $seconds  since 1970; of a clock without a zone as if it were UTC, of one without a date since midnight
     */
    public function __construct(public float $seconds, public bool $hasDate, public bool $hasZone)
    {
    }

    /** The same, of a clock that speaks of this session; null of one of another day. */
    public function shiftS(\DateTimeInterface $pluggedIn, \DateTimeZone $zone): ?float
    {
        $after = $this->after($pluggedIn, $zone);

        return abs($after) <= self::SAME_VISIT_S ? $after : null;
    }

    /** Where the file is laid unless somebody says otherwise (s): by its clock, if that tells a day. What counts from 0:00:00 may be no clock. */
    public function usualShiftS(\DateTimeInterface $pluggedIn, \DateTimeZone $zone): float
    {
        return $this->hasDate ? $this->shiftS($pluggedIn, $zone) ?? 0.0 : 0.0;
    }

    /**
     * How long after plugging in the first row was taken (s), negative where before. A clock without a zone is taken for one
     * of $zone; one without a date for that of the nearest day.
     */
    public function after(\DateTimeInterface $pluggedIn, \DateTimeZone $zone): float
    {
        $plugged = (float) $pluggedIn->format('U.u');
        $local = (new \DateTimeImmutable('@'.(int) $plugged))->setTimezone($zone);
        if (! $this->hasDate) {
            $since = $this->seconds - ($plugged - $local->setTime(0, 0)->getTimestamp());

            return $since - self::DAY_S * round($since / self::DAY_S);
        }
        if ($this->hasZone) {
            return $this->seconds - $plugged;
        }
        $wall = gmdate('Y-m-d H:i:s', (int) floor($this->seconds));

        return (new \DateTimeImmutable($wall, $zone))->getTimestamp() + fmod($this->seconds, 1.0) - $plugged;
    }
}
