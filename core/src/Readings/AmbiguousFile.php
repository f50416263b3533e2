<?php

declare(strict_types=1);

namespace Harmozon\Core\Readings;

use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Readings\Foreign\Mapping;
use Harmozon\Core\Readings\Foreign\ReadingUnit;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;

/** A readings file that can be read in two ways without a clue which is right: both are shown, with the mapping that settles it. */
final class AmbiguousFile extends FieldError
{
    /** @var list<array{words: Message, mapping: Mapping}> both ways to read it */
    public array $ways = [];

    /** The file's own name of the column. */
    public string $column = '';

    /** An example of its content. */
    public string $example = '';

    /**
     * A clock in two parts.
     *
     * @param  string  $example  a time as it stands in the file
     * @param  string  $column  the file's own name of it
     * @param  Mapping  $mapping  of the file, but for what is asked
     */
    public static function ofClock(string $example, string $column, Mapping $mapping): self
    {
        [$seconds, $minutes] = [(int) ShortClock::seconds($example, ShortClock::MINUTES), intdiv((int) ShortClock::seconds($example, ShortClock::HOURS), 60)];

        return self::of($column, $example, [
            ['words' => Message::of('readings.as_minutes', minutes: Amount::count(intdiv($seconds, 60)), seconds: Amount::count($seconds % 60)), 'mapping' => $mapping->withClock(ShortClock::MINUTES)],
            ['words' => Message::of('readings.as_hours', hours: Amount::count(intdiv($minutes, 60)), minutes: Amount::count($minutes % 60)), 'mapping' => $mapping->withClock(ShortClock::HOURS)],
        ]);
    }

    /**
     * A separator that may be decimal or between thousands.
     *
     * @param  string  $example  a number as it stands in the file
     * @param  string  $column  the file's own name of its column
     * @param  Mapping  $mapping  of the file, but for what is asked
     */
    public static function ofSigns(string $example, string $column, Mapping $mapping): self
    {
        $sign = str_contains($example, ',') ? ',' : '.';
        [$whole, $behind] = [...explode($sign, (string) preg_replace('/[^\d.,+-]/', '', $example)), ''];

        return self::of($column, $example, [
            ['words' => Message::of('readings.as_decimals', number: "{$whole}.{$behind}"), 'mapping' => $mapping->withDecimal($sign)],
            ['words' => Message::of('readings.as_thousands', number: $whole.$behind), 'mapping' => $mapping->withDecimal($sign === ',' ? '.' : ',')],
        ]);
    }

    /**
     * A column of which no unit is told.
     *
     * @param  string  $example  a number as it stands in the file
     * @param  string  $column  the file's own name of its column
     * @param  array{ReadingUnit, ReadingUnit}  $units  that it may be in
     * @param  \Closure(ReadingUnit): Mapping  $mapping  of the file, with the unit
     */
    public static function ofUnits(string $example, string $column, array $units, \Closure $mapping): self
    {
        $way = static fn (ReadingUnit $unit): array => [
            'words' => Message::of('readings.as_unit', number: $example, unit: str_replace('deg', '°', $unit->value)), 'mapping' => $mapping($unit),
        ];

        return self::of($column, $example, [$way($units[0]), $way($units[1])]);
    }

    /** @param  array{array{words: Message, mapping: Mapping}, array{words: Message, mapping: Mapping}}  $ways */
    private static function of(string $column, string $example, array $ways): self
    {
        $json = static fn (array $mapping): string => (string) json_encode($mapping, JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);
        [$first, $second] = [$ways[0]['mapping']->toArray(), $ways[1]['mapping']->toArray()];
        $differs = array_filter($second, static fn (mixed $value, string $key): bool => ($first[$key] ?? null) !== $value, ARRAY_FILTER_USE_BOTH);
        $unsure = new self('readings', Message::of(
            'readings.unsure',
            column: $column, example: $example, first: $ways[0]['words'], second: $ways[1]['words'], mapping: $json($first), other: $json($differs),
        ));
        [$unsure->column, $unsure->example, $unsure->ways] = [$column, $example, $ways];

        return $unsure;
    }
}
