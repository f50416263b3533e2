<?php

declare(strict_types=1);

namespace Harmozon\Core\Review;

use Harmozon\Core\Equipment\Vehicle;
use Harmozon\Core\Record\Gap;

/** Averages as people quote them: from the first current to a charge, and what some minutes added; measured beside forecast. */
final readonly class Windows
{
    /** Charges up to which a mean is shown (percent). */
    public const CHARGES = [50, 60, 70, 80, 90, 100];

    /** Times after which the charge added is shown (minutes). */
    public const MINUTES = [5, 10, 15, 20, 30];

    /**
     * @param  array<int, array{Window, Window|null}>  $toCharge  by percent, those that were reached; as read, and as forecast
     * @param  array<int, array{Window, Window|null}>  $added  by minutes, those that it lasted
     */
    private function __construct(public array $toCharge, public array $added)
    {
    }

    public static function of(Diagnosis $diagnosis): self
    {
        $vehicle = $diagnosis->reference->answer->chain->vehicle;
        [$measured, $forecast] = [Track::measured($diagnosis->referencePoints), Track::forecast($diagnosis->reference->forecast)];
        $gaps = array_map(static fn (Gap $g): array => [$g->fromS - $diagnosis->referencePoints->firstFlowS, $g->toS - $diagnosis->referencePoints->firstFlowS], $diagnosis->gaps);
        $toCharge = $added = [];
        foreach (self::CHARGES as $soc) {
            $window = self::window($measured, $measured->secondsTo($soc), $vehicle, $gaps);
            if ($window !== null) {
                $toCharge[$soc] = [$window, self::window($forecast, $forecast->secondsTo($soc), $vehicle)];
            }
        }
        foreach (self::MINUTES as $minutes) {
            $window = self::window($measured, 60.0 * $minutes, $vehicle, $gaps);
            if ($window !== null) {
                $added[$minutes] = [$window, self::window($forecast, 60.0 * $minutes, $vehicle)];
            }
        }

        return new self($toCharge, $added);
    }

    /** @param  list<array{float, float}>  $gaps  from and to, in seconds since the first current */
    private static function window(Track $track, ?float $seconds, Vehicle $vehicle, array $gaps = []): ?Window
    {
        $by = $seconds === null ? null : $track->by($seconds);
        if ($seconds === null || $by === null) {
            return null;
        }
        [$kwh, $percent] = $by;
        $km = $percent === null || $vehicle->pack->usableKwh === null || $vehicle->kmPerKwh === null ? null : $percent / 100 * $vehicle->pack->usableKwh * $vehicle->kmPerKwh;

        return new Window($seconds / 60, $kwh, $percent, $km, array_filter($gaps, static fn (array $g): bool => $g[0] < $seconds && $g[1] > 0) !== []);
    }
}
