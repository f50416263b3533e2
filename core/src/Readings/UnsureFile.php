<?php

declare(strict_types=1);

namespace Harmozon\Core\Readings;

use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;

/** A readings file that can be read in two ways, and nothing in it tells which: both are shown, with what settles it. */
final class UnsureFile extends FieldError
{
    /** @var list<array{words: Message, settles: array<string, mixed>}> both readings, and what of a mapping says so */
    public array $readings = [];

    /** The file's own name of the column. */
    public string $column = '';

    /** What stands in it. */
    public string $example = '';

    /**
     * A clock in two parts.
     *
     * @param  string  $example  a time as it stands in the file
     * @param  string  $column  the file's own name of it
     */
    public static function ofClock(string $example, string $column): self
    {
        [$seconds, $minutes] = [(int) ShortClock::seconds($example, ShortClock::MINUTES), intdiv((int) ShortClock::seconds($example, ShortClock::HOURS), 60)];

        return self::of($column, $example, [
            [Message::of('readings.as_minutes', minutes: Amount::count(intdiv($seconds, 60)), seconds: Amount::count($seconds % 60)), ['time' => ['column' => $column, 'format' => ShortClock::MINUTES]]],
            [Message::of('readings.as_hours', hours: Amount::count(intdiv($minutes, 60)), minutes: Amount::count($minutes % 60)), ['time' => ['column' => $column, 'format' => ShortClock::HOURS]]],
        ]);
    }

    /**
     * A sign that stands before three decimals, or between thousands.
     *
     * @param  string  $example  a number as it stands in the file
     * @param  string  $column  the file's own name of its column
     */
    public static function ofSigns(string $example, string $column): self
    {
        $sign = str_contains($example, ',') ? ',' : '.';
        [$whole, $behind] = [...explode($sign, (string) preg_replace('/[^\d.,+-]/', '', $example)), ''];

        return self::of($column, $example, [
            [Message::of('readings.as_decimals', number: "{$whole}.{$behind}"), ['decimal' => $sign]],
            [Message::of('readings.as_thousands', number: $whole.$behind), ['decimal' => $sign === ',' ? '.' : ',']],
        ]);
    }

    /**
     * The same with all of the mapping that settles it.
     *
     * @param  array<string, mixed>  $mapping  of the file, but for what is asked
     */
    public function within(array $mapping): self
    {
        $readings = array_map(static fn (array $r): array => [$r['words'], [...$mapping, ...$r['settles']]], $this->readings);

        return self::of($this->column, $this->example, $readings);
    }

    /** @param  list<array{Message, array<string, mixed>}>  $readings */
    private static function of(string $column, string $example, array $readings): self
    {
        [$first, $second] = $readings;
        $json = static fn (array $mapping): string => (string) json_encode($mapping, JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);
        $unsure = new self('readings', Message::of(
            'readings.unsure',
            column: $column, example: $example, first: $first[0], second: $second[0], mapping: $json($first[1]), other: $json(self::differs($second[1], $first[1])),
        ));
        $unsure->column = $column;
        $unsure->example = $example;
        $unsure->readings = array_map(static fn (array $r): array => ['words' => $r[0], 'settles' => $r[1]], $readings);

        return $unsure;
    }

    /**
     * @param  array<string, mixed>  $one
     * @param  array<string, mixed>  $other
     * @return array<string, mixed> what stands in one and not in the other
     */
    private static function differs(array $one, array $other): array
    {
        return array_filter($one, static fn (mixed $value, string $key): bool => ($other[$key] ?? null) !== $value, ARRAY_FILTER_USE_BOTH);
    }
}
