<?php

declare(strict_types=1);

namespace Harmozon\Core\Forecast;

use Harmozon\Core\Chain\Chain;
use Harmozon\Core\Chain\Conditions;
use Harmozon\Core\Chain\Unread;
use Harmozon\Core\Chain\VoltagePlanner;
use Harmozon\Core\Equipment\Adapter;
use Harmozon\Core\Equipment\CurrentKind;
use Harmozon\Core\Equipment\Curve;
use Harmozon\Core\Fit\ChainAnswer;
use Harmozon\Core\Power\Efficiency;
use Harmozon\Core\Power\Limits;
use Harmozon\Core\Words\Amount;

/** Forecasts a session on a chain that the gates have judged. */
final class Forecaster
{
    /** Longest step while the power stays level, when points are spared (s). */
    private const SPARING_S = 1800.0;

    /** @param  float  $stepS  longest step; any gives the same answer but for the rounding of heat loads */
    public function __construct(private readonly float $stepS = Integrator::LONGEST_STEP_S, private readonly ?float $levelStepS = null)
    {
    }

    /** For many forecasts, or one to be drawn: a night at a socket is a handful of points, not a thousand. */
    public static function sparing(): self
    {
        return new self(levelStepS: self::SPARING_S);
    }

    public function forecast(ChainAnswer $answer, Conditions $conditions): Forecast
    {
        if (! $answer->outcome->mayFlow()) {
            return Forecast::none($answer, $conditions->socFrom, $answer->why());
        }
        $chain = $answer->chain;
        // Five percent beyond the target, so that the next step can be told.
        $beyond = $conditions->upTo(min(100.0, $conditions->socTo + Marginal::STEP_PERCENT));
        $plan = (new VoltagePlanner)->plan($chain, $beyond);
        $limits = Limits::ofChain($chain, $plan, $beyond);
        $packKwh = $chain->vehicle->pack->usableKwh;
        $missing = [...($limits === null ? $plan->missing : []), ...($packKwh === null ? [Unread::usableKwh($chain)] : [])];
        if ($limits === null || $packKwh === null || ! (new Envelope($limits, $conditions->socFrom, $conditions->socTo))->isKnown()) {
            return Forecast::none($answer, $conditions->socFrom, $missing === [] ? 'No limit of this chain has been read yet.' : sprintf('Without %s there is no forecast.', Unread::facts($missing)), $missing);
        }
        $endSoc = min($conditions->socTo, $plan->stopsAtSoc ?? 100.0);
        $lastSoc = min($beyond->socTo, $plan->stopsAtSoc ?? 100.0, self::firstPlateSoc($chain, $limits->plugV, $endSoc, $beyond->socTo));
        $efficiency = Efficiency::of($chain, $plan);
        $tally = new Tally($limits->heat, $conditions->socFrom, $endSoc, $lastSoc, $conditions->nextStopKw);
        $walk = new Integrator($limits, $packKwh, $efficiency, $conditions->socFrom, $tally->marks(), $this->stepS, levelStepS: $this->levelStepS);
        foreach ($walk->steps() as $step) {
            $tally->add($step);
        }

        $stopped = match (true) {
            ! $tally->isClosed() => self::stopWords($walk),
            $endSoc < $conditions->socTo => sprintf('The station ends at %s; the pack is there at %s.', Amount::volts($chain->outlet->maxV ?? 0.0), Amount::percent($endSoc)),
            default => null,
        };

        return $tally->forecast($answer, $efficiency, $stopped, Limits::ofVehicle($chain, $conditions));
    }

    private static function stopWords(Integrator $walk): string
    {
        return $walk->cause() === StopCause::TooLong
            ? 'Not there after 120 hours.'
            : sprintf('Nothing flows any more: %s allows none.', $walk->bindingWords());
    }

    /** Where the plug would pass the volts of a piece: beyond the target no piece may see that, even in thought. */
    private static function firstPlateSoc(Chain $chain, Curve $plugV, float $fromSoc, float $toSoc): float
    {
        $soc = $toSoc;
        foreach ([...array_map(static fn (Adapter $a): ?float => $a->plate->maxV, $chain->adapters), $chain->inlet->dc?->maxV] as $maxV) {
            if ($maxV !== null && $chain->current() === CurrentKind::Dc) {
                $soc = min($soc, $plugV->firstAbove($maxV, $fromSoc, $toSoc) ?? $toSoc);
            }
        }

        return $soc;
    }
}
