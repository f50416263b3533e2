<?php

declare(strict_types=1);

namespace Harmozon\Core\Answers;

use Harmozon\Core\Kit\AlreadyOwned;
use Harmozon\Core\Kit\Reached;
use Harmozon\Core\Kit\Vetting;
use Harmozon\Core\Kit\VettingQuestion;
use Harmozon\Core\Kit\VettingReason;
use Harmozon\Core\Words\Voice;

/** Writes what is said about an adapter before it is bought, with the field names of the contract. */
final readonly class VettingWriter
{
    public function __construct(private Voice $voice)
    {
    }

    /** @return array<string, mixed> */
    public function answer(Vetting $vetting): array
    {
        return [
            'verdict' => $vetting->verdict->value,
            'title' => $this->voice->begin($vetting->verdict->message()),
            'reasons' => array_map(fn (VettingReason $r): array => ['code' => $r->code, 'weight' => $r->weight->value, 'detail' => $this->voice->say($r->detail), 'decisive' => $r->isDecisive], $vetting->reasons),
            'adds' => array_map($this->reached(...), $vetting->adds),
            'faster' => array_map($this->reached(...), $vetting->faster),
            'serves' => $vetting->serves,
            'already' => array_map(static fn (AlreadyOwned $a): string => $a->adapter->id, $vetting->already),
            'already_serves' => array_map(static fn (AlreadyOwned $a): array => ['adapter' => $a->adapter->id, 'pairs' => $a->pairs], $vetting->already),
        ];
    }

    /** @return list<array{code: string, weight: string, asked: string, why: string, where: string}> in the order they are asked */
    public function questions(): array
    {
        return array_map(fn (VettingQuestion $q): array => [
            'code' => $q->value,
            'weight' => $q->weight()->value,
            'asked' => $this->voice->say($q->asked()),
            'why' => $this->voice->say($q->why()),
            'where' => $this->voice->say($q->where()),
        ], VettingQuestion::cases());
    }

    /** @return array<string, mixed> */
    private function reached(Reached $reached): array
    {
        return [
            'vehicle' => $reached->pair->vehicle->id,
            'outlet' => $reached->pair->at->outlet->id,
            'expected_peak_kw' => round($reached->way->kw, 2),
            'at_most' => $reached->way->isAtMost,
            'binding' => $reached->way->binding?->value,
            'limited_by' => $reached->way->binding === null ? null : $this->voice->say($reached->way->binding->message()),
        ];
    }
}
