<?php

declare(strict_types=1);

namespace Harmozon\Core\Readings;

use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Json\Node;
use Harmozon\Core\Readings\Foreign\Encoding;
use Harmozon\Core\Readings\Foreign\Mapping;
use Harmozon\Core\Readings\Foreign\Sniffer;
use Harmozon\Core\Readings\Foreign\TimeMap;
use Harmozon\Core\Record\Event;
use Harmozon\Core\Record\EventCode;
use Harmozon\Core\Record\Reading;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Listing;
use Harmozon\Core\Words\Message;

/**
 * Reads a readings file row by row: a header with `t_s` (or `time`) and any of the contract's columns. A bad row is
 * reported and left out; the rest is kept. Never holds more than one row.
 */
final class ReadingsReader
{
    private const LONGEST_TEXT = 300;

    private ?ReadingColumns $columns = null;

    private ?FileClock $clock = null;

    private ?Mapping $guessed = null;

    /** Lines that a guess is made from. */
    private const PEEK = 40;

    /**
     * @param  Mapping|null  $mapping  null: a file of ours, or one whose mapping is guessed
     * @param  int  $shiftMs  how long after plugging in the file's own time begins; negative where before
     */
    public function __construct(private readonly ?Mapping $mapping = null, private readonly int $shiftMs = 0)
    {
    }

    /** How a file that is not ours was taken to be written; null where nothing had to be guessed. */
    public function guessed(): ?Mapping
    {
        return $this->guessed;
    }

    /** What its first row says of the hour; null where it counts seconds, or before that row. */
    public function clockStart(): ?ClockStart
    {
        return $this->clock?->start();
    }

    /** @return list<string> headers that were not understood; known once reading has begun */
    public function ignoredColumns(): array
    {
        return $this->columns->ignored ?? [];
    }

    /**
     * @param  iterable<string>  $lines
     * @return \Generator<int, Reading|Event|RejectedRow> by line number; of a row with an event it comes after the reading
     *
     * @throws FieldError when the header cannot be used
     */
    public function read(iterable $lines): \Generator
    {
        [$lines, $mapping] = $this->mapped($lines);
        $records = new CsvRecords($lines, $mapping?->delimiter);
        $rows = (static function () use ($records): \Generator {
            yield from $records;
        })();
        if (! $rows->valid()) {
            throw FieldError::at('readings', Message::of('readings.empty'));
        }
        $header = self::cells($rows->current(), 'readings');
        $rows->next();
        $this->columns = $mapping === null ? ReadingColumns::of($header, $records->delimiter() !== ',') : ReadingColumns::mapped($header, $mapping);
        $this->clock = new FileClock($mapping?->time);
        $at = isset($this->columns->numbers['t_s']) || $mapping?->time?->format !== null ? null : $this->columns->time;
        foreach ($at === null ? self::rest($rows) : $this->settled($rows, $at, $header[$at] ?? 'time', $mapping?->toArray() ?? ['delimiter' => $records->delimiter(), 'columns' => ReadingColumns::told($header)]) as $line => $cells) {
            try {
                $cells = self::cells($cells, 'row');
                $reading = $this->reading($this->columns, $cells);
                if ($this->columns->event === null) {
                    yield $line => $reading;

                    continue;
                }
                if ($reading->holdsAnything()) {
                    yield $line => $reading;
                }
                $event = self::event($cells[$this->columns->event] ?? '', $reading);
                if ($event !== null) {
                    yield $line => $event;
                }
            } catch (FieldError $e) {
                yield $line => new RejectedRow($line, $e->complaint());
            }
        }
    }

    /**
     * The rows, once it is known how a clock in two parts is written: until then they are held.
     *
     * @param  \Generator<int, list<string>|Message>  $rows
     * @param  int  $at  position of the clock
     * @param  string  $column  the file's own name of it
     * @param  array<string, mixed>  $mapping  of the file, but for how its clock is written
     * @return \Generator<int, list<string>|Message>
     *
     * @throws FieldError when nothing tells
     */
    private function settled(\Generator $rows, int $at, string $column, array $mapping): \Generator
    {
        $clock = new ShortClock;
        $held = [];
        while ($rows->valid() && $clock->isOpen()) {
            $row = $rows->current();
            $held[] = [$rows->key(), $row];
            $clock->look(is_array($row) ? ($row[$at] ?? '') : '');
            $rows->next();
        }
        if ($clock->isUnsure()) {
            throw $clock->unsure($column, $mapping);
        }
        if ($clock->format() !== null) {
            $this->clock = new FileClock(new TimeMap($column, $clock->format()));
        }
        foreach ($held as [$line, $row]) {
            yield $line => $row;
        }
        yield from self::rest($rows);
    }

    /**
     * @param  \Generator<int, list<string>|Message>  $rows
     * @return \Generator<int, list<string>|Message>
     */
    private static function rest(\Generator $rows): \Generator
    {
        while ($rows->valid()) {
            yield $rows->key() => $rows->current();
            $rows->next();
        }
    }

    /**
     * @param  list<string>|Message  $record
     * @return list<string>
     */
    private static function cells(array|Message $record, string $of): array
    {
        return $record instanceof Message ? throw FieldError::at($of, $record) : $record;
    }

    /**
     * The lines in UTF-8, and how they are to be read where they are not ours.
     *
     * @param  iterable<string>  $lines
     * @return array{iterable<string>, Mapping|null}
     */
    private function mapped(iterable $lines): array
    {
        if ($this->mapping !== null) {
            return [self::decoded($lines, $this->mapping), $this->mapping];
        }
        $all = (static function () use ($lines): \Generator {
            yield from $lines;
        })();
        $head = [];
        $isOurs = null;
        while ($isOurs !== true && count($head) < self::PEEK && $all->valid()) {
            $head[] = (string) $all->current();
            $isOurs ??= self::isOurs($head);
            $all->next();
        }
        $whole = (static function () use ($head, $all): \Generator {
            yield from $head;
            while ($all->valid()) {
                yield (string) $all->current();
                $all->next();
            }
        })();
        $this->guessed = $isOurs === true ? null : Sniffer::guess($head);

        return $this->guessed === null ? [$whole, null] : [self::decoded($whole, $this->guessed), $this->guessed];
    }

    /**
     * @param  list<string>  $head  lines so far
     * @return bool|null null while there is no header yet
     */
    private static function isOurs(array $head): ?bool
    {
        foreach (new CsvRecords($head) as $cells) {
            return $cells instanceof Message || ReadingColumns::knows($cells);
        }

        return null;
    }

    /**
     * @param  iterable<string>  $lines
     * @return iterable<string>
     */
    private static function decoded(iterable $lines, Mapping $mapping): iterable
    {
        if ($mapping->encoding !== Encoding::Windows1252) {
            return $lines;
        }

        return (static function () use ($lines, $mapping): \Generator {
            foreach ($lines as $line) {
                yield $mapping->encoding->toUtf8($line);
            }
        })();
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
            if ($name === 't_s' ? $text !== '' : ! NumberColumn::isEmpty($text)) {
                $read[$name] = $column->read($text);
            }
        }
        $isEvent = $columns->event !== null && ($cells[$columns->event] ?? '') !== '';
        if (! $isEvent && count($read) <= (isset($read['t_s']) ? 1 : 0)) {
            throw FieldError::at('row', Message::of('readings.no_value'));
        }
        $celsius = [];
        foreach ($columns->points as $name => $point) {
            if (isset($read[$name])) {
                $celsius[$point] = $read[$name];
            }
        }

        $tMs = (int) round(1000 * ($read['t_s'] ?? $this->clockS($columns, $cells))) + $this->shiftMs;
        if ($tMs < 0) {
            throw FieldError::at(isset($read['t_s']) ? 't_s' : 'time', Message::of('readings.before_plugging_in'));
        }

        return new Reading(
            $tMs,
            $read['soc_pct'] ?? null,
            $read['volts'] ?? null,
            $read['amps'] ?? null,
            $read['kw'] ?? null,
            $celsius,
            $columns->source === null ? null : self::text($cells[$columns->source] ?? '', 'source'),
            $columns->note === null ? null : self::text($cells[$columns->note] ?? '', 'note'),
        );
    }

    /** Its note stands beside it as well. */
    private static function event(string $code, Reading $reading): ?Event
    {
        if ($code === '') {
            return null;
        }
        $known = EventCode::tryFrom($code) ?? throw FieldError::at('event', Message::of('field.none_of', value: '"'.mb_substr(mb_scrub($code), 0, Node::LONGEST_QUOTE).'"', known: Listing::comma(array_column(EventCode::cases(), 'value'))));

        return new Event($known, $reading->tMs, $reading->note === null ? null : mb_substr($reading->note, 0, Event::LONGEST_DETAIL));
    }

    /** @param  list<string>  $cells */
    private function clockS(ReadingColumns $columns, array $cells): float
    {
        $time = $columns->time === null ? '' : $cells[$columns->time] ?? '';
        if ($time === '') {
            throw FieldError::at(isset($columns->numbers['t_s']) ? 't_s' : 'time', Message::of('field.missing'));
        }

        return ($this->clock ?? new FileClock(null))->elapsedS($time);
    }

    private static function text(string $text, string $name): ?string
    {
        return match (true) {
            $text === '' => null,
            ! mb_check_encoding($text, 'UTF-8') => throw FieldError::at($name, Message::of('readings.not_utf8')),
            mb_strlen($text) > self::LONGEST_TEXT => throw FieldError::at($name, Message::of('field.too_long', most: Amount::count(self::LONGEST_TEXT))),
            default => SheetCell::read($text),
        };
    }
}
