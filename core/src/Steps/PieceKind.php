<?php

declare(strict_types=1);

namespace Harmozon\Core\Steps;

use Harmozon\Core\Words\Message;

/** What a piece of the drawing is. */
enum PieceKind: string
{
    case Handle = 'handle';
    case Post = 'post';
    case Socket = 'socket';
    case Adapter = 'adapter';
    case Supply = 'supply';
    case Cable = 'cable';
    case Car = 'car';

    public function message(): Message
    {
        return Message::of('piece.'.$this->value);
    }
}
