<?php

declare(strict_types=1);

namespace Harmozon\Core\Steps;

use Harmozon\Core\Equipment\Stall;
use Harmozon\Core\Words\Message;

final readonly class Rung
{
    /** @param  list<Stall>  $stalls  where to go; for another stall only */
    public function __construct(public RungCode $code, public Message $do, public array $stalls = [])
    {
    }
}
