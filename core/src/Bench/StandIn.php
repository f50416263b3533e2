<?php

declare(strict_types=1);

namespace Harmozon\Core\Bench;

use Harmozon\Core\Chain\Chain;
use Harmozon\Core\Chain\Conditions;
use Harmozon\Core\Chain\VoltagePlan;
use Harmozon\Core\Equipment\Curve;
use Harmozon\Core\Power\Duty;
use Harmozon\Core\Power\Efficiency;
use Harmozon\Core\Power\Limits;
use Harmozon\Core\Power\LimitSet;
use Harmozon\Core\Record\Point;
use Harmozon\Core\Record\Reading;

/**
 * A simulated car, adapter and charger that act out one session and hand over readings as a person would note them:
 * a handshake, a ramp, then constant current or constant power until the charge curve tapers, with a little noise.
 */
final class StandIn
{
    /** First power this long after plugging in (s). */
    private const HANDSHAKE_S = 45;

    /** How fast the power rises (kW/s). */
    private const RAMP_KW_PER_S = 10.0;

    /** How the warmth inside a piece shows on its surface (share of the rise at the contact). */
    private const SURFACE_SHARE = 0.38;

    private const AMPS_NOISE = 0.004;

    private const VOLTS_NOISE = 0.0008;

    private const DEFAULT_AMBIENT_C = 20.0;

    /** @var array<string, float> heat load by link id */
    private array $theta = [];

    private readonly Noise $noise;

    private readonly float $ambientC;

    public function __construct(
        private readonly Chain $chain,
        private readonly VoltagePlan $plan,
        private readonly Conditions $conditions,
        private readonly Script $script,
    ) {
        $this->noise = new Noise($script->seed);
        $this->ambientC = $conditions->ambientC ?? self::DEFAULT_AMBIENT_C;
        foreach ([...$chain->adapterIds(), Chain::CABLE] as $id) {
            $this->theta[$id] = $conditions->thetaOf($id);
        }
    }

    /** @return \Generator<int, Reading> */
    public function readings(): \Generator
    {
        $soc = $this->conditions->socFrom;
        $end = $this->plan->endSoc($this->conditions);
        $packKwh = $this->chain->vehicle->pack->usableKwh ?? throw new \DomainException('the stand-in needs the pack\'s usable kWh');
        $plugV = $this->plan->plugV ?? throw new \DomainException('the stand-in needs a chain whose volts meet');
        $efficiency = Efficiency::of($this->chain, $this->plan);
        $kw = 0.0;
        $lastS = (int) round(min($this->script->longestMinutes, 1440.0) * 60);
        $tS = 0;
        for (; $tS <= $lastS && $soc < $end; $tS++) {
            $kw = $tS < self::HANDSHAKE_S || $this->script->failsToStart ? 0.0 : min($kw + self::RAMP_KW_PER_S, $this->allowedKw($soc));
            if ($tS % $this->script->everyS === 0) {
                yield $this->note($tS, $soc, $plugV, $kw);
            }
            $amps = $kw * 1000 / ($plugV->at($soc) * $this->chain->phases());
            $this->warm($amps);
            $soc += $kw / 3600 * $efficiency / $packKwh * 100;
        }
        yield $this->note($tS, min($soc, $end), $plugV, 0.0);
    }

    private function allowedKw(float $soc): float
    {
        $limits = $this->limits();
        $kw = [
            ...($limits->leastA() === null ? [] : [$limits->leastA() * $limits->kwPerAmp($soc)]),
            ...($limits->leastKw() === null ? [] : [$limits->leastKw()]),
            ...($limits->curve === null ? [] : [$limits->curve->kw->at($soc)]),
        ];

        return $kw === [] ? 0.0 : min($kw);
    }

    private function limits(): LimitSet
    {
        $now = new Conditions(
            $this->conditions->socFrom, $this->conditions->socTo, $this->conditions->ambientC, $this->conditions->packC,
            $this->conditions->packPrepared, $this->conditions->member, $this->script->ignoresHeat ? [] : $this->theta,
        );

        return Limits::ofChain($this->chain, $this->plan, $now) ?? throw new \DomainException('the stand-in needs a chain whose volts meet');
    }

    private function warm(float $amps): void
    {
        foreach ($this->chain->adapters as $adapter) {
            $duty = Duty::of($adapter->plate, $this->conditions->ambientC);
            $this->theta[$adapter->id] = $duty?->after($this->theta[$adapter->id], $amps, 1 / 60) ?? 0.0;
        }
        $cable = $this->chain->outlet->cable;
        if ($cable !== null) {
            $duty = Duty::of($cable->plateNow(), $this->conditions->ambientC, $cable->ageing, $cable->cooled === true && ! $cable->coolingFailed);
            $this->theta[Chain::CABLE] = $duty?->after($this->theta[Chain::CABLE], $amps, 1 / 60) ?? 0.0;
        }
    }

    private function note(int $tS, float $soc, Curve $plugV, float $kw): Reading
    {
        $phases = $this->chain->phases();
        $volts = $plugV->at($soc) * (1 + self::VOLTS_NOISE * $this->noise->wobble());
        $amps = $kw * 1000 / ($plugV->at($soc) * $phases) * (1 + self::AMPS_NOISE * $this->noise->wobble());
        $celsius = [];
        foreach (Point::cases() as $point) {
            if ($this->script->isRead($point->value)) {
                $celsius[$point->value] = round($this->surfaceC($point) + 0.3 * $this->noise->wobble(), 1);
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

    private function surfaceC(Point $point): float
    {
        $adapter = $this->chain->adapters[0] ?? null;
        $theta = match ($point) {
            Point::Adapter => $adapter === null ? 0.0 : $this->theta[$adapter->id],
            Point::Handle, Point::Cable => $this->theta[Chain::CABLE],
            Point::Inlet => 0.6 * ($adapter === null ? $this->theta[Chain::CABLE] : $this->theta[$adapter->id]),
            Point::Ambient => 0.0,
        };
        $rise = $adapter === null ? 65.0 : $adapter->plate->limitC - $adapter->plate->ratedAtC;

        return $this->ambientC + self::SURFACE_SHARE * $rise * $theta;
    }
}
