<?php

declare(strict_types=1);

namespace Harmozon\Core\Readings;

use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Json\Node;
use Harmozon\Core\Json\Range;
use Harmozon\Core\Readings\Foreign\ColumnMap;
use Harmozon\Core\Readings\Foreign\Encoding;
use Harmozon\Core\Readings\Foreign\HeaderWords;
use Harmozon\Core\Readings\Foreign\Mapping;
use Harmozon\Core\Readings\Foreign\ReadingUnit;
use Harmozon\Core\Readings\Foreign\TimeMap;
use Harmozon\Core\Readings\Foreign\ToldUnit;
use Harmozon\Core\Record\Point;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Listing;
use Harmozon\Core\Words\Message;

/** The header of a readings file: which column holds what. Null is a column that the file does not have. */
final readonly class ReadingColumns
{
    /** A session cannot last longer (s): 100 days. */
    public const LONGEST_S = 8_640_000.0;

    /** Headers that a complaint names at most. */
    private const MOST_NAMED = 12;

    /** Cells in the header. */
    public int $width;

    /**
     * @param  array<string, NumberColumn>  $numbers  by name, in the order of their ranges
     * @param  array<string, value-of<Point>>  $points  of the temperatures among them, by name
     * @param  list<int>  $time  positions of the clock times: of one column, of a date and an hour, or of none
     * @param  list<string>  $ignored  headers that were not understood
     * @param  list<string>  $headers  all of them
     */
    private function __construct(
        public array $numbers,
        public array $points,
        public array $time,
        public ?int $source,
        public ?int $note,
        public ?int $event,
        public array $ignored,
        private array $headers,
    ) {
        $this->width = count($headers);
    }

    /** The file's own name of a column. */
    public function headerAt(int $position): string
    {
        return $this->headers[$position] ?? '';
    }

    /** What is wrong with a row, naming the column as the file does. */
    public function complaint(FieldError $error): Message
    {
        $position = match ($error->path) {
            'time' => $this->time[0] ?? null,
            'source' => $this->source,
            'note' => $this->note,
            'event' => $this->event,
            default => ($this->numbers[$error->path] ?? null)?->position,
        };
        $header = $position === null ? '' : mb_substr(mb_scrub($this->headerAt($position)), 0, Node::LONGEST_QUOTE);

        return ($header === '' ? $error : FieldError::at($header, $error->problem))->complaint();
    }

    /**
     * The columns as a mapping, for a file in our own format.
     *
     * @param  non-empty-string  $delimiter
     */
    public function asMapping(string $delimiter, Layout $layout): Mapping
    {
        $columns = [];
        foreach ($this->numbers as $column) {
            $columns[$this->headerAt($column->position)] = $column->map;
        }
        foreach (['source' => $this->source, 'note' => $this->note, 'event' => $this->event] as $field => $position) {
            if ($position !== null) {
                $columns[$this->headerAt($position)] = new ColumnMap($field);
            }
        }

        return new Mapping($delimiter, '.', Encoding::Utf8, $columns, $this->time === [] ? null : new TimeMap($this->timeHeader()), $layout);
    }

    /** The file's own name of its clock; empty where it has none. */
    public function timeHeader(): string
    {
        return $this->time === [] ? '' : $this->headerAt($this->time[0]);
    }

    /**
     * @param  list<string>  $cells
     * @param  Layout  $layout  whose row of units says what the columns are counted in
     *
     * @throws FieldError when the header cannot be used
     */
    public static function of(array $cells, NumberSigns $signs, Layout $layout = new Layout): self
    {
        $ranges = self::ranges();
        $positions = $ignored = $units = [];
        $exact = array_map(mb_strtolower(...), array_filter($cells, static fn (string $c): bool => mb_check_encoding($c, 'UTF-8')));
        foreach ($cells as $position => $cell) {
            $name = mb_check_encoding($cell, 'UTF-8') ? mb_strtolower($cell) : '';
            if (isset($positions[$name])) {
                throw FieldError::at('readings', Message::of('readings.header_twice', name: $name));
            }
            if (isset($ranges[$name]) || in_array($name, ['time', 'source', 'note', 'event'], true)) {
                $positions[$name] = $position;
                $units[$name] = self::unitBelow($name, $layout->unit($position));
            } elseif ($cell !== '') {
                $own = $name === '' ? null : ColumnWithUnit::of($cell);
                // One of ours exactly goes before it, and the first of two alike.
                if ($own === null || in_array($own->field, $exact, true) || isset($positions[$own->field])) {
                    $ignored[] = mb_scrub($cell);

                    continue;
                }
                $below = $layout->unit($position);
                if ($below !== null && ! $below->isSilent() && $below->unit !== $own->unit) {
                    throw FieldError::at('readings', Message::of('readings.two_units', name: mb_scrub($cell), unit: $below->written()));
                }
                $positions[$own->field] = $position;
                $units[$own->field] = $own->unit;
            }
        }
        if (! isset($positions['t_s']) && ! isset($positions['time'])) {
            throw FieldError::at('readings', self::untold($cells));
        }
        if (! isset($positions['event']) && array_diff_key(array_intersect_key($ranges, $positions), ['t_s' => 0]) === []) {
            throw FieldError::at('readings', Message::of('readings.header_values', known: Listing::comma(array_keys(array_diff_key($ranges, ['t_s' => 0])))));
        }
        $numbers = [];
        foreach (array_intersect_key($ranges, $positions) as $name => $range) {
            $numbers[$name] = new NumberColumn(new ColumnMap($name, $units[$name] ?? null), $positions[$name], $range, $signs);
        }

        return new self(
            $numbers,
            array_intersect_key(self::points(), $numbers),
            isset($positions['time']) ? [$positions['time']] : [],
            $positions['source'] ?? null,
            $positions['note'] ?? null,
            $positions['event'] ?? null,
            $ignored,
            $cells,
        );
    }

    /**
     * The columns by a mapping; those it doesn't name are left out.
     *
     * @param  list<string>  $cells  of the header
     *
     * @throws FieldError when a column that it names is not there
     */
    public static function mapped(array $cells, Mapping $mapping, NumberSigns $signs): self
    {
        $ranges = self::ranges();
        $positions = [];
        foreach ($cells as $position => $cell) {
            $positions[$cell] ??= $position;
        }
        $missing = array_values(array_diff(array_map(strval(...), [...array_keys($mapping->columns), ...($mapping->time?->columns() ?? [])]), array_map(strval(...), array_keys($positions))));
        if ($missing !== []) {
            throw FieldError::at('mapping.columns', Message::of('mapping.no_column', name: $missing[0]));
        }
        $numbers = $texts = [];
        foreach ($mapping->columns as $header => $column) {
            if (isset($ranges[$column->field])) {
                $numbers[$column->field] = new NumberColumn($column, $positions[$header], $ranges[$column->field], $signs);
            } else {
                $texts[$column->field] = $positions[$header];
            }
        }
        $ordered = [];
        foreach (array_keys($ranges) as $name) {
            if (isset($numbers[$name])) {
                $ordered[$name] = $numbers[$name];
            }
        }

        $time = $mapping->time === null ? (isset($texts['time']) ? [$texts['time']] : []) : array_map(static fn (string $c): int => $positions[$c], $mapping->time->columns());
        // Of two columns with one name the second is not used, either.
        $used = [...array_map(static fn (NumberColumn $c): int => $c->position, array_values($ordered)), ...array_values($texts), ...$time];

        return new self(
            $ordered,
            array_intersect_key(self::points(), $ordered),
            $time,
            $texts['source'] ?? null, $texts['note'] ?? null, $texts['event'] ?? null,
            array_values(array_filter($cells, static fn (string $c, int $at): bool => $c !== '' && ! in_array($at, $used, true), ARRAY_FILTER_USE_BOTH)),
            $cells,
        );
    }

    /**
     * Whether a header is one of ours.
     *
     * @param  list<string>  $cells
     */
    public static function knows(array $cells): bool
    {
        $names = array_map(static fn (string $c): string => ColumnWithUnit::of($c)->field ?? mb_strtolower($c), array_filter($cells, static fn (string $c): bool => mb_check_encoding($c, 'UTF-8')));
        $isOurs = array_intersect(array_map(mb_strtolower(...), $cells), self::fields()) !== [];

        return $isOurs && (in_array('t_s', $names, true) || in_array('time', $names, true)) && array_intersect($names, array_diff(self::fields(), ['t_s', 'time', 'source', 'note'])) !== [];
    }

    /**
     * What is missing from a header that is neither ours nor can be guessed: a time, or a unit that is known.
     *
     * @param  list<string>  $cells
     */
    private static function untold(array $cells): Message
    {
        $unknown = array_filter($cells, static fn (string $c): bool => mb_check_encoding($c, 'UTF-8') && ToldUnit::inHeader($c)->unknown !== '');
        $hasTime = array_filter($cells, static fn (string $c): bool => HeaderWords::isClock($c) || HeaderWords::isElapsed($c)) !== [];

        return $unknown === [] || ! $hasTime
            ? Message::of('readings.header_time')
            : Message::of('readings.header_units', count: Amount::count(count($unknown)), columns: Listing::comma(array_map(static fn (string $c): string => mb_substr($c, 0, Node::LONGEST_QUOTE), array_slice(array_values($unknown), 0, self::MOST_NAMED))));
    }

    /** @throws FieldError where the name of a column says one unit, and the row below the header another */
    private static function unitBelow(string $name, ?ToldUnit $told): ?ReadingUnit
    {
        if ($told === null || $told->isSilent() || ($told->unit === null && ! isset(self::ranges()[$name]))) {
            return null;
        }
        $isNamed = in_array($name, ['t_s', 'soc_pct', 'kw'], true) || str_ends_with($name, '_c');
        if ($told->unit?->fits($name) !== true || ($isNamed && $told->unit !== ReadingUnit::of($name)[0])) {
            throw FieldError::at('readings', Message::of('readings.two_units', name: $name, unit: $told->written()));
        }

        return $told->unit;
    }

    /** @return list<string> what a column may hold */
    public static function fields(): array
    {
        return [...array_keys(self::ranges()), 'time', 'source', 'note', 'event'];
    }

    /** @return array<string, value-of<Point>> */
    private static function points(): array
    {
        return array_combine(array_map(static fn (Point $p): string => $p->value.'_c', Point::cases()), array_column(Point::cases(), 'value'));
    }

    /** @return array<string, Range> every column that holds a number */
    private static function ranges(): array
    {
        return [
            't_s' => Range::seconds(self::LONGEST_S),
            'soc_pct' => Range::soc(),
            'volts' => Range::readVolts(),
            'amps' => Range::readAmps(),
            'kw' => Range::readKw(),
            ...array_fill_keys(array_map(static fn (Point $p): string => $p->value.'_c', Point::cases()), Range::readCelsius()),
        ];
    }
}
