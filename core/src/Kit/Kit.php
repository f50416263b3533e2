<?php

declare(strict_types=1);

namespace Harmozon\Core\Kit;

/** What the owned pieces and some bought ones reach together. */
interface Kit
{
    public function plus(int $piece): self;

    public function worth(): Worth;

    /** Whether no other way of giving out the pieces is worth more, for certain. */
    public function isExact(): bool;

    /** The way in which a pair charges; null where it doesn't. */
    public function way(int $pair): ?Reach;
}
