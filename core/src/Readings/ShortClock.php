<?php

declare(strict_types=1);

namespace Harmozon\Core\Readings;

/**
 * A clock in two parts, `0:50`, is either minutes and seconds or hours and minutes. A first part above 23, or steps
 * that would make the session longer than a day, decide it; otherwise we ask.
 */
final class ShortClock
{
    /** As in a mapping. */
    public const MINUTES = 'm:ss';

    public const HOURS = 'h:mm';

    private const TWO_PARTS = '/^(\d{1,3}):([0-5]\d)$/';

    private const LAST_HOUR = 23;

    private const DAY_MINUTES = 1440;

    /** Rows examined before we ask. */
    private const MOST_ROWS = 100_000;

    private ?int $last = null;

    private int $minutes = 0;

    private string $example = '';

    private int $rows = 0;

    private ?string $format = null;

    /** Whether it turned out to be no clock in two parts. */
    private bool $isOther = false;

    /** @return float|null seconds; null when the text is not written so */
    public static function seconds(string $text, string $format): ?float
    {
        if (preg_match(self::TWO_PARTS, $text, $m) !== 1) {
            return null;
        }

        return ((int) $m[1] * 60 + (int) $m[2]) * ($format === self::MINUTES ? 1.0 : 60.0);
    }

    /** @param  string  $text  of the next row; empty where it has none */
    public function look(string $text): void
    {
        $this->rows++;
        if ($text === '') {
            return;
        }
        if (preg_match(self::TWO_PARTS, $text, $m) !== 1) {
            $this->isOther = true;

            return;
        }
        $now = (int) $m[1] * 60 + (int) $m[2];
        // An hour that falls back has passed midnight.
        $this->minutes += $this->last === null ? 0 : $now - $this->last + ($now < $this->last ? self::DAY_MINUTES : 0);
        $this->last = $now;
        $this->example = $text;
        if ((int) $m[1] > self::LAST_HOUR || $this->minutes > self::DAY_MINUTES) {
            $this->format = self::MINUTES;
        }
    }

    /** Whether more rows may tell. */
    public function isOpen(): bool
    {
        return ! $this->isOther && $this->format === null && $this->rows < self::MOST_ROWS;
    }

    /** Null where it is no clock in two parts, or nothing has told. */
    public function format(): ?string
    {
        return $this->format;
    }

    public function isUnsure(): bool
    {
        return ! $this->isOther && $this->format === null && $this->last !== null;
    }

    /** The newest time, for the question. */
    public function example(): string
    {
        return $this->example;
    }
}
