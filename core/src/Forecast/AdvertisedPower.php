<?php

declare(strict_types=1);

namespace Harmozon\Core\Forecast;

use Harmozon\Core\Chain\AssumedFact;
use Harmozon\Core\Chain\Chain;
use Harmozon\Core\Chain\Conditions;
use Harmozon\Core\Chain\Fact;
use Harmozon\Core\Chain\VoltagePlan;
use Harmozon\Core\Chain\VoltagePlanner;
use Harmozon\Core\Equipment\CurrentKind;
use Harmozon\Core\Equipment\Outlet;
use Harmozon\Core\Equipment\Vehicle;
use Harmozon\Core\Power\Limits;
use Harmozon\Core\Power\PeakFinder;

/** A station's advertised power compared with what its rating gives at a battery's voltage. */
final readonly class AdvertisedPower
{
    /** Pack voltages of the strip: from a small 400 V-class pack to an 800 V-class one. */
    public const VOLTS = [300.0, 350.0, 400.0, 600.0, 700.0, 800.0];

    /** What the car's own maximum depends on. */
    private const OF_CAR = [Fact::PackV, Fact::ChargeCurve, Fact::InletA, Fact::InletKw];

    public function __construct(public Outlet $outlet)
    {
    }

    /**
     * The smaller of the plate's kW and its amps at these volts; 0 above the station's ceiling or below its floor, null
     * when neither kW nor amps were read, or the outlet is AC.
     */
    public function plateKwAt(float $volts): ?float
    {
        $o = $this->outlet;
        if ($o->rating->current === CurrentKind::Ac || ($o->rating->maxKw === null && $o->rating->maxA === null)) {
            return null;
        }
        if (($o->rating->maxV !== null && $volts > $o->rating->maxV) || ($o->rating->minV !== null && $volts < $o->rating->minV)) {
            return 0.0;
        }

        return min($o->rating->maxKw ?? INF, $o->rating->maxA === null ? INF : $o->rating->maxA * $volts / 1000);
    }

    /**
     * The least and the most the rating gives at this car's voltage at the plug (the battery's, half of it, or the
     * step-up converter's), and the most the car would take by itself; null where the voltages don't match, or aren't
     * known.
     *
     * @return array{leastV: float, mostV: float, leastKw: float, mostKw: float, takesKw: float|null, isAbout: bool}|null  takesKw: null where nothing of the car is known; isAbout: it rests on typical figures
     */
    public function forCar(Vehicle $vehicle, Conditions $conditions): ?array
    {
        foreach (array_keys($vehicle->inlets) as $index) {
            $chain = new Chain($this->outlet, [], $vehicle, $index);
            if ($this->outlet->rating->current === CurrentKind::Ac || $chain->inlet->dc === null) {
                continue;
            }
            $plan = (new VoltagePlanner)->plans($chain, $conditions)[0];
            if ($plan->plugV === null) {
                continue;
            }
            [$least, $most] = [$plan->plugV->at($conditions->charge->socFrom), $plan->plugV->at($plan->endSoc($conditions))];
            [$leastKw, $mostKw] = [$this->plateKwAt($least), $this->plateKwAt($most)];

            return $leastKw === null || $mostKw === null ? null : ['leastV' => $least, 'mostV' => $most, 'leastKw' => $leastKw, 'mostKw' => $mostKw, 'takesKw' => self::takesKw($chain, $plan, $conditions), 'isAbout' => AssumedFact::isAny($chain, self::OF_CAR)];
        }

        return null;
    }

    /** The most that the car would take from an unlimited station. */
    private static function takesKw(Chain $chain, VoltagePlan $plan, Conditions $conditions): ?float
    {
        $limits = Limits::ofVehicle($chain, $conditions);

        return $limits?->isKnown() === true ? (new PeakFinder)->find($limits, $conditions->charge->socFrom, $plan->endSoc($conditions))?->kw : null;
    }
}
