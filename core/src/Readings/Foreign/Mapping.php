<?php

declare(strict_types=1);

namespace Harmozon\Core\Readings\Foreign;

/** How a readings file that is not ours is to be read. */
final readonly class Mapping
{
    /**
     * @param  non-empty-string  $delimiter
     * @param  '.'|','  $decimal
     * @param  array<string, ColumnMap>  $columns  by header, as it stands in the file
     * @param  TimeMap|null  $time  null where a column holds seconds
     */
    public function __construct(public string $delimiter, public string $decimal, public Encoding $encoding, public array $columns, public ?TimeMap $time)
    {
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'delimiter' => $this->delimiter,
            'decimal' => $this->decimal,
            'encoding' => $this->encoding->value,
            'columns' => array_map(static fn (ColumnMap $c): array => $c->toArray(), $this->columns),
            ...($this->time === null ? [] : ['time' => $this->time->toArray()]),
        ];
    }
}
