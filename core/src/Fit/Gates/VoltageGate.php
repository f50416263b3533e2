<?php

declare(strict_types=1);

namespace Harmozon\Core\Fit\Gates;

use Harmozon\Core\Chain\Unread;
use Harmozon\Core\Chain\VoltageMode;
use Harmozon\Core\Equipment\CurrentKind;
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
        $missing = $plan->missing;
        $danger = null;
        foreach (RatedPiece::along($situation->chain) as $piece) {
            if ($piece->maxV === null) {
                $missing[] = $piece->unread;
                $danger ??= $highest === null || $highest[1] === INF ? null : Message::of('danger.rating', link: $piece->link, volts: Amount::volts($highest[1]));
            } elseif ($highest !== null && $highest[0] > $piece->maxV) {
                return self::tooHigh($highest[0], $piece, $plan->missing);
            } elseif ($highest !== null && $highest[1] > $piece->maxV) {
                $danger ??= Message::of('danger.volts', link: $piece->link, rated: Amount::volts($piece->maxV));
            }
        }

        return $missing === [] ? $this->meets($situation) : GateResult::unread(GateName::Voltage, $missing, $danger);
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
        $ceiling = static fn (): Amount => Amount::volts($outlet->maxV);
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
                start: Amount::volts($plan->plugV?->at($situation->conditions->socFrom)), target: Amount::volts($plan->plugV?->at($situation->conditions->socTo)),
                floor: Amount::volts($outlet->minV), ceiling: $ceiling(),
            ), $figures),
        };
    }

    /** @return list<Figure> */
    private static function figures(Situation $situation): array
    {
        $chain = $situation->chain;
        $pack = $chain->vehicle->pack->voltageBySoc;
        $figures = [];
        if ($chain->current === CurrentKind::Dc && $pack !== null) {
            $figures[] = new Figure('pack_at_start', $pack->at($situation->conditions->socFrom), 'V');
            $figures[] = new Figure('pack_at_target', $pack->at($situation->conditions->socTo), 'V');
        }
        foreach (['station_min' => $chain->outlet->minV, 'station_max' => $chain->outlet->maxV, 'supply' => $chain->outlet->supply?->volts] as $name => $volts) {
            if ($volts !== null) {
                $figures[] = new Figure($name, $volts, 'V');
            }
        }

        return $figures;
    }
}
