<?php

declare(strict_types=1);

namespace Harmozon\Core\Record;

/**
 * The intervals of a course. Those from a snapshot are decoded only when needed: adding one more reading rarely needs
 * them.
 *
 * @phpstan-type Sums array{n: int, t: float, v: float, nv: int, a: float, na: int, kw: float, nkw: int, soc: float|null, c: array<value-of<Point>, float>, m: int}
 */
final class CourseIntervals
{
    /** @var list<Sums> */
    private array $list = [];

    private ?string $written = null;

    /** @return list<Sums> in time */
    public function all(): array
    {
        if ($this->written !== null) {
            /** @var list<Sums> $list */
            $list = unserialize($this->written, ['allowed_classes' => false]);
            [$this->list, $this->written] = [$list, null];
        }

        return $this->list;
    }

    /** @param  list<Sums>  $list */
    public function replace(array $list): void
    {
        [$this->list, $this->written] = [$list, null];
    }

    /** @return array{string} */
    public function __serialize(): array
    {
        return [$this->written ?? serialize($this->list)];
    }

    /** @param  array{string}  $remembered */
    public function __unserialize(array $remembered): void
    {
        [$this->written] = $remembered;
    }
}
