<?php

declare(strict_types=1);

namespace Harmozon\Core\Fit;

use Harmozon\Core\Chain\Chain;
use Harmozon\Core\Chain\Fact;
use Harmozon\Core\Chain\UnreadFact;
use Harmozon\Core\Equipment\CurrentKind;
use Harmozon\Core\Words\Message;

/** A piece between connector and pack that sees the session's volts, and what it is rated for. */
final readonly class RatedPiece
{
    /**
     * @param  float|null  $maxV  null when nobody has read it
     * @param  bool  $isVehicles  whether it is the car's own inlet
     * @param  bool  $isByStandard  whether the rating is the minimum its standard requires, because nobody has read it
     */
    private function __construct(public Message $link, public ?float $maxV, public UnreadFact $unread, public bool $isVehicles = false, public bool $isByStandard = false)
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
            $pieces[] = new self(Message::of('link.named', name: $adapter->name), $adapter->rating->plate->maxV, UnreadFact::ofAdapter(Fact::AdapterMaxV, $adapter, $chain));
        }
        $name = Message::of('link.inlet', vehicle: $chain->vehicle->name);
        [$dc, $ac] = [$chain->inlet->dc, $chain->inlet->ac];
        if ($chain->current === CurrentKind::Ac && $ac !== null) {
            $pieces[] = new self($name, $ac->maxV, UnreadFact::of(Fact::AcMaxV, $chain), true, $ac->isMaxVByStandard);
        }
        // An inlet whose volts nobody has read is built for the car's own battery, and sees nothing else.
        if ($chain->current === CurrentKind::Dc && $dc?->maxV !== null) {
            $pieces[] = new self($name, $dc->maxV, UnreadFact::of(Fact::InletMaxV, $chain), true);
        }

        return $pieces;
    }
}
