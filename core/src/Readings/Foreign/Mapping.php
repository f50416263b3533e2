<?php

declare(strict_types=1);

namespace Harmozon\Core\Readings\Foreign;

use Harmozon\Core\Readings\Layout;

/** How to read a readings file that isn't in our own format. */
final readonly class Mapping
{
    /**
     * @param  non-empty-string  $delimiter
     * @param  '.'|','  $decimal
     * @param  array<string, ColumnMap>  $columns  by header, as it stands in the file
     * @param  TimeMap|null  $time  null where a column holds seconds
     * @param  Layout  $layout  what stands around the table
     * @param  list<string>  $empty  what stands in a cell that holds no value, beside what instruments usually write
     * @param  string|null  $thousands  what stands between thousands; empty: nothing; null: a space, an apostrophe, or the sign that is not that of the decimals
     */
    public function __construct(public string $delimiter, public string $decimal, public Encoding $encoding, public array $columns, public ?TimeMap $time, public Layout $layout = new Layout, public array $empty = [], public ?string $thousands = null)
    {
    }

    /** The same with another sign before the decimals. */
    public function withDecimal(string $decimal): self
    {
        return new self($this->delimiter, $decimal === ',' ? ',' : '.', $this->encoding, $this->columns, $this->time, $this->layout, $this->empty, $this->thousands);
    }

    /** The same with another unit of one of its columns. */
    public function withUnit(string $header, ReadingUnit $unit): self
    {
        $column = $this->columns[$header];

        return new self($this->delimiter, $this->decimal, $this->encoding, array_replace($this->columns, [$header => new ColumnMap($column->field, $unit, $column->sign)]), $this->time, $this->layout, $this->empty, $this->thousands);
    }

    /** The same with another way of writing its clock. */
    public function withClock(string $format): self
    {
        return new self($this->delimiter, $this->decimal, $this->encoding, $this->columns, $this->time?->written($format), $this->layout, $this->empty, $this->thousands);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'delimiter' => $this->delimiter,
            'decimal' => $this->decimal,
            ...($this->thousands === null ? [] : ['thousands' => $this->thousands]),
            'encoding' => $this->encoding->value,
            'columns' => array_map(static fn (ColumnMap $c): array => $c->toArray(), $this->columns),
            ...($this->time === null ? [] : ['time' => $this->time->toArray()]),
            ...($this->layout->skipLines === 0 ? [] : ['skip_lines' => $this->layout->skipLines]),
            ...($this->layout->hasUnits ? ['units_row' => true] : []),
            ...($this->empty === [] ? [] : ['empty' => $this->empty]),
        ];
    }
}
