<?php

declare(strict_types=1);

namespace Harmozon\Core\Fit\Gates;

use Harmozon\Core\Chain\AssumedFact;
use Harmozon\Core\Chain\UnreadFact;
use Harmozon\Core\Chain\VoltageMode;
use Harmozon\Core\Equipment\CurrentKind;
use Harmozon\Core\Equipment\Curve;
use Harmozon\Core\Equipment\Origin;
use Harmozon\Core\Fit\Figure;
use Harmozon\Core\Fit\Gate;
use Harmozon\Core\Fit\GateName;
use Harmozon\Core\Fit\GateResult;
use Harmozon\Core\Fit\RatedPiece;
use Harmozon\Core\Fit\Situation;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;

/** Gate 4: do the voltages match, and is every piece within its rated voltage? */
final class VoltageGate implements Gate
{
    public function judge(Situation $situation): GateResult
    {
        $plan = $situation->voltage;
        $typical = AssumedFact::packVolts($situation->chain);
        // Without any volts of the pack the plan itself asks for them.
        $isSpread = $typical !== null && $situation->chain->current === CurrentKind::Dc && $situation->chain->vehicle->pack->voltageBySoc !== null;
        $spread = $isSpread ? PackSpread::of($situation, $typical) : null;
        if ($plan->failure !== null) {
            return $typical !== null && $spread?->fitsInPart === true
                ? GateResult::unread(GateName::Voltage, [$typical->unread])
                : GateResult::fail(GateName::Voltage, $plan->failure, static fn (): array => self::figures($situation));
        }
        $highest = $plan->highestV($situation->conditions);
        $missing = [...($typical !== null && $spread?->fits === false ? [$typical->unread] : []), ...$plan->missing];
        $danger = null;
        foreach (RatedPiece::along($situation->chain) as $piece) {
            $most = max($highest[1] ?? 0.0, $typical === null ? 0.0 : self::mostV($situation, $typical, $piece));
            if ($piece->maxV === null || ($piece->isByStandard && $highest !== null && $most > $piece->maxV && $most < INF)) {
                $missing[] = $piece->unread;
                $danger ??= $highest === null || $highest[1] === INF ? null : Message::of('danger.rating', link: $piece->link, volts: Amount::volts($highest[1]));
            } elseif ($piece->isByStandard) {
                $danger ??= $highest !== null && $most > $piece->maxV ? Message::of('danger.by_standard', link: $piece->link, rated: Amount::volts($piece->maxV)) : null;
            } elseif ($highest !== null && $highest[0] > $piece->maxV && $typical === null) {
                return self::tooHigh($highest[0], $piece, $plan->missing);
            } elseif ($highest !== null && $most > $piece->maxV) {
                // Volts that nobody has read say nothing of safety: they have to be read.
                $asked = $typical !== null && $danger === null && $plan->plugV !== null ? [$typical->unread] : [];
                $missing = [...$missing, ...$asked];
                $danger ??= Message::of('danger.volts', link: $piece->link, rated: Amount::volts($piece->maxV));
            }
        }

        if ($missing !== []) {
            return GateResult::unread(GateName::Voltage, $missing, $danger);
        }
        $typical = self::typical($situation);

        return $typical === null ? $this->meets($situation) : $this->meets($situation)->minding([$typical]);
    }

    /** The most that a piece may see: by the typical battery on the car's own inlet, and by the highest possible one on any other piece. */
    private static function mostV(Situation $situation, AssumedFact $typical, RatedPiece $piece): float
    {
        $high = ($piece->isVehicles ? null : $typical->origin->most) ?? $typical->origin->high;
        $plan = $high instanceof Curve ? $situation->voltage->along($high, $situation->chain->vehicle->pack->voltageBySoc) : $situation->voltage;

        return $plan->plugV?->highestBetween($situation->conditions->charge->socFrom, $plan->endSoc($situation->conditions)) ?? 0.0;
    }

    /** @param  list<UnreadFact>  $missing  facts that cannot help it, whatever they are */
    private static function tooHigh(float $volts, RatedPiece $piece, array $missing): GateResult
    {
        $rated = Amount::volts($piece->maxV);

        return GateResult::hazard(
            GateName::Voltage,
            $missing === []
                ? Message::of('voltage.over_rating', volts: Amount::volts($volts), link: $piece->link, rated: $rated)
                : Message::of('voltage.fails_or_over', facts: UnreadFact::facts($missing), link: $piece->link, rated: $rated),
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

    /** The caution for an unread battery voltage; null where it was read, or learned from sessions. */
    private static function typical(Situation $situation): ?Message
    {
        $origin = AssumedFact::packVolts($situation->chain)?->origin;
        if ($origin === null || $origin->origin === Origin::Learned || $situation->chain->current === CurrentKind::Ac) {
            return null;
        }
        $outlet = $situation->chain->outlet->rating;
        $ceilingV = $outlet->maxV;
        $mostV = $origin->most?->at($situation->conditions->charge->socFrom);

        return $mostV !== null && $ceilingV !== null && $mostV > $ceilingV
            ? Message::of('voltage.usual_class', vehicle: $situation->chain->vehicle->name, ceiling: Amount::volts($ceilingV))
            : Message::of('voltage.typical', vehicle: $situation->chain->vehicle->name, floor: Amount::volts($outlet->minV), ceiling: Amount::volts($ceilingV));
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
