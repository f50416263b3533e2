<?php

declare(strict_types=1);

namespace App\Models;

/** A network that starts sessions, with what it requires of a driver and what is done. */
final class Network extends Piece
{
    protected $table = 'networks';
}
