<?php

declare(strict_types=1);

namespace Harmozon\Core\Ocpi;

use Harmozon\Core\Equipment\Coupler;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Listing;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Unit;

/** A name for an outlet that came without one. */
final class PlateName
{
    /** @param  array<string, mixed>  $plate */
    public static function short(array $plate): Message
    {
        return self::of($plate, ['max_kw' => Unit::KiloWatts]);
    }

    /**
     * With more of its plate, where two of a place have the same short name.
     *
     * @param  array<string, mixed>  $plate
     */
    public static function long(array $plate): Message
    {
        return self::of($plate, ['max_kw' => Unit::KiloWatts, 'max_v' => Unit::Volts, 'max_a' => Unit::Amps]);
    }

    /**
     * @param  array<string, mixed>  $plate
     * @param  array<string, Unit>  $units  the figures to name
     */
    private static function of(array $plate, array $units): Message
    {
        $coupler = Coupler::of(is_string($plate['coupler'] ?? null) ? $plate['coupler'] : '')->name();
        $supply = is_array($plate['supply'] ?? null) ? $plate['supply'] : [];
        $figures = [...$plate, ...array_filter(['max_v' => $supply['volts'] ?? null, 'max_a' => $supply['amps'] ?? null], is_float(...))];
        $told = [];
        foreach ($units as $field => $unit) {
            $value = $figures[$field] ?? null;
            if (is_float($value)) {
                $told[] = Amount::asGiven(round($value, 1), $unit);
            }
        }

        return $told === [] ? $coupler : Message::of('ocpi.outlet', coupler: $coupler, figures: Listing::comma($told));
    }
}
