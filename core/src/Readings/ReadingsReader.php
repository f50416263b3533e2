<?php

declare(strict_types=1);

namespace Harmozon\Core\Readings;

use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Json\FileKind;
use Harmozon\Core\Json\Node;
use Harmozon\Core\Readings\Foreign\Encoding;
use Harmozon\Core\Readings\Foreign\FileHead;
use Harmozon\Core\Readings\Foreign\FormatGuess;
use Harmozon\Core\Readings\Foreign\HeaderWords;
use Harmozon\Core\Readings\Foreign\LayoutFinder;
use Harmozon\Core\Readings\Foreign\Mapping;
use Harmozon\Core\Record\Event;
use Harmozon\Core\Record\EventCode;
use Harmozon\Core\Record\Reading;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Listing;
use Harmozon\Core\Words\Message;

/**
 * Reads a readings file row by row: a header with `t_s` (or `time`) and any of the contract's columns. A bad row is
 * reported and left out; the rest is kept. Keeps only one row in memory, unless it must wait to know how to read them.
 */
final class ReadingsReader
{
    private const LONGEST_TEXT = 300;

    private ?ReadingColumns $columns = null;

    private ?FileClock $clock = null;

    private ?FormatSettler $settling = null;

    private bool $isGuessed = false;

    /**
     * @param  Mapping|null  $mapping  null: a file of ours, or one whose mapping is guessed
     * @param  int  $shiftMs  how long after plugging in the file's own time begins; negative where before
     * @param  string|null  $instrument  that wrote the file, for rows that name none
     */
    public function __construct(private readonly ?Mapping $mapping = null, private readonly int $shiftMs = 0, private readonly ?string $instrument = null)
    {
    }

    /** The guessed format of a foreign file; null where nothing had to be guessed. */
    public function guessed(): ?Mapping
    {
        return $this->isGuessed ? $this->settling?->mapping() : null;
    }

    /** The clock time of its first row; null where it counts seconds, or before that row. */
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
        [$lines, $mapping, $layout] = $this->mapped($lines);
        $records = new CsvRecords($lines, $this->mapping->delimiter ?? $layout->delimiter ?? $mapping?->delimiter);
        $rows = (static function () use ($records): \Generator {
            yield from $records;
        })();
        if (! $rows->valid()) {
            throw FieldError::at('readings', Message::of('readings.empty'));
        }
        $header = self::cells($rows->current(), 'readings');
        $rows->next();
        if ($layout->hasUnits && $rows->valid()) {
            $rows->next();
        }
        $signs = $this->mapping === null ? NumberSigns::between($records->delimiter()) : NumberSigns::told($this->mapping->decimal, $this->mapping->thousands);
        $this->columns = $mapping === null ? ReadingColumns::of($header, $signs, $layout) : ReadingColumns::mapped($header, $mapping, $signs);
        $this->settling = new FormatSettler($this->columns, $signs, $mapping ?? $this->columns->asMapping($records->delimiter(), $layout));
        foreach ($this->settling->rows($rows) as $line => $cells) {
            $this->clock ??= $this->settling->clock();
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
                yield $line => new RejectedRow($this->settling->lineOf($line), is_array($cells) && HeaderWords::areTotals($cells) ? Message::of('readings.totals') : $this->columns->complaint($e));
            }
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
     * The lines in UTF-8, and how to read them where they aren't in our format.
     *
     * @param  iterable<string>  $lines
     * @return array{iterable<string>, Mapping|null, Layout}
     *
     * @throws FieldError when it is a file of another kind
     */
    private function mapped(iterable $lines): array
    {
        if ($this->mapping !== null) {
            $layout = $this->mapping->layout;

            return [$layout->table(self::decoded($lines, $this->mapping)), $this->mapping, $layout];
        }
        $all = (static function () use ($lines): \Generator {
            yield from $lines;
        })();
        $head = [];
        while (count($head) < FileHead::LINES && $all->valid()) {
            $head[] = (string) $all->current();
            $all->next();
        }
        $layout = LayoutFinder::of($head);
        $whole = (static function () use ($head, $all): \Generator {
            yield from $head;
            while ($all->valid()) {
                yield (string) $all->current();
                $all->next();
            }
        })();
        if (self::isOurs($layout->table($head), $layout->delimiter)) {
            return [$layout->table($whole), null, $layout];
        }
        $guess = FormatGuess::guess($head);
        $other = $guess === null ? FileKind::unlike(implode("\n", $head), FileKind::Readings) : null;
        if ($other !== null) {
            throw FieldError::at('readings', $other);
        }
        $this->isGuessed = $guess !== null;
        $layout = $guess->layout ?? $layout;

        return [$layout->table($guess === null ? $whole : self::decoded($whole, $guess)), $guess, $layout];
    }

    /**
     * @param  iterable<string>  $head
     * @param  non-empty-string|null  $delimiter
     */
    private static function isOurs(iterable $head, ?string $delimiter): bool
    {
        foreach (new CsvRecords($head, $delimiter) as $cells) {
            return $cells instanceof Message || ReadingColumns::knows($cells);
        }

        return false;
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
        $hasUsualMarks = ($this->mapping->empty ?? []) === [];
        foreach ($columns->numbers as $name => $column) {
            $text = $cells[$column->position] ?? '';
            if ($text !== '' && ($name === 't_s' || ($hasUsualMarks && ctype_digit($text[0])) || ! $this->isEmpty($text))) {
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
            $columns->source === null ? $this->instrument : self::text($cells[$columns->source] ?? '', 'source') ?? $this->instrument,
            $columns->note === null ? null : self::text($cells[$columns->note] ?? '', 'note'),
        );
    }

    private function isEmpty(string $text): bool
    {
        return NumberColumn::isEmpty($text) || in_array($text, $this->mapping->empty ?? [], true);
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
        $time = FileClock::text($columns->time, $cells);
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
