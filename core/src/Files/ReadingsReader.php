<?php

declare(strict_types=1);

namespace Harmozon\Core\Files;

use Harmozon\Core\Record\Point;
use Harmozon\Core\Record\Reading;

/**
 * Reads a readings file row by row: a header with `t_s` (or `time`) and any of the contract's columns. A bad row is
 * reported and left out; the rest is kept. Never holds more than one row.
 */
final class ReadingsReader
{
    private const TIME_COLUMNS = ['t_s', 'time'];

    private const VALUE_COLUMNS = ['soc_pct', 'volts', 'amps', 'kw', 'adapter_c', 'handle_c', 'cable_c', 'inlet_c', 'ambient_c'];

    private const TEXT_COLUMNS = ['source', 'note'];

    private const LONGEST_TEXT = 300;

    /** A session cannot last longer (s): 100 days. */
    private const LONGEST_S = 8_640_000.0;

    /** @var list<string> columns of the file that are not read */
    private array $ignored = [];

    /** Cells in the header. */
    private int $width = 0;

    private ?float $firstClockS = null;

    private ?float $lastClockS = null;

    private float $midnightsS = 0.0;

    /** @return list<string> headers that were not understood; known once reading has begun */
    public function ignoredColumns(): array
    {
        return $this->ignored;
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
        /** @var array<int, string>|null $columns */
        $columns = null;
        foreach ($records as $line => $cells) {
            if ($columns === null) {
                $columns = $this->columns($cells);

                continue;
            }
            try {
                yield $line => $this->reading($columns, $cells, $records->delimiter() !== ',');
            } catch (FieldError $e) {
                yield $line => new RejectedRow($line, $e->getMessage());
            }
        }
        if ($columns === null) {
            throw FieldError::at('readings', 'the file is empty');
        }
    }

    /**
     * @param  list<string>  $cells
     * @return array<int, string> known columns by position
     */
    private function columns(array $cells): array
    {
        $known = [...self::TIME_COLUMNS, ...self::VALUE_COLUMNS, ...self::TEXT_COLUMNS];
        $this->width = count($cells);
        $columns = [];
        foreach ($cells as $position => $cell) {
            $name = mb_check_encoding($cell, 'UTF-8') ? mb_strtolower($cell) : '';
            if (in_array($name, $columns, true)) {
                throw FieldError::at('readings', sprintf('the header names "%s" twice', $name));
            }
            if (in_array($name, $known, true)) {
                $columns[$position] = $name;
            } elseif ($cell !== '') {
                $this->ignored[] = mb_scrub($cell);
            }
        }
        if (array_intersect(self::TIME_COLUMNS, $columns) === []) {
            throw FieldError::at('readings', 'the header needs a column t_s (seconds) or time');
        }
        if (array_intersect(self::VALUE_COLUMNS, $columns) === []) {
            throw FieldError::at('readings', 'the header names none of '.implode(', ', self::VALUE_COLUMNS));
        }

        return $columns;
    }

    /**
     * @param  array<int, string>  $columns
     * @param  list<string>  $cells
     */
    private function reading(array $columns, array $cells, bool $decimalComma): Reading
    {
        if (count($cells) > $this->width) {
            throw FieldError::at('row', 'has more cells than the header');
        }
        $texts = [];
        foreach ($columns as $position => $name) {
            $text = $cells[$position] ?? '';
            if (! mb_check_encoding($text, 'UTF-8')) {
                throw FieldError::at($name, 'is not UTF-8');
            }
            $texts[$name] = $text;
        }
        $number = static fn (string $name, Range $range): ?float => self::number($texts[$name] ?? '', $name, $range, $decimalComma);
        $celsius = [];
        foreach (Point::cases() as $point) {
            $value = $number($point->value.'_c', Range::readCelsius());
            if ($value !== null) {
                $celsius[$point->value] = $value;
            }
        }
        $reading = new Reading(
            (int) round(1000 * $this->seconds($texts, $decimalComma)),
            $number('soc_pct', Range::soc()),
            $number('volts', Range::readVolts()),
            $number('amps', Range::readAmps()),
            $number('kw', Range::readKw()),
            $celsius,
            self::text($texts['source'] ?? '', 'source'),
            self::text($texts['note'] ?? '', 'note'),
        );

        return $reading->holdsAnything() ? $reading : throw FieldError::at('row', 'holds no value');
    }

    /** @param  array<string, string>  $texts */
    private function seconds(array $texts, bool $decimalComma): float
    {
        if (($texts['t_s'] ?? '') !== '') {
            return self::number($texts['t_s'], 't_s', Range::seconds(self::LONGEST_S), $decimalComma) ?? 0.0;
        }
        $time = $texts['time'] ?? '';
        if ($time === '') {
            throw FieldError::at(isset($texts['t_s']) ? 't_s' : 'time', 'is missing');
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
        throw FieldError::at('time', sprintf('"%s" is neither ISO 8601 nor h:mm:ss', mb_substr($time, 0, 40)));
    }

    /** Clock times count from the first row; a clock without a date that falls back by half a day has passed midnight. */
    private function sinceFirst(float $clockS, bool $hasNoDate): float
    {
        if ($hasNoDate && $this->lastClockS !== null && $clockS < $this->lastClockS - 43_200) {
            $this->midnightsS += 86_400;
        }
        $this->lastClockS = $clockS;
        $this->firstClockS ??= $clockS;
        $elapsed = $clockS + $this->midnightsS - $this->firstClockS;

        return $elapsed >= 0 && $elapsed <= self::LONGEST_S ? $elapsed : throw FieldError::at('time', 'lies before the first row');
    }

    private static function number(string $text, string $name, Range $range, bool $decimalComma): ?float
    {
        if ($text === '') {
            return null;
        }
        $plain = $decimalComma ? str_replace(',', '.', $text) : $text;
        if (preg_match('/^[+-]?(\d+\.?\d*|\.\d+)(e[+-]?\d{1,3})?$/i', $plain) !== 1) {
            throw FieldError::at($name, sprintf('"%s" is not a number', mb_substr($text, 0, 40)));
        }
        $value = (float) $plain;

        return $range->holds($value) ? $value : throw FieldError::at($name, sprintf('%s is outside %s', $text, $range->words()));
    }

    private static function text(string $text, string $name): ?string
    {
        return match (true) {
            $text === '' => null,
            mb_strlen($text) > self::LONGEST_TEXT => throw FieldError::at($name, 'is longer than '.self::LONGEST_TEXT.' characters'),
            default => $text,
        };
    }
}
