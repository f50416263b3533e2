<?php

declare(strict_types=1);

namespace App\Equipment;

use App\Models\Piece;
use App\Models\Place;

/** Somebody tried to change a piece without having seen its newest version. */
final class StalePiece extends \RuntimeException
{
    /** @param  Piece|Place  $piece  as it is now; it may be deleted */
    public function __construct(public readonly Piece|Place $piece)
    {
        parent::__construct();
    }
}
