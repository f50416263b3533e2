<?php

declare(strict_types=1);

namespace Harmozon\Core\Readings;

/** The clock time of a readings file's first row, used to align the file with a session. */
final readonly class ClockStart
{
    private const DAY_S = 86_400;

    /** A clock time further than this from plugging in doesn't belong to this session (s). */
    private const SAME_VISIT_S = 43_200;

    /** Two clock times without a date that are further apart than this don't belong to one session (s). */
    private const SAME_HOURS_S = 14_400;

    /** A recording that begins this soon after zero may count from plugging in (s). */
    private const FROM_ZERO_S = 60;

    /**
     * @param  float  $seconds  since 1970; of a clock without a zone as if it were UTC, of one without a date since midnight
     */
    public function __construct(public float $seconds, public bool $hasDate, public bool $hasZone)
    {
    }

    /** The same, if the clock fits this session; null for another day. */
    public function shiftS(\DateTimeInterface $pluggedIn, \DateTimeZone $zone): ?float
    {
        $after = $this->after($pluggedIn, $zone);

        return abs($after) <= self::SAME_VISIT_S ? $after : null;
    }

    /** When the file starts unless somebody corrects it (s): by its clock, if that has a date. Times from 0:00:00 may be elapsed time. */
    public function usualShiftS(\DateTimeInterface $pluggedIn, \DateTimeZone $zone): float
    {
        return $this->hasDate ? $this->shiftS($pluggedIn, $zone) ?? 0.0 : 0.0;
    }

    /**
     * The start of a second file by the clock of a first (s after plugging in); null where the two don't fit one
     * session, or only one has a date.
     *
     * @param  float  $firstShiftS  where the first one was laid
     */
    public function besideS(self $first, float $firstShiftS, \DateTimeZone $zone): ?float
    {
        if ($this->hasDate !== $first->hasDate) {
            return null;
        }
        if ($this->hasDate) {
            $began = new \DateTimeImmutable('@0');
            $after = $this->after($began, $zone) - $first->after($began, $zone);

            return abs($after) <= self::SAME_VISIT_S ? $firstShiftS + $after : null;
        }
        $after = $this->seconds - $first->seconds;
        $after -= self::DAY_S * round($after / self::DAY_S);

        return abs($after) <= self::SAME_HOURS_S && min($this->seconds, $first->seconds) >= self::FROM_ZERO_S ? $firstShiftS + $after : null;
    }

    /** When the session began, by a clock with a date; null for any other. */
    public function pluggedIn(float $shiftS, \DateTimeZone $zone): ?\DateTimeImmutable
    {
        return $this->hasDate ? new \DateTimeImmutable('@'.(int) round($this->after(new \DateTimeImmutable('@0'), $zone) - $shiftS)) : null;
    }

    /** @return array{seconds: float, has_date: bool, has_zone: bool} */
    public function toArray(): array
    {
        return ['seconds' => $this->seconds, 'has_date' => $this->hasDate, 'has_zone' => $this->hasZone];
    }

    public static function fromArray(mixed $kept): ?self
    {
        return is_array($kept) && is_numeric($kept['seconds'] ?? null) ? new self((float) $kept['seconds'], ($kept['has_date'] ?? false) === true, ($kept['has_zone'] ?? false) === true) : null;
    }

    /**
     * How long after plugging in the first row was taken (s), negative if before. A clock without a zone is read in
     * $zone; one without a date as the nearest day.
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
