<?php

declare(strict_types=1);

namespace Harmozon\Core\Readings\Foreign;

use Harmozon\Core\Readings\NumberColumn;

/** The header of a readings file and the first rows below it, by which it is told how the file is written. */
final readonly class FirstRows
{
    /**
     * @param  list<string>  $header
     * @param  list<list<string>>  $rows
     */
    public function __construct(public array $header, public array $rows)
    {
    }

    /** @return list<string> row by row; of two columns with one name those of the first */
    public function cells(string|int $name): array
    {
        $at = $this->position($name);

        return array_map(static fn (array $row): string => $row[$at] ?? '', $this->rows);
    }

    /** @return list<float|null> row by row, as written; null where there is no number */
    public function figures(string|int $name): array
    {
        return array_map(NumberColumn::figure(...), $this->cells($name));
    }

    /** Whether the mapping, the header, the row of units or the cells of a column say its unit. */
    public function sayUnit(Mapping $mapping, string|int $name): bool
    {
        return ($mapping->columns[$name] ?? null)?->unit !== null
            || ToldUnit::inHeader((string) $name)->unit !== null
            || $mapping->layout->unit($this->position($name))?->unit !== null
            || array_filter($this->cells($name), static fn (string $cell): bool => NumberColumn::apart($cell) !== null) !== [];
    }

    public function position(string|int $name): int
    {
        return (int) array_search((string) $name, $this->header, true);
    }
}
