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
use Harmozon\Core\Fit\Situation;
use Harmozon\Core\Words\Amount;

/** Gate 4: do the volts meet, and does no piece see more than its rating? */
final class VoltageGate implements Gate
{
    public function judge(Situation $situation): GateResult
    {
        $plan = $situation->voltage;
        if ($plan->failure !== null) {
            return GateResult::fail(GateName::Voltage, $plan->failure, self::figures($situation));
        }
        $highest = $plan->highestV($situation->conditions);
        $missing = $plan->missing;
        if ($highest !== null) {
            $over = $this->overRated($situation, $highest, $missing);
            if ($over !== null) {
                return $over;
            }
        }
        if ($missing !== []) {
            return GateResult::unread(GateName::Voltage, $missing);
        }

        return $this->meets($situation);
    }

    /** @param  list<Unread>  $missing gathers the ratings that nobody has read */
    private function overRated(Situation $situation, float $highestV, array &$missing): ?GateResult
    {
        $chain = $situation->chain;
        foreach ($chain->adapters as $adapter) {
            if ($adapter->plate->maxV === null) {
                $missing[] = Unread::adapterMaxV($adapter);
            } elseif ($highestV > $adapter->plate->maxV) {
                return self::tooHigh($highestV, $adapter->name, $adapter->plate->maxV);
            }
        }
        $isDc = $chain->current() === CurrentKind::Dc;
        $inletMaxV = $isDc ? $chain->inlet->dc?->maxV : $chain->inlet->ac?->maxV;
        if ($inletMaxV !== null) {
            return $highestV > $inletMaxV ? self::tooHigh($highestV, sprintf('the inlet of %s', $chain->vehicle->name), $inletMaxV) : null;
        }
        if ($isDc && $chain->inlet->dc !== null) {
            $missing[] = Unread::inletMaxV($chain);
        }

        return null;
    }

    private static function tooHigh(float $volts, string $piece, float $ratedV): GateResult
    {
        return GateResult::hazard(
            GateName::Voltage,
            sprintf('%s would reach %s, which is rated for %s.', Amount::volts($volts), $piece, Amount::volts($ratedV)),
            [new Figure('volts', $volts, 'V'), new Figure('rated', $ratedV, 'V')],
        );
    }

    private function meets(Situation $situation): GateResult
    {
        $plan = $situation->voltage;
        $conditions = $situation->conditions;
        $outlet = $situation->chain->outlet;
        $figures = self::figures($situation);
        $ceiling = Amount::volts($outlet->maxV ?? 0.0);
        $ceilingSoc = $plan->stopsAtSoc;

        return match (true) {
            $plan->mode === VoltageMode::Mains => GateResult::pass(
                GateName::Voltage, sprintf('%s lies within the onboard charger\'s volts.', Amount::volts($outlet->mainsV() ?? 0.0)), $figures,
            ),
            $ceilingSoc !== null => GateResult::caution(
                GateName::Voltage,
                sprintf('The pack meets the station\'s ceiling of %s on the way: stops near %s.', $ceiling, Amount::percent($ceilingSoc)),
                [...$figures, new Figure('stops_near', $ceilingSoc, '%')],
            ),
            $plan->mode === VoltageMode::StepUp => GateResult::caution(
                GateName::Voltage,
                sprintf('The station ends at %s, below the pack: the car steps up, at its converter\'s limit.', $ceiling), $figures,
            ),
            $plan->mode === VoltageMode::SplitPack => GateResult::pass(
                GateName::Voltage, sprintf('The car switches its pack to two halves, which lie below the station\'s %s.', $ceiling), $figures,
            ),
            default => GateResult::pass(GateName::Voltage, sprintf(
                'The pack runs from %s to %s; the station gives %s to %s.',
                Amount::volts($plan->plugV?->at($conditions->socFrom) ?? 0.0), Amount::volts($plan->plugV?->at($conditions->socTo) ?? 0.0),
                Amount::volts($outlet->minV ?? 0.0), $ceiling,
            ), $figures),
        };
    }

    /** @return list<Figure> */
    private static function figures(Situation $situation): array
    {
        $chain = $situation->chain;
        $pack = $chain->vehicle->pack->voltageBySoc;
        $figures = [];
        if ($chain->current() === CurrentKind::Dc && $pack !== null) {
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
