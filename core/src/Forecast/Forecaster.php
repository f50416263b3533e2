<?php

declare(strict_types=1);

namespace Harmozon\Core\Forecast;

use Harmozon\Core\Chain\Chain;
use Harmozon\Core\Chain\Conditions;
use Harmozon\Core\Chain\Fact;
use Harmozon\Core\Chain\UnreadFact;
use Harmozon\Core\Chain\VoltagePlanner;
use Harmozon\Core\Equipment\Adapter;
use Harmozon\Core\Equipment\CurrentKind;
use Harmozon\Core\Equipment\Curve;
use Harmozon\Core\Equipment\Tariff;
use Harmozon\Core\Fit\ChainAnswer;
use Harmozon\Core\Fit\SpreadBound;
use Harmozon\Core\Power\Efficiency;
use Harmozon\Core\Power\Limits;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;

/** Forecasts a session on a chain that the gates have judged. */
final class Forecaster
{
    /** Longest step while the power stays level, when few points are wanted (s). */
    private const SPARING_S = 1800.0;

    /** Longest step when only totals are wanted (s): the heat load changes little over it. */
    private const TOTALS_S = 120.0;

    /**
     * @param  float  $stepS  longest step; any gives the same answer but for the rounding of heat loads
     * @param  float|null  $levelStepS  longest step while volts and power stay level; null: as the others
     * @param  bool  $tellsMore  what the next 5 % would take, where the next stop is quicker, from when on an adapter would be passed
     */
    public function __construct(
        private readonly float $stepS = Integrator::LONGEST_STEP_S,
        private readonly ?float $levelStepS = null,
        private readonly bool $tellsMore = true,
    ) {
    }

    /** For many forecasts, or a drawing: a night at a socket has a handful of points, not a thousand. */
    public static function sparing(): self
    {
        return new self(levelStepS: self::SPARING_S);
    }

    /** For a ranking: minutes, energy and what a tariff charges for. A tariff by minutes and power needs them exactly. */
    public static function totals(?Tariff $tariff): self
    {
        return $tariff === null || $tariff->minuteBands === []
            ? new self(self::TOTALS_S, INF, tellsMore: false)
            : new self(levelStepS: INF, tellsMore: false);
    }

    public function forecast(ChainAnswer $answer, Conditions $conditions): Forecast
    {
        if (! $answer->outcome->mayFlow()) {
            return Forecast::none($answer, $conditions->charge->socFrom, $answer->why());
        }
        $chain = $answer->chain;
        $conditions = $conditions->reaching($chain->vehicle);
        // Five percent beyond the target, so that the next step can be told.
        $beyond = $this->tellsMore ? $conditions->upTo(min(100.0, $conditions->charge->socTo + NextFivePercent::STEP_PERCENT)) : $conditions;
        $plan = (new VoltagePlanner)->alike($answer->voltage, $chain, $beyond);
        $limits = Limits::ofChain($chain, $plan, $beyond);
        $packKwh = $chain->vehicle->pack->usableKwh;
        $missing = [...($limits === null ? $plan->missing : []), ...($packKwh === null ? [UnreadFact::of(Fact::UsableKwh, $chain)] : []), ...($conditions->charge->distance !== null && $chain->vehicle->kmPerKwh === null ? [UnreadFact::of(Fact::KmPerKwh, $chain)] : [])];
        if ($limits === null || $missing !== [] || $packKwh === null || ! $limits->isKnown()) {
            return Forecast::none($answer, $conditions->charge->socFrom, $missing === [] ? Message::of('end.no_limit') : Message::of('end.unread', facts: UnreadFact::facts($missing)), $missing);
        }
        $endSoc = min($conditions->charge->socTo, $plan->ceilingAtSoc ?? 100.0);
        $lastSoc = min($beyond->charge->socTo, $plan->ceilingAtSoc ?? 100.0, self::firstPlateSoc($chain, $limits->plugV, $endSoc, $beyond->charge->socTo));
        $efficiency = Efficiency::of($chain, $plan);
        $fives = $this->tellsMore ? new FivePercentMarks($conditions->charge->socFrom, $endSoc, $lastSoc) : null;
        $totals = new StepTotals($limits->changing->heat, $endSoc, $fives, $conditions->visit->nextStopKw, $this->tellsMore ? new AdapterWatch($chain, SpreadBound::ofMostAmps($chain, $plan, $beyond, $limits) ?? $limits) : null, $conditions->cabin->kw);
        $marks = $fives?->marks() ?? ($endSoc > $conditions->charge->socFrom ? [$endSoc] : []);
        $walk = new Integrator($limits, $packKwh, $efficiency, $conditions->charge->socFrom, $marks, new StepPlan($this->stepS, $this->levelStepS));
        foreach ($walk->steps() as $step) {
            $totals->add($step);
        }
        $cutShort = match (true) {
            ! $totals->isClosed() => self::earlyStop($walk),
            $endSoc < $conditions->charge->socTo => Message::of('end.ceiling', ceiling: Amount::volts($chain->outlet->rating->maxV), soc: Amount::percent($endSoc)),
            default => null,
        };

        return $totals->forecast($answer, $efficiency, $cutShort, $this->tellsMore ? Limits::ofVehicle($chain, $conditions) : null, ForecastAssumptions::of($chain, $conditions, $limits), $this->saving($answer, $conditions, $totals, $walk));
    }

    private function saving(ChainAnswer $answer, Conditions $conditions, StepTotals $totals, Integrator $walk): ?CabinSaving
    {
        if (! $this->tellsMore || $conditions->cabin->kw <= 0.0) {
            return null;
        }
        $without = (new self(self::TOTALS_S, INF, tellsMore: false))->forecast($answer, $conditions->withoutCabin())->totals;
        $with = $totals->totals(1.0);

        return $walk->endCause() === EndCause::ChargeFalls || $without->minutes === null || $with->minutes === null
            ? new CabinSaving(null, null)
            : new CabinSaving($with->minutes - $without->minutes, $with->plugKwh - $without->plugKwh);
    }

    private static function earlyStop(Integrator $walk): Message
    {
        return match ($walk->endCause()) {
            EndCause::TooLong => Message::of('end.too_long', hours: Amount::count(Integrator::LONGEST_HOURS)),
            EndCause::ChargeFalls => Message::of('end.charge_falls', kw: Amount::kw($walk->kw()), percent: Amount::percent($walk->percentLostInAnHour())),
            default => Message::of('end.nothing_flows', binding: $walk->binding()->message()),
        };
    }

    /** The charge at which the plug would exceed a piece's rated voltage: the forecast beyond the target stops there. */
    private static function firstPlateSoc(Chain $chain, Curve $plugV, float $fromSoc, float $toSoc): float
    {
        $soc = $toSoc;
        foreach ([...array_map(static fn (Adapter $a): ?float => $a->rating->plate->maxV, $chain->adapters), $chain->inlet->dc?->maxV] as $maxV) {
            if ($maxV !== null && $chain->current === CurrentKind::Dc) {
                $soc = min($soc, $plugV->firstAbove($maxV, $fromSoc, $toSoc) ?? $toSoc);
            }
        }

        return $soc;
    }
}
