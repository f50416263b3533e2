<?php

declare(strict_types=1);

namespace Harmozon\Core\Kit;

use Harmozon\Core\Equipment\Adapter;
use Harmozon\Core\Fit\AdapterPolicy;
use Harmozon\Core\Fit\ChainAnswer;
use Harmozon\Core\Fit\Fitter;
use Harmozon\Core\Fit\GateName;
use Harmozon\Core\Fit\Outcome;
use Harmozon\Core\Fit\Situation;
use Harmozon\Core\Power\UnlimitedAdapter;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;

/** What an adapter that somebody looks at would do in a garage, if it is as sound as it should be. */
final readonly class AdapterFit
{
    /**
     * @param  list<ChainAnswer>  $answers  one a car and outlet whose shapes it joins, whatever the driver's policy
     */
    private function __construct(private PairTable $table, private Kit $kit, private array $answers)
    {
    }

    public static function of(Adapter $adapter, KitQuestion $garage): self
    {
        $table = PairTable::of($garage->withCandidates([$adapter->asBought()]));
        $fitter = new Fitter([], $garage->conditions, AdapterPolicy::Any);
        $sound = $adapter->forSale();
        $answers = [];
        foreach ($garage->outlets as $at) {
            foreach ($adapter->input->takes($at->outlet->coupler) ? $garage->vehicles : [] as $vehicle) {
                $answer = $fitter->exactly($at->outlet, [$sound], $vehicle)->best;
                if (! $answer->gate(GateName::Shape)->fails()) {
                    $answers[] = $answer;
                }
            }
        }

        return new self($table, FreeKit::owned($table, false), $answers);
    }

    /** @return list<Reached> */
    public function adds(): array
    {
        return $this->reached(static fn (?Reach $now, Reach $then): bool => $now === null);
    }

    /** @return list<Reached> */
    public function faster(): array
    {
        return $this->reached(static fn (?Reach $now, Reach $then): bool => $now !== null && $then->rank < $now->rank && $then->kw > $now->kw);
    }

    public function serves(): int
    {
        return count($this->reached(static fn (): bool => true));
    }

    /** @return list<AlreadyOwned> */
    public function already(): array
    {
        $counts = [];
        foreach ($this->table->pairs as $pair) {
            if ($pair->through($this->table->owned) === null) {
                continue;
            }
            foreach ($pair->ways as $way) {
                if ($way->piece !== Reach::WITHOUT && $way->piece < $this->table->owned) {
                    $counts[$way->piece] = ($counts[$way->piece] ?? 0) + 1;
                }
            }
        }
        arsort($counts);

        return array_map(fn (int $piece, int $count): AlreadyOwned => new AlreadyOwned($this->table->piece($piece), $count), array_keys($counts), array_values($counts));
    }

    /**
     * Ratings below what the cars would draw, and a claim that the gates refute.
     *
     * @return list<VettingReason>
     */
    public function reasons(VettingAnswers $answers): array
    {
        return [...$this->volts(), ...$this->amps(), ...($answers->soldFor === SoldFor::AnyCar ? $this->anyCar() : [])];
    }

    /** @return list<VettingReason> */
    private function volts(): array
    {
        $over = array_values(array_filter($this->answers, self::isOverVolts(...)));
        if ($over === []) {
            return [];
        }
        $message = Message::of('vet_against.volts', car: $over[0]->chain->vehicle->name, outlet: $over[0]->chain->outlet->name, reason: $over[0]->gate(GateName::Voltage)->reason());

        $served = count($over) + count(array_filter($this->answers, static fn (ChainAnswer $a): bool => $a->outcome->mayFlow()));

        return [count($over) === $served ? VettingReason::against('volts_below', $message) : VettingReason::toAsk('volts_below', Weight::High, $message)];
    }

    private static function isOverVolts(ChainAnswer $answer): bool
    {
        $ratedV = ($answer->chain->adapters[0] ?? null)?->rating->plate->maxV;
        $leastV = $answer->voltage->highestV($answer->conditions)[0] ?? null;

        return $answer->outcome === Outcome::Hazard && $ratedV !== null && $leastV > $ratedV;
    }

    /** @return list<VettingReason> */
    private function amps(): array
    {
        $drawn = array_values(array_filter(array_map(self::overasked(...), $this->answers), static fn (?UnlimitedAdapter $u): bool => $u !== null));
        $over = array_values(array_filter($drawn, static fn (UnlimitedAdapter $u): bool => $u->couldA > (float) $u->adapter->rating->plate->peakA()));
        if ($over === []) {
            return [];
        }
        usort($over, static fn (UnlimitedAdapter $a, UnlimitedAdapter $b): int => $b->couldA <=> $a->couldA);
        $message = Message::of('vet_against.amps', could: Amount::amps($over[0]->couldA), rated: Amount::amps($over[0]->adapter->rating->plate->peakA()));
        $flowing = count(array_filter($this->answers, static fn (ChainAnswer $a): bool => $a->outcome->mayFlow()));

        return [count($over) === $flowing ? VettingReason::against('amps_below', $message) : VettingReason::toAsk('amps_below', Weight::High, $message)];
    }

    /** The adapter, if the rest of the chain may ask it for more than its continuous rating. */
    private static function overasked(ChainAnswer $answer): ?UnlimitedAdapter
    {
        return $answer->limits === null ? null : (new Situation($answer->chain, $answer->conditions, AdapterPolicy::Any, $answer->voltage))->holdBack();
    }

    /** @return list<VettingReason> */
    private function anyCar(): array
    {
        foreach ($this->answers as $answer) {
            if (! $answer->outcome->mayFlow()) {
                return [VettingReason::against('any_car', Message::of('vet_against.any_car', car: $answer->chain->vehicle->name, outlet: $answer->chain->outlet->name, reason: $answer->why()))];
            }
        }

        return [];
    }

    /**
     * @param  callable(Reach|null, Reach): bool  $isWanted  of how a pair charges now, and through the adapter
     * @return list<Reached>
     */
    private function reached(callable $isWanted): array
    {
        $reached = [];
        foreach ($this->table->pairs as $number => $pair) {
            $then = $pair->through($this->table->owned);
            if ($then !== null && $isWanted($this->kit->way($number), $then)) {
                $reached[] = new Reached($pair, $then);
            }
        }

        return $reached;
    }
}
