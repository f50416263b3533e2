<?php

declare(strict_types=1);

namespace Harmozon\Core\Files;

use Harmozon\Core\Record\Point;
use Harmozon\Core\Words\Listing;
use Harmozon\Core\Words\Message;

/** The header of a readings file: which column holds what. Null is a column that the file does not have. */
final readonly class ReadingColumns
{
    /** A session cannot last longer (s): 100 days. */
    public const LONGEST_S = 8_640_000.0;

    /**
     * @param  array<string, NumberColumn>  $numbers  by name, in the order of their ranges
     * @param  array<string, value-of<Point>>  $points  of the temperatures among them, by name
     * @param  int|null  $time  position of the clock times
     * @param  int  $width  cells in the header
     * @param  list<string>  $ignored  headers that were not understood
     */
    private function __construct(
        public array $numbers,
        public array $points,
        public ?int $time,
        public ?int $source,
        public ?int $note,
        public int $width,
        public array $ignored,
    ) {
    }

    /**
     * @param  list<string>  $cells
     * @param  bool  $hasDecimalComma  a comma may stand for the decimal point
     *
     * @throws FieldError when the header cannot be used
     */
    public static function of(array $cells, bool $hasDecimalComma): self
    {
        $ranges = self::ranges();
        $positions = $ignored = [];
        foreach ($cells as $position => $cell) {
            $name = mb_check_encoding($cell, 'UTF-8') ? mb_strtolower($cell) : '';
            if (isset($positions[$name])) {
                throw FieldError::at('readings', Message::of('readings.header_twice', name: $name));
            }
            if (isset($ranges[$name]) || in_array($name, ['time', 'source', 'note'], true)) {
                $positions[$name] = $position;
            } elseif ($cell !== '') {
                $ignored[] = mb_scrub($cell);
            }
        }
        if (! isset($positions['t_s']) && ! isset($positions['time'])) {
            throw FieldError::at('readings', Message::of('readings.header_time'));
        }
        if (array_diff_key(array_intersect_key($ranges, $positions), ['t_s' => 0]) === []) {
            throw FieldError::at('readings', Message::of('readings.header_values', known: Listing::comma(array_keys(array_diff_key($ranges, ['t_s' => 0])))));
        }
        $numbers = [];
        foreach (array_intersect_key($ranges, $positions) as $name => $range) {
            $numbers[$name] = new NumberColumn($name, $positions[$name], $range, $hasDecimalComma);
        }
        $points = array_combine(array_map(static fn (Point $p): string => $p->value.'_c', Point::cases()), array_column(Point::cases(), 'value'));

        return new self(
            $numbers,
            array_intersect_key($points, $numbers),
            $positions['time'] ?? null,
            $positions['source'] ?? null,
            $positions['note'] ?? null,
            count($cells),
            $ignored,
        );
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
