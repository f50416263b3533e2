<?php

declare(strict_types=1);

namespace Harmozon\Core\Json;

/**
 * The fields of an object that were read, as written, without those the reader doesn't know; an empty object stays an
 * object.
 */
final class ReadFields
{
    /** @var array<string, mixed> by field, in the order in which they were read */
    private array $values = [];

    /** @var array<string, self> */
    private array $objects = [];

    /** @var array<string, array<int, self>> */
    private array $items = [];

    public function value(string $key, mixed $value): void
    {
        $this->values[$key] = $value;
    }

    public function object(string $key): self
    {
        $this->values[$key] ??= null;

        return $this->objects[$key] ??= new self;
    }

    public function item(string $key, int $index): self
    {
        return $this->items[$key][$index] ??= new self;
    }

    public function copy(): \stdClass
    {
        $copy = new \stdClass;
        foreach ($this->values as $key => $value) {
            $copy->{$key} = match (true) {
                isset($this->objects[$key]) => $this->objects[$key]->copy(),
                isset($this->items[$key]) => array_map(static fn (self $item): \stdClass => $item->copy(), array_values($this->items[$key])),
                default => $value,
            };
        }

        return $copy;
    }
}
