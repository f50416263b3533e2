<?php

declare(strict_types=1);

namespace App\Equipment;

use App\Models\Piece;
use App\Models\Place;

/** A piece was to be changed by somebody who has not seen its newest version. */
final class StalePiece extends \RuntimeException
{
    /** @param  Piece|Place  $piece  as it is now; it may be deleted */
    public function __construct(public readonly Piece|Place $piece)
    {
        parent::__construct();
    }
}
