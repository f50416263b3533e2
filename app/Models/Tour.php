<?php

declare(strict_types=1);

namespace App\Models;

/** A named, ordered choice of places and cars; its `spec` holds their public ids. */
final class Tour extends Piece
{
    protected $table = 'tours';

    /** @return list<string> public ids of the cars it takes; none: every one */
    public function vehicles(): array
    {
        return self::ids($this->spec['vehicles'] ?? []);
    }

    /** @return list<string> public ids of the places it stops at, in their order */
    public function places(): array
    {
        return self::ids($this->spec['places'] ?? []);
    }

    /** @return list<string> */
    private static function ids(mixed $list): array
    {
        return array_values(array_filter(is_array($list) ? $list : [], is_string(...)));
    }
}
