<?php

declare(strict_types=1);

namespace Harmozon\Core\Answers;

use Harmozon\Core\Catalogue\Catalogue;
use Harmozon\Core\Chain\UnreadFact;
use Harmozon\Core\Equipment\Adapter;
use Harmozon\Core\Fit\Change;
use Harmozon\Core\Fit\ChangeFinder;
use Harmozon\Core\Kit\Charged;
use Harmozon\Core\Kit\FirstTest;
use Harmozon\Core\Kit\KitQuestion;
use Harmozon\Core\Kit\Loss;
use Harmozon\Core\Kit\Pair;
use Harmozon\Core\Kit\Price;
use Harmozon\Core\Kit\Purchase;
use Harmozon\Core\Kit\Reached;
use Harmozon\Core\Kit\SecondWays;
use Harmozon\Core\Kit\SmallestKit;
use Harmozon\Core\Kit\TestStage;
use Harmozon\Core\Words\Voice;

/** Writes the smallest kit with the field names of the contract. */
final readonly class KitWriter
{
    public function __construct(private Voice $voice)
    {
    }

    /** @return array<string, mixed> */
    public function answer(SmallestKit $kit, KitQuestion $question, Catalogue $catalogue): array
    {
        $changes = new ChangeFinder($question->owned, $question->conditions, $question->policy, $catalogue);

        return [
            'pairs' => count($kit->table->pairs),
            'covered_now' => $kit->now->covered,
            'second_way_now' => $kit->now->second,
            'now' => array_map(self::reached(...), $kit->reachedNow()),
            'exact' => $kit->isExact,
            'purchases' => array_map(static fn (Purchase $p): array => [
                ...self::purchase($p, $question->currency),
                'charge_instead' => array_values(array_map(static fn (Charged $c): string => $c->adapter->id, array_filter($kit->charged, static fn (Charged $c): bool => $c->doesAllOf($p)))),
            ], $kit->purchases),
            'charge' => array_map(static fn (Charged $c): array => ['adapter' => $c->adapter->id, 'newly' => array_map(self::reached(...), $c->newly)], $kit->charged),
            'candidates' => $this->candidates($kit),
            'not_needed' => array_map(static fn (Adapter $a): string => $a->id, $kit->notNeeded),
            'never' => array_map(fn (Pair $p): array => $this->never($p, $changes), $kit->never()),
            'stranded' => array_map(static fn (Loss $l): array => ['vehicle' => $l->vehicle->id, 'place' => $l->place, 'part' => $l->part->value, 'failed' => $l->failed], ($ways = SecondWays::of($kit->table))->stranded()),
            'weakest_place' => $ways->weakestPlace(),
            'open' => array_map(static fn (Pair $p): array => ['vehicle' => $p->vehicle->id, 'outlet' => $p->at->outlet->id], $kit->open()),
        ];
    }

    /** @return array<string, mixed> */
    private static function purchase(Purchase $purchase, ?string $currency): array
    {
        return [
            'buy' => array_map(static fn (Adapter $a): string => $a->id, $purchase->buy),
            'covered' => $purchase->worth->covered,
            'covered_at_most' => $purchase->coveredAtMost ?? $purchase->worth->covered,
            'second_way' => $purchase->worth->second,
            'newly' => array_map(self::reached(...), $purchase->newly),
            'faster' => array_map(self::reached(...), $purchase->faster),
            'price' => self::price($purchase->price, $currency),
        ];
    }

    /** @return array{vehicle: string, outlet: string, expected_peak_kw: float, at_most: bool} */
    private static function reached(Reached $reached): array
    {
        return ['vehicle' => $reached->pair->vehicle->id, 'outlet' => $reached->pair->at->outlet->id, 'expected_peak_kw' => round($reached->way->kw, 2), 'at_most' => $reached->way->isAtMost];
    }

    /** @return array{currency: string|null, amount: string, at_least: bool, known: bool} */
    private static function price(Price $price, ?string $currency): array
    {
        return ['currency' => $currency, 'amount' => $price->amount(), 'at_least' => $price->isAtLeast(), 'known' => $price->isKnown()];
    }

    /** @return array{vehicle: string, outlet: string, gate: string|null, reason: string, changes: list<string>} */
    private function never(Pair $pair, ChangeFinder $changes): array
    {
        $answer = $pair->never ?? throw new \LogicException('only of pairs that never charge');

        return ['vehicle' => $pair->vehicle->id, 'outlet' => $pair->at->outlet->id, 'gate' => $answer->deciding()?->gate->value, 'reason' => $this->voice->say($answer->why()), 'changes' => array_map(fn (Change $c): string => $this->voice->say($c->message), $changes->changes($answer, $pair->at->outlet, $pair->vehicle))];
    }

    /** @return list<array{id: string, name: string, input: string, output: string}> those that any purchase buys */
    private function candidates(SmallestKit $kit): array
    {
        $bought = [];
        foreach ($kit->purchases as $purchase) {
            foreach ($purchase->buy as $piece) {
                $bought[$piece->id] = ['id' => $piece->id, 'name' => $piece->name, 'input' => $piece->input->id, 'output' => $piece->output->id];
            }
        }

        return array_values($bought);
    }

    /** @return array{stages: list<array{vehicle: string, outlet: string, mean_a: float, share: float}>, most: float|null, unread: list<array{fact: string, where: string, piece: string, path: string}>} */
    public function firstTest(FirstTest $test): array
    {
        return [
            'stages' => array_map(static fn (TestStage $s): array => ['vehicle' => $s->vehicle->id, 'outlet' => $s->outlet->id, 'mean_a' => round($s->meanA, 1), 'share' => round($s->share, 4)], $test->stages),
            'most' => FitWriter::rounded($test->most, 4),
            'unread' => array_map(fn (UnreadFact $f): array => ['fact' => $this->voice->say($f->fact()), 'where' => $this->voice->say($f->where()), 'piece' => $f->piece, 'path' => $f->path], $test->unread),
        ];
    }
}
