<?php

declare(strict_types=1);

namespace Harmozon\Core\Steps;

/** One block of the drawing: the joints lie between them. */
final readonly class Piece
{
    /** @param  string|null  $id  of the adapter; null for what is none of the kit */
    public function __construct(public PieceKind $kind, public ?string $id = null)
    {
    }
}
