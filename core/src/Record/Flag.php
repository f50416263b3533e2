<?php

declare(strict_types=1);

namespace Harmozon\Core\Record;

use Harmozon\Core\Words\Message;

final readonly class Flag
{
    public function __construct(public int $tMs, public FlagCode $code, public Message $detail)
    {
    }
}
