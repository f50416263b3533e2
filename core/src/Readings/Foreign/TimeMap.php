<?php

declare(strict_types=1);

namespace Harmozon\Core\Readings\Foreign;

use Harmozon\Core\Readings\ShortClock;

/** Which column holds the clock, and how it is written. */
final readonly class TimeMap
{
    /**
     * @param  string|null  $format  as of PHP's dates (`d.m.Y H:i:s`), or `m:ss`, `h:mm`; null: ISO 8601 or h:mm:ss
     * @param  string|null  $zone  of IANA's list; null: UTC
     * @param  bool  $isMilliseconds  whether a count since 1970 (`U`) is one of milliseconds
     * @param  string|null  $hourColumn  where the date stands in one column and the hour in another; null: one holds both
     */
    public function __construct(public string $column, public ?string $format = null, public ?string $zone = null, public bool $isMilliseconds = false, public ?string $hourColumn = null)
    {
    }

    /** @return list<string> one, or that of the date and that of the hour: a blank stands between the two when they are read */
    public function columns(): array
    {
        return $this->hourColumn === null ? [$this->column] : [$this->column, $this->hourColumn];
    }

    /** The same column, written so. */
    public function written(string $format): self
    {
        return new self($this->column, $format, $this->zone, $this->isMilliseconds, $this->hourColumn);
    }

    /** Whether it is a clock in two parts. */
    public function isShort(): bool
    {
        return $this->format === ShortClock::MINUTES || $this->format === ShortClock::HOURS;
    }

    /** Seconds since 1970, of a clock in two parts since its zero; null when the text is not written so. */
    public function seconds(string $text): ?float
    {
        // PHP takes an empty byte for a mistake in the program.
        if (str_contains($text, "\0")) {
            return null;
        }
        if ($this->isShort()) {
            return ShortClock::seconds($text, (string) $this->format);
        }
        if ($this->isMilliseconds) {
            return preg_match('/^\d{1,14}$/', $text) === 1 ? (int) $text / 1000 : null;
        }
        $at = \DateTimeImmutable::createFromFormat('!'.$this->format, $text, new \DateTimeZone($this->zone ?? 'UTC'));
        $errors = \DateTimeImmutable::getLastErrors();

        return $at === false || ($errors !== false && $errors['warning_count'] > 0) ? null : (float) $at->format('U.u');
    }

    /** @return array{column?: string, columns?: list<string>, format?: string, zone?: string, unit?: 'ms'} */
    public function toArray(): array
    {
        return [...($this->hourColumn === null ? ['column' => $this->column] : ['columns' => $this->columns()]), ...($this->format === null ? [] : ['format' => $this->format]), ...($this->zone === null ? [] : ['zone' => $this->zone]), ...($this->isMilliseconds ? ['unit' => 'ms'] : [])];
    }
}
