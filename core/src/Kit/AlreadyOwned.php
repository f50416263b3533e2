<?php

declare(strict_types=1);

namespace Harmozon\Core\Kit;

use Harmozon\Core\Equipment\Adapter;

/** An owned piece that already serves pairs the new one would serve. */
final readonly class AlreadyOwned
{
    /** @param  int  $pairs  how many of them */
    public function __construct(public Adapter $adapter, public int $pairs)
    {
    }
}
