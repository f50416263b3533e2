<?php

declare(strict_types=1);

namespace Harmozon\Core\Readings\Foreign;

/** What one column of a foreign file holds. */
final readonly class ColumnMap
{
    /**
     * @param  string  $field  of the readings file
     * @param  ReadingUnit|null  $unit  null: the field's own, or text
     * @param  int  $sign  −1 where charging is written as a discharge
     */
    public function __construct(public string $field, public ?ReadingUnit $unit = null, public int $sign = 1)
    {
    }

    public function factor(): float
    {
        return $this->sign * ($this->unit?->factor() ?? 1.0);
    }

    public function offset(): float
    {
        return $this->unit?->offset() ?? 0.0;
    }

    /** @return array{field: string, unit?: string, sign?: int} */
    public function toArray(): array
    {
        return ['field' => $this->field, ...($this->unit === null ? [] : ['unit' => $this->unit->value]), ...($this->sign === 1 ? [] : ['sign' => $this->sign])];
    }
}
