<?php

declare(strict_types=1);

namespace Harmozon\Core\Fit;

use Harmozon\Core\Chain\VoltagePlanner;
use Harmozon\Core\Equipment\CurrentKind;
use Harmozon\Core\Equipment\Curve;
use Harmozon\Core\Equipment\Supply;
use Harmozon\Core\Power\Limits;
use Harmozon\Core\Power\PeakFinder;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;

/** A supply below the voltage at which the onboard charger reaches its full power: 208 V gives 10.0 kW where 240 V would give 11.5. */
final readonly class LowSupply
{
    /** Smaller differences don't count (kW, V). */
    private const LEAST_KW = 0.05;

    private const SAME_V = 0.5;

    private function __construct(private float $volts, private float $kw, private float $bestV, private float $bestKw)
    {
    }

    public static function of(ChainAnswer $answer): ?self
    {
        $chain = $answer->chain;
        [$ac, $volts] = [$chain->inlet->ac, $chain->outlet->mainsV()];
        if ($chain->current !== CurrentKind::Ac || $ac?->maxKw === null || $ac->maxA === null || $ac->maxV === null || $volts === null || $answer->peak === null) {
            return null;
        }
        $bestV = min($ac->maxKw * 1000 / $ac->maxA / $chain->phases(), $ac->maxV);
        if ($bestV <= $volts + self::SAME_V) {
            return null;
        }
        $supply = $chain->outlet->feed->supply;
        $at = $chain->of(outlet: $chain->outlet->suppliedBy(new Supply($bestV, $supply?->amps, $supply?->phases)));
        $plan = (new VoltagePlanner)->plans($at, $answer->conditions)[0];
        $limits = $plan->plugV instanceof Curve ? Limits::ofChain($at, $plan, $answer->conditions) : null;
        $bestKw = $limits === null ? null : (new PeakFinder)->find($limits, $answer->conditions->charge->socFrom, $answer->conditions->charge->socTo)?->kw;

        return $bestKw === null || $bestKw < $answer->peak->kw + self::LEAST_KW ? null : new self($volts, $answer->peak->kw, $bestV, $bestKw);
    }

    public function message(Message $binding): Message
    {
        return Message::of('why.low_supply', binding: $binding, volts: Amount::volts($this->volts), kw: Amount::kw($this->kw), best: Amount::volts($this->bestV), best_kw: Amount::kw($this->bestKw));
    }
}
