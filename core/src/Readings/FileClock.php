<?php

declare(strict_types=1);

namespace Harmozon\Core\Readings;

use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Json\Node;
use Harmozon\Core\Json\RealDay;
use Harmozon\Core\Readings\Foreign\TimeMap;
use Harmozon\Core\Words\Message;

/** The clock times of a readings file, counted from its first row. */
final class FileClock
{
    private const DAY_S = 86_400;

    private const HAS_ZONE = '/(?:Z|[+-]\d\d(?::?\d\d)?)$/i';

    /** Format letters that include a time zone or don't need one. */
    private const ZONED_FORMATS = 'UeTPOp';

    private const DATED_FORMATS = 'djzmMnFU';

    private ?ClockStart $start = null;

    private ?float $lastS = null;

    private float $midnightsS = 0.0;

    /** @param  TimeMap|null  $written  null: ISO 8601 or h:mm:ss */
    public function __construct(private readonly ?TimeMap $written)
    {
    }

    /**
     * A row's clock time: one cell, or two joined by a blank; empty if one of them is.
     *
     * @param  list<int>  $positions
     * @param  list<string>  $cells
     */
    public static function text(array $positions, array $cells): string
    {
        if (count($positions) < 2) {
            return $positions === [] ? '' : $cells[$positions[0]] ?? '';
        }
        [$date, $hour] = [$cells[$positions[0]] ?? '', $cells[$positions[1]] ?? ''];

        return $date === '' || $hour === '' ? '' : "{$date} {$hour}";
    }

    /** Null before the first row. */
    public function start(): ?ClockStart
    {
        return $this->start;
    }

    /**
     * Seconds since the first row.
     *
     * @throws FieldError at `time`
     */
    public function elapsedS(string $time): float
    {
        $read = $this->written?->format === null ? self::read($time, $this->written?->zone) : $this->asWritten($this->written, $time);
        // A clock without a date that falls back by half a day has passed midnight; minutes and seconds count on.
        if (! $read->hasDate && $this->written?->format !== ShortClock::MINUTES && $this->lastS !== null && $read->seconds < $this->lastS - self::DAY_S / 2) {
            $this->midnightsS += self::DAY_S;
        }
        $this->lastS = $read->seconds;
        $this->start ??= $read;
        $elapsed = $read->seconds + $this->midnightsS - $this->start->seconds;

        return $elapsed >= 0 && $elapsed <= ReadingColumns::LONGEST_S ? $elapsed : throw FieldError::at('time', Message::of('readings.before_first'));
    }

    /**
     * One row's clock time.
     *
     * @throws FieldError at `time`
     */
    public function moment(string $time): ClockStart
    {
        return $this->written?->format === null ? self::read($time, $this->written?->zone) : $this->asWritten($this->written, $time);
    }

    private function asWritten(TimeMap $written, string $time): ClockStart
    {
        $hasDate = ! $written->isShort() && strpbrk((string) $written->format, self::DATED_FORMATS) !== false;
        $seconds = ($hasDate ? $written : new TimeMap($written->column, $written->format))->seconds($time)
            ?? throw FieldError::at('time', Message::of('mapping.not_time', text: mb_substr($time, 0, Node::LONGEST_QUOTE), format: (string) $written->format));

        return new ClockStart($seconds, $hasDate, $written->zone !== null || strpbrk((string) $written->format, self::ZONED_FORMATS) !== false);
    }

    /** @param  string|null  $zone  of a time that tells none itself; null: as if it were UTC */
    private static function read(string $time, ?string $zone): ClockStart
    {
        if (preg_match('/^(\d{1,3}):([0-5]\d)(?::([0-5]\d(?:[.,]\d+)?))?$/', $time, $m) === 1) {
            return new ClockStart((int) $m[1] * 3600 + (int) $m[2] * 60 + (float) str_replace(',', '.', $m[3] ?? '0'), false, false);
        }
        if (preg_match('/^(1[0-2]|0?\d):([0-5]\d)(?::([0-5]\d))? ?([ap])\.?m\.?$/i', $time, $m) === 1) {
            return new ClockStart(((int) $m[1] % 12 + (strtolower($m[4]) === 'p' ? 12 : 0)) * 3600 + (int) $m[2] * 60 + (float) $m[3], false, false);
        }
        if (preg_match('/^\d{4}-\d\d-\d\d[T ]\d\d:\d\d/', $time) === 1 && RealDay::opens($time) && ! str_contains($time, "\0")) {
            try {
                $at = new \DateTimeImmutable($time, new \DateTimeZone($zone ?? 'UTC'));

                return new ClockStart((float) $at->format('U.u'), true, $zone !== null || preg_match(self::HAS_ZONE, substr($time, 16)) === 1);
            } catch (\Exception) {
                // Falls through to the one complaint below.
            }
        }
        throw FieldError::at('time', Message::of('readings.not_time', text: mb_substr($time, 0, Node::LONGEST_QUOTE)));
    }
}
