<?php

declare(strict_types=1);

namespace Harmozon\Core\Bench;

use Harmozon\Core\Chain\Chain;
use Harmozon\Core\Equipment\Plate;
use Harmozon\Core\Record\Point;

/** What the surfaces of a chain show of the heat inside. */
final readonly class SurfaceHeat
{
    /** Share of the contact's temperature rise that shows on the surface. */
    private const SURFACE_SHARE = 0.38;

    /** Share of the rise of what is plugged in that the inlet shows: the car's own wiring cools it. An assumption. */
    private const INLET_SHARE = 0.6;

    /** Rise allowed at full load where no plate gives it (K). */
    private const USUAL_RISE_K = Plate::DEFAULT_LIMIT_C - Plate::DEFAULT_RATED_AT_C;

    /** @param  float  $wear  resistance of the adapter's contacts, as a multiple of new ones */
    public function __construct(private Chain $chain, private float $ambientC, private float $wear = 1.0)
    {
    }

    /**
     * @param  array<string, float>  $theta  thermal load by link id
     * @return float °C
     */
    public function celsius(Point $point, array $theta): float
    {
        $adapter = $this->chain->adapters[0] ?? null;
        $own = $adapter === null ? 0.0 : $this->wear * ($theta[$adapter->id] ?? 0.0);
        $cable = $theta[Chain::CABLE] ?? 0.0;
        $load = match ($point) {
            Point::Adapter => $own,
            Point::Handle, Point::Cable => $cable,
            Point::Inlet => self::INLET_SHARE * ($adapter === null ? $cable : $own),
            Point::Ambient => 0.0,
        };
        $rise = $adapter === null ? self::USUAL_RISE_K : $adapter->rating->plate->limitC - $adapter->rating->plate->ratedAtC;

        return $this->ambientC + self::SURFACE_SHARE * $rise * $load;
    }

    /** @return list<Point> those that this chain has */
    public function points(): array
    {
        return $this->chain->adapters === [] ? [Point::Handle, Point::Inlet, Point::Ambient] : [Point::Adapter, Point::Handle, Point::Inlet, Point::Ambient];
    }
}
