<?php

declare(strict_types=1);

namespace Harmozon\Core\Readings;

use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Readings\Foreign\Mapping;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;

/**
 * Holds a file's rows until it is clear how to read them: whether the newest comes first, whether a clock in two parts
 * counts minutes or hours, which is the decimal separator.
 */
final class FormatSettler
{
    /** Rows whose times show whether the newest comes first, and how many decreases that takes. */
    private const FIRST_ROWS = 8;

    private const FEWEST_FALLS = 2;

    /** A clock without a date that falls by more has passed midnight: half a day (s). */
    private const MIDNIGHT_S = 43_200.0;

    /** The most rows that are held. */
    private const MOST_HELD = 200_000;

    /** Separates the cells of a held row, unless one of them contains it. */
    private const BETWEEN = "\x1F";

    /** Null where a mapping gives the clock's format, or there is no clock. */
    private readonly ?ShortClock $short;

    /** @var array<int, int> where the newest stands first: the line of a row in the file, by the number it is told with */
    private array $lines = [];

    /**
     * @param  ReadingColumns  $columns  of the file
     * @param  Mapping  $mapping  of the file, but for what is open
     */
    public function __construct(private readonly ReadingColumns $columns, private readonly NumberSigns $signs, private readonly Mapping $mapping)
    {
        $hasClock = $columns->time !== [] && ! isset($columns->numbers['t_s']) && $mapping->time?->format === null;
        $this->short = $hasClock ? new ShortClock : null;
    }

    /**
     * @param  \Generator<int, list<string>|Message>  $rows
     * @return \Generator<int, list<string>|Message> oldest first, by ascending numbers
     *
     * @throws FieldError when nothing tells
     */
    public function rows(\Generator $rows): \Generator
    {
        $first = $this->first($rows);
        yield from $this->held($this->lines === [] ? $first : $this->turned($first), $rows);
    }

    /** The line of a row in the file. */
    public function lineOf(int $number): int
    {
        return $this->lines[$number] ?? $number;
    }

    /** The clock that counts the rows from the first one. */
    public function clock(): FileClock
    {
        $format = $this->short?->format();

        return new FileClock($format === null ? $this->mapping->time : $this->mapping->time?->written($format));
    }

    /** How the file was taken to be written. */
    public function mapping(): Mapping
    {
        return $this->mapping->withDecimal($this->signs->decimal() ?? $this->mapping->decimal);
    }

    /**
     * @param  iterable<int, string|list<string>|Message>  $first  packed
     * @param  \Generator<int, list<string>|Message>  $rows  behind them
     * @return \Generator<int, list<string>|Message>
     */
    private function held(iterable $first, \Generator $rows): \Generator
    {
        $held = [];
        foreach ($first as $line => $row) {
            yield from $this->look($line, self::opened($row), $held);
        }
        while ($rows->valid() && ($held !== [] || $this->short?->isOpen() === true || ! $this->signs->isSettled())) {
            yield from $this->look($rows->key(), $rows->current(), $held);
            $rows->next();
        }
        $this->mustBeSettled();
        yield from self::unpacked($held);
        while ($rows->valid()) {
            yield $rows->key() => $rows->current();
            $rows->next();
        }
    }

    /**
     * @param  list<string>|Message  $row
     * @param  array<int, string|list<string>|Message>  $held
     * @return iterable<int, list<string>|Message> the row with those that were held, or none while it is open how they are read
     */
    private function look(int $line, array|Message $row, array &$held): iterable
    {
        if (is_array($row)) {
            if ($this->short?->isOpen() === true) {
                $this->short->look(FileClock::text($this->columns->time, $row));
            }
            $this->signs->look($this->columns->numbers, $row);
        }
        $isOpen = $this->short?->isOpen() === true || $this->signs->isOpen();
        if ($isOpen && count($held) < self::MOST_HELD) {
            $held[$line] = self::packed($row);

            return [];
        }
        if ($held === []) {
            return [$line => $row];
        }
        $this->mustBeSettled();
        [$all, $held] = [$held, []];

        return self::together($all, $line, $row);
    }

    /** @throws AmbiguousFile */
    private function mustBeSettled(): void
    {
        $this->signs->conclude();
        if ($this->short?->isUnsure() === true) {
            throw AmbiguousFile::ofClock($this->short->example(), $this->columns->timeHeader(), $this->mapping());
        }
        $unsure = $this->signs->unsure();
        if ($unsure !== null) {
            throw AmbiguousFile::ofSigns($unsure[1], $this->columns->headerAt($unsure[0]), $this->mapping());
        }
    }

    /**
     * The first rows; all of them where the newest comes first.
     *
     * @param  \Generator<int, list<string>|Message>  $rows
     * @return array<int, string|list<string>|Message> packed
     *
     * @throws FieldError where the newest stands first, and there are more than can be turned round
     */
    private function first(\Generator $rows): array
    {
        $held = [];
        $falls = $steps = 0;
        $last = null;
        $clock = $this->clock();
        while ($rows->valid() && count($held) < self::FIRST_ROWS && $falls === $steps) {
            $row = $rows->current();
            $held[$rows->key()] = self::packed($row);
            $now = is_array($row) ? $this->moment($row, $clock) : null;
            if ($now !== null && $last !== null && $now[0] !== $last[0]) {
                $steps++;
                $falls += $now[0] < $last[0] && ($now[1] || $last[0] > 2 * self::MIDNIGHT_S || $now[0] > $last[0] - self::MIDNIGHT_S) ? 1 : 0;
            }
            $last = $now ?? $last;
            $rows->next();
        }
        if ($falls < self::FEWEST_FALLS || $falls !== $steps) {
            return $held;
        }
        while ($rows->valid()) {
            $row = $rows->current();
            $held[$rows->key()] = self::packed($row);
            if (count($held) > self::MOST_HELD) {
                throw FieldError::at('readings', Message::of('readings.newest_first', most: Amount::count(self::MOST_HELD)));
            }
            $rows->next();
        }
        $numbers = array_keys($held);
        $this->lines = array_combine($numbers, array_reverse($numbers));

        return $held;
    }

    /**
     * @param  array<int, string|list<string>|Message>  $held
     * @return \Generator<int, string|list<string>|Message> the last one first, by ascending numbers
     */
    private function turned(array $held): \Generator
    {
        foreach ($this->lines as $number => $line) {
            yield $number => $held[$line];
        }
    }

    /**
     * @param  list<string>  $row
     * @return array{float, bool}|null seconds, and whether they are those of a day too; null where the row tells none
     */
    private function moment(array $row, FileClock $clock): ?array
    {
        try {
            $seconds = $this->columns->numbers['t_s'] ?? null;
            if ($seconds !== null) {
                $text = $row[$seconds->position] ?? '';

                return $text === '' ? null : [$seconds->read($text), true];
            }
            $text = FileClock::text($this->columns->time, $row);
            $at = $text === '' ? null : $clock->moment($text);

            return $at === null ? null : [$at->seconds, $at->hasDate];
        } catch (FieldError) {
            return null;
        }
    }

    /**
     * @param  array<int, string|list<string>|Message>  $held
     * @return \Generator<int, list<string>|Message>
     */
    private static function unpacked(array $held): \Generator
    {
        foreach ($held as $line => $row) {
            yield $line => self::opened($row);
        }
    }

    /**
     * @param  array<int, string|list<string>|Message>  $held
     * @param  list<string>|Message  $row
     * @return \Generator<int, list<string>|Message>
     */
    private static function together(array $held, int $line, array|Message $row): \Generator
    {
        yield from self::unpacked($held);
        yield $line => $row;
    }

    /**
     * As one string a row takes a fifth of the memory.
     *
     * @param  list<string>|Message  $row
     * @return string|list<string>|Message
     */
    private static function packed(array|Message $row): string|array|Message
    {
        $text = is_array($row) ? implode(self::BETWEEN, $row) : '';

        return is_array($row) && substr_count($text, self::BETWEEN) === count($row) - 1 ? $text : $row;
    }

    /**
     * @param  string|list<string>|Message  $row
     * @return list<string>|Message
     */
    private static function opened(string|array|Message $row): array|Message
    {
        return is_string($row) ? explode(self::BETWEEN, $row) : $row;
    }
}
