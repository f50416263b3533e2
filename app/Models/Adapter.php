<?php

declare(strict_types=1);

namespace App\Models;

/**
 * @property string $tag the letters by which the crate knows it
 */
final class Adapter extends Piece
{
    protected $table = 'adapters';

    public function inCaseFile(): array
    {
        return [...parent::inCaseFile(), 'name' => "{$this->tag} ({$this->name})"];
    }
}
