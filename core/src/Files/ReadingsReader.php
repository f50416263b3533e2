<?php

declare(strict_types=1);

namespace Harmozon\Core\Files;

use Harmozon\Core\Record\Reading;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;

/**
 * Reads a readings file row by row: a header with `t_s` (or `time`) and any of the contract's columns. A bad row is
 * reported and left out; the rest is kept. Never holds more than one row.
 */
final class ReadingsReader
{
    private const LONGEST_TEXT = 300;

    private const DAY_S = 86_400;

    private ?ReadingColumns $columns = null;

    private ?float $firstClockS = null;

    private ?float $lastClockS = null;

    private float $midnightsS = 0.0;

    /** @return list<string> headers that were not understood; known once reading has begun */
    public function ignoredColumns(): array
    {
        return $this->columns->ignored ?? [];
    }

    /**
     * @param  iterable<string>  $lines
     * @return \Generator<int, Reading|RejectedRow> by line number
     *
     * @throws FieldError when the header cannot be used
     */
    public function read(iterable $lines): \Generator
    {
        $records = new CsvRecords($lines);
        foreach ($records as $line => $cells) {
            if ($this->columns === null) {
                $this->columns = ReadingColumns::of($cells ?? throw FieldError::at('readings', Message::of('readings.open_quote')), $records->delimiter() !== ',');

                continue;
            }
            try {
                yield $line => $this->reading($this->columns, $cells ?? throw FieldError::at('row', Message::of('readings.open_quote')));
            } catch (FieldError $e) {
                yield $line => new RejectedRow($line, $e->complaint());
            }
        }
        if ($this->columns === null) {
            throw FieldError::at('readings', Message::of('readings.empty'));
        }
    }

    /** @param  list<string>  $cells */
    private function reading(ReadingColumns $columns, array $cells): Reading
    {
        if (count($cells) > $columns->width) {
            throw FieldError::at('row', Message::of('readings.more_cells'));
        }
        $read = [];
        foreach ($columns->numbers as $name => $column) {
            $text = $cells[$column->position] ?? '';
            if ($text !== '') {
                $read[$name] = $column->read($text);
            }
        }
        if (count($read) <= (isset($read['t_s']) ? 1 : 0)) {
            throw FieldError::at('row', Message::of('readings.no_value'));
        }
        $celsius = [];
        foreach ($columns->points as $name => $point) {
            if (isset($read[$name])) {
                $celsius[$point] = $read[$name];
            }
        }

        return new Reading(
            (int) round(1000 * ($read['t_s'] ?? $this->clockS($columns, $cells))),
            $read['soc_pct'] ?? null,
            $read['volts'] ?? null,
            $read['amps'] ?? null,
            $read['kw'] ?? null,
            $celsius,
            $columns->source === null ? null : self::text($cells[$columns->source] ?? '', 'source'),
            $columns->note === null ? null : self::text($cells[$columns->note] ?? '', 'note'),
        );
    }

    /** @param  list<string>  $cells */
    private function clockS(ReadingColumns $columns, array $cells): float
    {
        $time = $columns->time === null ? '' : $cells[$columns->time] ?? '';
        if ($time === '') {
            throw FieldError::at(isset($columns->numbers['t_s']) ? 't_s' : 'time', Message::of('field.missing'));
        }

        return $this->sinceFirst(...self::clock($time));
    }

    /**
     * @return array{float, bool} seconds, and whether they carry no date
     */
    private static function clock(string $time): array
    {
        if (preg_match('/^(\d{1,3}):([0-5]\d)(?::([0-5]\d(?:[.,]\d+)?))?$/', $time, $m) === 1) {
            return [(int) $m[1] * 3600 + (int) $m[2] * 60 + (float) str_replace(',', '.', $m[3] ?? '0'), true];
        }
        if (preg_match('/^\d{4}-\d\d-\d\d[T ]\d\d:\d\d/', $time) === 1) {
            try {
                return [(float) (new \DateTimeImmutable($time, new \DateTimeZone('UTC')))->format('U.u'), false];
            } catch (\Exception) {
                // Falls through to the one complaint below.
            }
        }
        throw FieldError::at('time', Message::of('readings.not_time', text: mb_substr($time, 0, Node::LONGEST_QUOTE)));
    }

    /** Clock times count from the first row; a clock without a date that falls back by half a day has passed midnight. */
    private function sinceFirst(float $clockS, bool $hasNoDate): float
    {
        if ($hasNoDate && $this->lastClockS !== null && $clockS < $this->lastClockS - self::DAY_S / 2) {
            $this->midnightsS += self::DAY_S;
        }
        $this->lastClockS = $clockS;
        $this->firstClockS ??= $clockS;
        $elapsed = $clockS + $this->midnightsS - $this->firstClockS;

        return $elapsed >= 0 && $elapsed <= ReadingColumns::LONGEST_S ? $elapsed : throw FieldError::at('time', Message::of('readings.before_first'));
    }

    private static function text(string $text, string $name): ?string
    {
        return match (true) {
            $text === '' => null,
            ! mb_check_encoding($text, 'UTF-8') => throw FieldError::at($name, Message::of('readings.not_utf8')),
            mb_strlen($text) > self::LONGEST_TEXT => throw FieldError::at($name, Message::of('field.too_long', most: Amount::count(self::LONGEST_TEXT))),
            default => $text,
        };
    }
}
