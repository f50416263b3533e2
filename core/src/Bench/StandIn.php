<?php

declare(strict_types=1);

namespace Harmozon\Core\Bench;

use Harmozon\Core\Chain\Chain;
use Harmozon\Core\Chain\Conditions;
use Harmozon\Core\Chain\UsualNeed;
use Harmozon\Core\Chain\VoltagePlan;
use Harmozon\Core\Equipment\Plate;
use Harmozon\Core\Forecast\Integrator;
use Harmozon\Core\Forecast\StepPlan;
use Harmozon\Core\Power\Efficiency;
use Harmozon\Core\Power\Limits;
use Harmozon\Core\Record\Point;
use Harmozon\Core\Record\Reading;

/**
 * A simulated car, adapter and charger that go through one session and produce readings as a person would note them: a
 * handshake, a ramp, then constant current or constant power until the charge curve tapers, with a little noise.
 */
final class StandIn
{
    /** Share of the contact's temperature rise that shows on the surface. */
    private const SURFACE_SHARE = 0.38;

    /** Share of the rise of what is plugged in that the inlet shows: the car's own wiring cools it. An assumption. */
    private const INLET_SHARE = 0.6;

    /** Rise allowed at full load where no plate gives it (K). */
    private const USUAL_RISE_K = Plate::DEFAULT_LIMIT_C - Plate::DEFAULT_RATED_AT_C;

    /** Noise of a clip-on sensor (K). An assumption. */
    private const CELSIUS_NOISE_K = 0.3;

    /** Sums of whole seconds, kept as floats, are exact to within this (s). */
    private const SAME_S = 1e-6;

    private const AMPS_NOISE = 0.004;

    private const VOLTS_NOISE = 0.0008;

    private const LONGEST_MINUTES = 1440.0;

    private const STEP_S = 1.0;

    private readonly Noise $noise;

    private readonly float $ambientC;

    public function __construct(
        private readonly Chain $chain,
        private readonly VoltagePlan $plan,
        private readonly Conditions $conditions,
        private readonly Script $script,
    ) {
        $this->noise = new Noise($script->seed);
        $this->ambientC = $conditions->ambientC ?? UsualNeed::AMBIENT_C;
    }

    /**
     * @return \Generator<int, Reading>
     *
     * @throws CannotActOut
     */
    public function readings(): \Generator
    {
        $packKwh = $this->chain->vehicle->pack->usableKwh ?? throw CannotActOut::withoutKwh();
        $limits = Limits::ofChain($this->chain, $this->plan, $this->conditions) ?? throw CannotActOut::withoutVolts();
        if (! $limits->isKnown()) {
            throw CannotActOut::withoutLimit();
        }
        $lastS = min($this->script->longestMinutes, self::LONGEST_MINUTES) * 60;
        $walk = new Integrator(
            $limits,
            $packKwh,
            Efficiency::of($this->chain, $this->plan),
            $this->conditions->charge->socFrom,
            [$this->plan->endSoc($this->conditions)],
            new StepPlan(self::STEP_S, handshakeS: $this->script->failsToStart ? INF : Integrator::HANDSHAKE_S, obeysHeat: ! $this->script->ignoresHeat),
        );
        $nextS = 0.0;
        $end = null;
        foreach ($walk->steps() as $step) {
            $end = $step;
            if ($step->tS > $lastS || $step->lengthS <= 0.0) {
                break;
            }
            if ($step->tS >= $nextS - self::SAME_S) {
                yield $this->note((int) round($step->tS), $step->soc, $step->flow->volts, $step->flow->kw, $step->heat->theta);
                $nextS += $this->script->everyS;
            }
        }
        if ($end !== null) {
            yield $this->note((int) ceil(min($end->tS, $lastS + 1)), $end->soc, $end->flow->volts, 0.0, $end->heat->theta);
        }
    }

    /** @param  array<string, float>  $theta  heat load by link id */
    private function note(int $tS, float $soc, float $plugV, float $kw, array $theta): Reading
    {
        $phases = $this->chain->phases();
        $volts = $plugV * (1 + self::VOLTS_NOISE * $this->noise->wobble());
        $amps = $kw * 1000 / ($plugV * $phases) * (1 + self::AMPS_NOISE * $this->noise->wobble());
        $celsius = [];
        foreach (Point::cases() as $point) {
            if ($this->script->isRead($point->value)) {
                $celsius[$point->value] = round($this->surfaceC($point, $theta) + self::CELSIUS_NOISE_K * $this->noise->wobble(), 1);
            }
        }

        return new Reading(
            $tS * 1000,
            $this->script->isRead('soc') ? round($soc, 1) : null,
            $this->script->isRead('v') ? round($volts, 1) : null,
            $this->script->isRead('a') ? round($amps, 1) : null,
            $this->script->isRead('kw') ? round($volts * $amps * $phases / 1000, 1) : null,
            $celsius,
            $this->script->source,
        );
    }

    /** @param  array<string, float>  $theta */
    private function surfaceC(Point $point, array $theta): float
    {
        $adapter = $this->chain->adapters[0] ?? null;
        $cable = $theta[Chain::CABLE] ?? 0.0;
        $load = match ($point) {
            Point::Adapter => $adapter === null ? 0.0 : ($theta[$adapter->id] ?? 0.0),
            Point::Handle, Point::Cable => $cable,
            Point::Inlet => self::INLET_SHARE * ($adapter === null ? $cable : ($theta[$adapter->id] ?? 0.0)),
            Point::Ambient => 0.0,
        };
        $rise = $adapter === null ? self::USUAL_RISE_K : $adapter->rating->plate->limitC - $adapter->rating->plate->ratedAtC;

        return $this->ambientC + self::SURFACE_SHARE * $rise * $load;
    }
}
