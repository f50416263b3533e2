<?php

declare(strict_types=1);

namespace App\Models;

final class Vehicle extends Piece
{
    protected $table = 'vehicles';
}
