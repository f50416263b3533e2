<?php

declare(strict_types=1);

namespace App\Models;

/** An adapter that isn't owned yet: its plate as far as it was read in the shop, and the answers about it. */
final class Wish extends Piece
{
    protected $table = 'wishes';
}
