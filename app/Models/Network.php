<?php

declare(strict_types=1);

namespace App\Models;

/** A network that starts sessions, with what it needs of a driver and what of it is done. */
final class Network extends Piece
{
    protected $table = 'networks';
}
