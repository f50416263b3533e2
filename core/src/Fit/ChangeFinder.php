<?php

declare(strict_types=1);

namespace Harmozon\Core\Fit;

use Harmozon\Core\Catalogue\Catalogue;
use Harmozon\Core\Chain\Conditions;
use Harmozon\Core\Equipment\Access;
use Harmozon\Core\Equipment\AccessKind;
use Harmozon\Core\Equipment\Adapter;
use Harmozon\Core\Equipment\Outlet;
use Harmozon\Core\Equipment\Signalling;
use Harmozon\Core\Equipment\Vehicle;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Listing;
use Harmozon\Core\Words\Message;

/**
 * Finds what would change an answer: makes every single change worth considering, runs the gates again, and keeps those
 * that improve the answer, the greatest gain first. Nothing is claimed that wasn't found this way.
 */
final class ChangeFinder
{
    /** The least gain in peak power that makes a change with the same outcome worth showing (share). */
    private const WORTH_GAIN = 0.05;

    private const MOST_TOLD = 6;

    /** The lowest arrival charge to suggest (%). */
    private const LEAST_CEILING_SOC = 2.0;

    /** @param  list<Adapter>  $kit */
    public function __construct(
        private readonly array $kit,
        private readonly Conditions $conditions,
        private readonly AdapterPolicy $policy,
        private readonly Catalogue $catalogue,
    ) {
    }

    /** @return list<Change> nothing for an answer that charges already */
    public function changes(ChainAnswer $now, Outlet $outlet, Vehicle $vehicle): array
    {
        if ($now->outcome === Outcome::Charges) {
            return [];
        }
        $found = [];
        foreach ($this->tried($outlet, $vehicle) as $change) {
            if ($this->improves($change->answer, $now)) {
                $found[$change->message->key()] ??= $change;
            }
        }
        // Equal gains stay in the order in which they were tried.
        usort($found, static fn (Change $a, Change $b): int => [$b->answer->outcome->rank(), $b->answer->expectedPeakKw() ?? 0.0]
            <=> [$a->answer->outcome->rank(), $a->answer->expectedPeakKw() ?? 0.0]);

        return array_slice($found, 0, self::MOST_TOLD);
    }

    private function improves(ChainAnswer $then, ChainAnswer $now): bool
    {
        if (! $then->outcome->mayFlow()) {
            return false;
        }

        return $then->outcome->rank() > $now->outcome->rank()
            || ($then->outcome === $now->outcome && ($then->expectedPeakKw() ?? 0.0) > (1 + self::WORTH_GAIN) * ($now->expectedPeakKw() ?? 0.0));
    }

    /** @return \Generator<int, Change> */
    private function tried(Outlet $outlet, Vehicle $vehicle): \Generator
    {
        yield from $this->retrofits($outlet, $vehicle);
        yield from $this->adapters($outlet, $vehicle);
        yield from $this->arrivals($outlet, $vehicle);
        yield from $this->circumstances($outlet, $vehicle);
        yield from $this->hardware($outlet, $vehicle);
    }

    /** @return \Generator<int, Change> */
    private function retrofits(Outlet $outlet, Vehicle $vehicle): \Generator
    {
        foreach ($vehicle->inlets as $i => $inlet) {
            $retrofit = $inlet->dc?->retrofit;
            if ($inlet->dc === null || $retrofit === null || ! $retrofit->possible) {
                continue;
            }
            $languages = [...($inlet->dc->signalling ?? []), ...$retrofit->adds];
            $then = $vehicle->withInlet($i, $inlet->withDc($inlet->dc->speaking($languages)));
            yield new Change(Message::of('change.retrofit', vehicle: $vehicle->name, languages: Signalling::list($retrofit->adds)), $this->answer($outlet, $then));
        }
    }

    /** @return \Generator<int, Change> an adapter of a given pair and plate, or one's own made ready */
    private function adapters(Outlet $outlet, Vehicle $vehicle): \Generator
    {
        foreach ($this->kit as $i => $own) {
            if ($own->isActive() && $own->handling->batteryOk === false) {
                $kit = $this->kit;
                $kit[$i] = $own->charged();
                yield new Change(Message::of('change.battery', adapter: $own->name), $this->answer($outlet, $vehicle, kit: array_values($kit)));
            }
        }
        foreach ($this->catalogue->forSale() as $kind) {
            if ($kind->input->is($outlet->coupler)) {
                yield new Change(self::adapterWords($kind), $this->answer($outlet, $vehicle, kit: [...$this->kit, $kind]));
            }
        }
    }

    private static function adapterWords(Adapter $kind): Message
    {
        $plate = $kind->rating->plate;
        $figures = [
            ...($plate->maxV === null ? [] : [Amount::volts($plate->maxV)]),
            ...($plate->continuousA === null ? [] : [Amount::amps($plate->continuousA)]),
            ...($plate->boostA === null ? [] : [Message::of('plate.boost', amps: Amount::amps($plate->boostA), minutes: Amount::minutes($plate->boostMinutes))]),
        ];

        return $figures === []
            ? Message::of('change.adapter_unrated', kind: self::inSentence($kind->name))
            : Message::of('change.adapter', kind: self::inSentence($kind->name), plate: Listing::spaced($figures));
    }

    /** "Active adapter" as "active adapter", "AC adapter" as it is. */
    private static function inSentence(string $kind): string
    {
        return preg_match('/^[A-Z][a-z]/', $kind) === 1 ? lcfirst($kind) : $kind;
    }

    /** @return \Generator<int, Change> arriving where the pack lies below the station's ceiling */
    private function arrivals(Outlet $outlet, Vehicle $vehicle): \Generator
    {
        $volts = $vehicle->pack->voltageBySoc;
        if ($volts === null || $outlet->rating->maxV === null || $volts->at($this->conditions->charge->socFrom) <= $outlet->rating->maxV) {
            return;
        }
        $ceiling = $volts->firstAbove($outlet->rating->maxV, 0, 100);
        if ($ceiling === null || $ceiling < self::LEAST_CEILING_SOC) {
            return;
        }
        yield new Change(Message::of('change.arrival', soc: Amount::percent($ceiling)), $this->answer($outlet, $vehicle, $this->conditions->arriving($ceiling / 2)));
    }

    /** @return \Generator<int, Change> */
    private function circumstances(Outlet $outlet, Vehicle $vehicle): \Generator
    {
        if ($outlet->site->access->kind !== AccessKind::Open && $outlet->site->access->kind !== AccessKind::Account) {
            yield new Change(Message::of('change.access'), $this->answer($outlet->admitting(new Access(AccessKind::Account, null)), $vehicle));
        }
        if ($outlet->fittings->extension) {
            yield new Change(Message::of('change.extension'), $this->answer($outlet->withoutExtension(), $vehicle));
        }
        if ($outlet->feed->cabinet?->partnerActive === true) {
            yield new Change(Message::of('change.neighbour'), $this->answer($outlet->alone(), $vehicle));
        }
        if (! $this->conditions->pack->prepared) {
            yield new Change(Message::of('change.warm_pack'), $this->answer($outlet, $vehicle, $this->conditions->prepared()));
        }
    }

    /** @return \Generator<int, Change> another stall of the same shape with other hardware: the best of each group */
    private function hardware(Outlet $outlet, Vehicle $vehicle): \Generator
    {
        $best = [];
        foreach ($this->catalogue->chargers() as $kind) {
            if (! $kind->outlet->coupler->is($outlet->coupler) || $kind->outlet->rating->current !== $outlet->rating->current) {
                continue;
            }
            $change = new Change(
                Message::of('change.stall', kind: $kind->name),
                $this->answer($kind->outlet->withSoundAdapter()->admitting($outlet->site->access), $vehicle),
            );
            if (! isset($best[$kind->group]) || $change->answer->compare($best[$kind->group]->answer) < 0) {
                $best[$kind->group] = $change;
            }
        }
        yield from array_values($best);
    }

    /** @param  list<Adapter>|null  $kit */
    private function answer(Outlet $outlet, Vehicle $vehicle, ?Conditions $conditions = null, ?array $kit = null): ChainAnswer
    {
        return (new Fitter($kit ?? $this->kit, $conditions ?? $this->conditions, $this->policy))->answer($outlet, $vehicle)->best;
    }
}
