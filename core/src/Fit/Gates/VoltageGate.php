<?php

declare(strict_types=1);

namespace Harmozon\Core\Fit\Gates;

use Harmozon\Core\Chain\Assumed;
use Harmozon\Core\Chain\Unread;
use Harmozon\Core\Chain\VoltageMode;
use Harmozon\Core\Equipment\CurrentKind;
use Harmozon\Core\Equipment\Curve;
use Harmozon\Core\Fit\Figure;
use Harmozon\Core\Fit\Gate;
use Harmozon\Core\Fit\GateName;
use Harmozon\Core\Fit\GateResult;
use Harmozon\Core\Fit\RatedPiece;
use Harmozon\Core\Fit\Situation;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;

/** Gate 4: do the volts meet, and does no piece see more than its rating? */
final class VoltageGate implements Gate
{
    public function judge(Situation $situation): GateResult
    {
        $plan = $situation->voltage;
        if ($plan->failure !== null) {
            return GateResult::fail(GateName::Voltage, $plan->failure, static fn (): array => self::figures($situation));
        }
        $highest = $plan->highestV($situation->conditions);
        $typical = Assumed::packVolts($situation->chain);
        $most = max($highest[1] ?? 0.0, $typical === null ? 0.0 : self::mostV($situation, $typical));
        $missing = $plan->missing;
        $danger = null;
        foreach (RatedPiece::along($situation->chain) as $piece) {
            if ($piece->maxV === null) {
                $missing[] = $piece->unread;
                $danger ??= $highest === null || $highest[1] === INF ? null : Message::of('danger.rating', link: $piece->link, volts: Amount::volts($highest[1]));
            } elseif ($highest !== null && $highest[0] > $piece->maxV && $typical === null) {
                return self::tooHigh($highest[0], $piece, $plan->missing);
            } elseif ($highest !== null && $most > $piece->maxV) {
                // Volts that nobody has read say nothing of safety: they have to be read.
                $asked = $typical !== null && $danger === null && $plan->plugV !== null ? [$typical->unread] : [];
                $missing = [...$missing, ...$asked];
                $danger ??= Message::of('danger.volts', link: $piece->link, rated: Amount::volts($piece->maxV));
            }
        }

        return $missing === [] ? $this->meets($situation) : GateResult::unread(GateName::Voltage, $missing, $danger);
    }

    /** The most that the plug may see at the upper end of what is usual for the pack. */
    private static function mostV(Situation $situation, Assumed $typical): float
    {
        $high = $typical->origin->high;
        $plan = $high instanceof Curve ? $situation->voltage->along($high, $situation->chain->vehicle->pack->voltageBySoc) : $situation->voltage;

        return $plan->plugV?->highestBetween($situation->conditions->charge->socFrom, $plan->endSoc($situation->conditions)) ?? 0.0;
    }

    /** @param  list<Unread>  $missing  facts that cannot help it, whatever they are */
    private static function tooHigh(float $volts, RatedPiece $piece, array $missing): GateResult
    {
        $rated = Amount::volts($piece->maxV);

        return GateResult::hazard(
            GateName::Voltage,
            $missing === []
                ? Message::of('voltage.over_rating', volts: Amount::volts($volts), link: $piece->link, rated: $rated)
                : Message::of('voltage.fails_or_over', facts: Unread::facts($missing), link: $piece->link, rated: $rated),
            [new Figure('volts', $volts, 'V'), new Figure('rated', $piece->maxV ?? 0.0, 'V')],
        );
    }

    private function meets(Situation $situation): GateResult
    {
        $plan = $situation->voltage;
        $ceilingSoc = $plan->ceilingAtSoc;
        $outlet = $situation->chain->outlet;
        $ceiling = static fn (): Amount => Amount::volts($outlet->rating->maxV);
        $figures = static fn (): array => [...self::figures($situation), ...($ceilingSoc === null ? [] : [new Figure('stops_near', $ceilingSoc, '%')])];

        return match (true) {
            $plan->mode === VoltageMode::Mains => GateResult::pass(
                GateName::Voltage, static fn (): Message => Message::of('voltage.within_charger', supply: Amount::volts($outlet->mainsV())), $figures,
            ),
            self::mayMiss($situation) => GateResult::caution(
                GateName::Voltage, static fn (): Message => Message::of('voltage.typical_may_miss', vehicle: $situation->chain->vehicle->name, floor: Amount::volts($outlet->rating->minV), ceiling: $ceiling()), $figures,
            ),
            $ceilingSoc !== null => GateResult::caution(
                GateName::Voltage, static fn (): Message => Message::of('voltage.stops_near', ceiling: $ceiling(), soc: Amount::percent($ceilingSoc)), $figures,
            ),
            $plan->mode === VoltageMode::StepUp => GateResult::caution(
                GateName::Voltage, static fn (): Message => Message::of('voltage.steps_up', ceiling: $ceiling()), $figures,
            ),
            $plan->mode === VoltageMode::SplitPack => GateResult::pass(
                GateName::Voltage, static fn (): Message => Message::of('voltage.splits', ceiling: $ceiling()), $figures,
            ),
            default => GateResult::pass(GateName::Voltage, static fn (): Message => Message::of(
                'voltage.meets',
                start: Amount::volts($plan->plugV?->at($situation->conditions->charge->socFrom)), target: Amount::volts($plan->plugV?->at($situation->conditions->charge->socTo)),
                floor: Amount::volts($outlet->rating->minV), ceiling: $ceiling(),
            ), $figures),
        };
    }

    /** Whether a pack whose volts nobody has read may lie outside the station's window when the session begins. */
    private static function mayMiss(Situation $situation): bool
    {
        $typical = Assumed::packVolts($situation->chain);
        $from = $situation->conditions->charge->socFrom;
        $outlet = $situation->chain->outlet;
        if ($typical === null || ! in_array($situation->voltage->mode, [VoltageMode::Native, VoltageMode::SplitPack], true)) {
            return false;
        }
        $plan = $situation->voltage;
        $pack = $situation->chain->vehicle->pack->voltageBySoc;
        $low = $typical->origin->low instanceof Curve ? $plan->along($typical->origin->low, $pack)->plugV?->at($from) : null;
        $high = $typical->origin->high instanceof Curve ? $plan->along($typical->origin->high, $pack)->plugV?->at($from) : null;

        return ($low !== null && $low < $outlet->rating->minV) || ($high !== null && $outlet->rating->maxV !== null && $high > $outlet->rating->maxV);
    }

    /** @return list<Figure> */
    private static function figures(Situation $situation): array
    {
        $chain = $situation->chain;
        $pack = $chain->vehicle->pack->voltageBySoc;
        $figures = [];
        if ($chain->current === CurrentKind::Dc && $pack !== null) {
            $figures[] = new Figure('pack_at_start', $pack->at($situation->conditions->charge->socFrom), 'V');
            $figures[] = new Figure('pack_at_target', $pack->at($situation->conditions->charge->socTo), 'V');
        }
        foreach (['station_min' => $chain->outlet->rating->minV, 'station_max' => $chain->outlet->rating->maxV, 'supply' => $chain->outlet->feed->supply?->volts] as $name => $volts) {
            if ($volts !== null) {
                $figures[] = new Figure($name, $volts, 'V');
            }
        }

        return $figures;
    }
}
