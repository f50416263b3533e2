<?php

declare(strict_types=1);

namespace Harmozon\Core\Files;

use Harmozon\Core\Chain\Unread;
use Harmozon\Core\Fit\Answer;
use Harmozon\Core\Fit\ChainAnswer;
use Harmozon\Core\Fit\Change;
use Harmozon\Core\Fit\Figure;
use Harmozon\Core\Fit\GateResult;

/**
 * Writes answers with the field names of the contract. kW are rounded to hundredths.
 *
 * @phpstan-type GateFields array{gate: string, result: string, reason: string, check: string|null, asks: list<array{fact: string, where: string, piece: string, path: string, kind: string}>, figures: list<array{name: string, value: float, unit: string}>}
 */
final class FitWriter
{
    /**
     * @param  list<Change>  $changes
     * @return array<string, mixed>
     */
    public function answer(Answer $answer, array $changes): array
    {
        return [
            ...$this->chain($answer->best),
            'changes' => array_map(static fn (Change $c): array => [
                'change' => $c->words,
                'outcome' => $c->answer->outcome->value,
                'expected_peak_kw' => self::rounded($c->answer->expectedPeakKw()),
            ], $changes),
            'alternatives' => array_map(static fn (ChainAnswer $a): array => [
                'chain' => $a->chain->linkIds(),
                'adapters' => $a->chain->adapterIds(),
                'outcome' => $a->outcome->value,
                'expected_peak_kw' => self::rounded($a->expectedPeakKw()),
                'why' => $a->why(),
            ], $answer->alternatives),
        ];
    }

    /** @return array<string, mixed> */
    public function chain(ChainAnswer $answer): array
    {
        return [
            'outcome' => $answer->outcome->value,
            'flows' => $answer->outcome->flow()->value,
            'chain' => $answer->chain->linkIds(),
            'adapters' => $answer->chain->adapterIds(),
            'expected_peak_kw' => self::rounded($answer->expectedPeakKw()),
            'binding' => $answer->peak?->binding->value,
            'binding_link' => $answer->peak?->linkId,
            'peak_at_soc' => self::rounded($answer->peak?->soc),
            'ideal_peak_kw' => self::rounded($answer->idealPeakKw),
            'why' => $answer->why(),
            'gates' => array_map($this->gate(...), $answer->gates),
            'cautions' => $answer->cautions(),
        ];
    }

    /** @return array<string, mixed> what a cell of the board shows */
    public function cell(ChainAnswer $best): array
    {
        return [
            'outlet' => $best->chain->outlet->id,
            'vehicle' => $best->chain->vehicle->id,
            'outcome' => $best->outcome->value,
            'flows' => $best->outcome->flow()->value,
            'chain' => $best->chain->linkIds(),
            'expected_peak_kw' => self::rounded($best->expectedPeakKw()),
            'ideal_peak_kw' => self::rounded($best->idealPeakKw),
            'adapters' => $best->chain->adapterIds(),
            'binding' => $best->peak?->binding->value,
            'why' => $best->why(),
            'asks' => array_map(self::ask(...), array_merge(...array_map(static fn (GateResult $g): array => $g->missing, $best->gates))),
        ];
    }

    /** @return GateFields */
    private function gate(GateResult $gate): array
    {
        return [
            'gate' => $gate->gate->value,
            'result' => $gate->result->value,
            'reason' => $gate->reason,
            'check' => $gate->check,
            'asks' => array_map(self::ask(...), $gate->missing),
            'figures' => array_map(static fn (Figure $f): array => ['name' => $f->name, 'value' => round($f->value, 2), 'unit' => $f->unit], $gate->figures),
        ];
    }

    /** @return array{fact: string, where: string, piece: string, path: string, kind: string} */
    public static function ask(Unread $unread): array
    {
        return ['fact' => $unread->fact, 'where' => $unread->where, 'piece' => $unread->piece, 'path' => $unread->path, 'kind' => $unread->kind->value];
    }

    public static function rounded(?float $value, int $decimals = 2): ?float
    {
        return $value === null ? null : round($value, $decimals);
    }
}
