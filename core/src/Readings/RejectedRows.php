<?php

declare(strict_types=1);

namespace Harmozon\Core\Readings;

/** The rows of a readings file that were left out: the first of them, and how many there are. */
final class RejectedRows
{
    /** More are counted. */
    public const MOST = 100;

    /** @var list<RejectedRow> */
    public array $first = [];

    public int $count = 0;

    public function add(RejectedRow $row): void
    {
        if ($this->count++ < self::MOST) {
            $this->first[] = $row;
        }
    }
}
