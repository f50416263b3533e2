<?php

declare(strict_types=1);

namespace Harmozon\Core\Case;

use Harmozon\Core\Equipment\Adapter;
use Harmozon\Core\Equipment\CurrentKind;
use Harmozon\Core\Equipment\Inlet;
use Harmozon\Core\Equipment\Outlet;
use Harmozon\Core\Equipment\PlateLine;
use Harmozon\Core\Equipment\Vehicle;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Voice;

/** Writes a piece as the lines of its plates. */
final readonly class PlateWriter
{
    public function __construct(private Voice $voice)
    {
    }

    /** @return list<string> */
    public function vehicle(Vehicle $vehicle): array
    {
        return [
            $this->voice->say(PlateLine::pack($vehicle->pack)),
            ...array_map(fn (Inlet $i): string => $this->voice->say(Message::of(
                'plate.of_coupler', coupler: $i->coupler->id, plate: PlateLine::inlet($i, $i->dc === null ? CurrentKind::Ac : CurrentKind::Dc),
            )), $vehicle->inlets),
        ];
    }

    /** @return list<string> */
    public function adapter(Adapter $adapter): array
    {
        return [$this->voice->say(PlateLine::plate($adapter->rating->plate))];
    }

    /** @return list<string> */
    public function outlet(Outlet $outlet): array
    {
        $stalls = PlateLine::stalls($outlet);

        return $this->voice->each([
            Message::of('plate.of_coupler', coupler: $outlet->coupler->id, plate: PlateLine::outlet($outlet)),
            ...($stalls === null ? [] : [$stalls]),
        ]);
    }
}
