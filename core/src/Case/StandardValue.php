<?php

declare(strict_types=1);

namespace Harmozon\Core\Case;

use Harmozon\Core\Chain\Fact;
use Harmozon\Core\Equipment\Inlet;
use Harmozon\Core\Equipment\Outlet;
use Harmozon\Core\Equipment\Signalling;
use Harmozon\Core\Equipment\Vehicle;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Listing;

/** What counts as known of a piece by construction, as it is shown on its plate. */
final class StandardValue
{
    /**
     * @param  string  $path  of the fact in the piece's record
     * @return Amount|Listing|null null for an inlet that is built for its own battery: no figure
     */
    public static function of(Fact $fact, string $path, Vehicle|Outlet $piece): Amount|Listing|null
    {
        if ($piece instanceof Outlet) {
            return $fact === Fact::SupplyPhases
                ? Amount::count($piece->feed->supply->phases ?? 1)
                : Signalling::list($piece->rating->signalling ?? []);
        }
        $inlet = self::inlet($path, $piece);

        return match ($fact) {
            Fact::VehicleLanguages => Signalling::list($inlet->dc->signalling ?? []),
            Fact::AcMinV => Amount::volts($inlet?->ac?->minV),
            Fact::AcMaxV => Amount::volts($inlet?->ac?->maxV),
            Fact::AcPhases => Amount::count($inlet?->ac->phases ?? 1),
            default => null,
        };
    }

    private static function inlet(string $path, Vehicle $vehicle): ?Inlet
    {
        return $vehicle->inlets[(int) (explode('.', $path)[1] ?? 0)] ?? null;
    }
}
