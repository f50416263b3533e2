<?php

declare(strict_types=1);

namespace Harmozon\Core\Fit;

use Harmozon\Core\Chain\Chain;
use Harmozon\Core\Chain\Fact;
use Harmozon\Core\Chain\Unread;
use Harmozon\Core\Equipment\CurrentKind;
use Harmozon\Core\Words\Message;

/** A piece between connector and pack that sees the session's volts, and what it is rated for. */
final readonly class RatedPiece
{
    /** @param  float|null  $maxV  null when nobody has read it */
    private function __construct(public Message $link, public ?float $maxV, public Unread $unread)
    {
    }

    /** @return list<self> as far as the current's contacts reach */
    public static function along(Chain $chain): array
    {
        $pieces = [];
        foreach ($chain->adapters as $adapter) {
            if (! $chain->passesContacts($adapter)) {
                return $pieces;
            }
            $pieces[] = new self(Message::of('link.named', name: $adapter->name), $adapter->rating->plate->maxV, Unread::ofAdapter(Fact::AdapterMaxV, $adapter, $chain));
        }
        $isDc = $chain->current === CurrentKind::Dc;
        $side = $isDc ? $chain->inlet->dc : $chain->inlet->ac;
        if ($side !== null) {
            $pieces[] = new self(Message::of('link.inlet', vehicle: $chain->vehicle->name), $side->maxV, Unread::of($isDc ? Fact::InletMaxV : Fact::AcMaxV, $chain));
        }

        return $pieces;
    }
}
