<?php

declare(strict_types=1);

namespace Harmozon\Core\Fit;

use Harmozon\Core\Words\Message;

/** Something to be careful about, and where in a visit it matters. */
final readonly class Caution
{
    public function __construct(public CautionPlace $place, public Message $message)
    {
    }
}
