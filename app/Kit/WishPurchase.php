<?php

declare(strict_types=1);

namespace App\Kit;

use App\Equipment\PieceKind;
use App\Equipment\PieceStore;
use App\Garage\CurrentGarage;
use App\Models\Piece;
use App\Models\Place;
use App\Models\Wish;
use Harmozon\Core\Case\VettingReader;
use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Json\Node;
use Illuminate\Support\Facades\DB;

/** Turns a wish into an owned adapter: all of its plate, its answers, and what they say of it. */
final readonly class WishPurchase
{
    public function __construct(private PieceStore $pieces, private CurrentGarage $garage)
    {
    }

    /**
     * @param  string  $tag  the new adapter's
     *
     * @throws FieldError
     */
    public function buy(Wish $wish, string $tag): Piece|Place
    {
        return DB::transaction(function () use ($wish, $tag): Piece|Place {
            $facts = VettingReader::facts(VettingReader::answersOf(Node::of($wish->spec)));
            $adapter = $this->pieces->create(PieceKind::Adapters, [
                'name' => $wish->name, 'blurb' => $wish->blurb, 'tag' => $tag, 'spec' => [...$facts, ...array_filter($wish->spec, static fn (mixed $v): bool => $v !== null), 'purchased_on' => $this->garage->today()],
            ]);
            $this->pieces->remove(PieceKind::Wishes, $wish->ulid);

            return $adapter;
        });
    }
}
