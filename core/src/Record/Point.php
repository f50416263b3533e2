<?php

declare(strict_types=1);

namespace Harmozon\Core\Record;

use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Term;

/** Where a temperature was read. An infrared thermometer reads the surface; the contact inside is hotter. */
enum Point: string implements Term
{
    case Adapter = 'adapter';
    case Handle = 'handle';
    case Cable = 'cable';
    case Inlet = 'inlet';
    case Ambient = 'ambient';

    /** Whether a hand holds this surface. */
    public function isHeld(): bool
    {
        return $this === self::Adapter || $this === self::Handle || $this === self::Cable;
    }

    public function message(): Message
    {
        return Message::of('point.'.$this->value);
    }
}
