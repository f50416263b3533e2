<?php

declare(strict_types=1);

namespace Harmozon\Core\Answers;

use Harmozon\Core\Chain\AssumedFact;
use Harmozon\Core\Chain\UnreadFact;
use Harmozon\Core\Fit\Answer;
use Harmozon\Core\Fit\ChainAnswer;
use Harmozon\Core\Fit\Change;
use Harmozon\Core\Fit\Figure;
use Harmozon\Core\Fit\GateResult;
use Harmozon\Core\Fit\ShortReason;
use Harmozon\Core\Fit\StandardFact;
use Harmozon\Core\Fit\UncertaintyBand;
use Harmozon\Core\Power\Link;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Voice;

/**
 * Writes answers with the field names of the contract. kW are rounded to hundredths.
 *
 * @phpstan-type GateFields array{gate: string, result: string, reason: string, code: string, check: string|null, asks: list<array{fact: string, code: string, where: string, piece: string, path: string, kind: string}>, figures: list<array{name: string, value: float, unit: string}>}
 */
final readonly class FitWriter
{
    public function __construct(private Voice $voice)
    {
    }

    /**
     * @param  list<Change>  $changes
     * @return array<string, mixed>
     */
    public function answer(Answer $answer, array $changes): array
    {
        return [
            ...$this->chain($answer->best),
            'other_way_is_hazard' => $answer->otherWayIsHazard(),
            'changes' => array_map(fn (Change $c): array => [
                'change' => $this->voice->say($c->message),
                'code' => $c->message->code,
                'outcome' => $c->answer->outcome->value,
                'expected_peak_kw' => self::rounded($c->answer->expectedPeakKw()),
                'at_most' => $c->answer->isAtMost(),
            ], $changes),
            'alternatives' => array_map(fn (ChainAnswer $a): array => [
                'chain' => $a->chain->linkIds(),
                'adapters' => $a->chain->adapterIds(),
                'outcome' => $a->outcome->value,
                'expected_peak_kw' => self::rounded($a->expectedPeakKw()),
                'at_most' => $a->isAtMost(),
                'refused_by_policy' => $a->isRefusedByPolicy(),
                'title' => $this->voice->begin($a->word()),
                ...$this->why($a),
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
            'outlet' => $answer->chain->outlet->id,
            'adapters' => $answer->chain->adapterIds(),
            'vehicle' => $answer->chain->vehicle->id,
            'links' => array_map($this->link(...), $answer->links()),
            'expected_peak_kw' => self::rounded($answer->expectedPeakKw()),
            'at_most' => $answer->isAtMost(),
            ...$this->about($answer),
            'rests_on' => array_map($this->assumed(...), $answer->assumed()),
            'by_standard' => $this->byStandard($answer),
            'contradictions' => array_map(fn (StandardFact $f): array => ['path' => $f->path(), 'says' => $this->voice->say($f->contradiction())], $answer->contradictions()),
            'refused_by_policy' => $answer->isRefusedByPolicy(),
            'word' => $this->voice->say($answer->word()),
            'title' => $this->voice->begin($answer->word()),
            'to_buy' => $answer->isToBuy(),
            'binding' => $answer->peak?->binding->value,
            'binding_link' => $answer->peak?->linkId,
            'peak_at_soc' => self::rounded($answer->peak?->soc),
            'ideal_peak_kw' => self::rounded($answer->idealPeakKw),
            'ideal_most_kw' => self::rounded($answer->idealMostKw()),
            ...$this->why($answer),
            'gates' => $this->gates($answer),
            'cautions' => $this->voice->each($answer->cautions()),
            'caution_codes' => self::codes($answer->cautions()),
        ];
    }

    /** @return array{id: string, kind: string, piece: string, name: string, label: string, plate: string, heats: bool} */
    private function link(Link $link): array
    {
        return [
            'id' => $link->id,
            'kind' => $link->kind->value,
            'piece' => $link->piece,
            'name' => $this->voice->say($link->name),
            'label' => $this->voice->say($link->label),
            'plate' => $this->voice->say($link->plateLine),
            'heats' => $link->heats(),
        ];
    }

    /** @return array<string, mixed> what a cell of the board shows */
    public function cell(Answer $answer): array
    {
        $best = $answer->best;

        return [
            'outlet' => $best->chain->outlet->id,
            'vehicle' => $best->chain->vehicle->id,
            'outcome' => $best->outcome->value,
            'flows' => $best->outcome->flow()->value,
            'chain' => $best->chain->linkIds(),
            'expected_peak_kw' => self::rounded($best->expectedPeakKw()),
            'at_most' => $best->isAtMost(),
            ...$this->about($best),
            'refused_by_policy' => $best->isRefusedByPolicy(),
            'other_way_is_hazard' => $answer->otherWayIsHazard(),
            'title' => $this->voice->begin($best->word()),
            'ideal_peak_kw' => self::rounded($best->idealPeakKw),
            'adapters' => $best->chain->adapterIds(),
            'binding' => $best->peak?->binding->value,
            ...$this->why($best),
            'brief' => $this->voice->say(ShortReason::of($best)),
            'asks' => array_map($this->ask(...), array_merge(...array_map(static fn (GateResult $g): array => $g->missing, $best->gates()))),
        ];
    }

    /** @return array{why: string, why_code: string} */
    private function why(ChainAnswer $answer): array
    {
        $why = $answer->why();

        return ['why' => $this->voice->say($why), 'why_code' => $why->code];
    }

    /** @return list<array{path: string, value: list<string>|float|null, at_least: bool, fact: string, standard: string}> what counted as known by construction, and mattered */
    public function byStandard(ChainAnswer $answer): array
    {
        return array_map(fn (StandardFact $f): array => [
            'path' => $f->path(), 'value' => $f->value, 'at_least' => $f->isAtLeast, 'fact' => $this->voice->say($f->unread->fact()), 'standard' => $this->voice->say($f->standard),
        ], $answer->byStandard());
    }

    /** @return list<GateFields> */
    public function gates(ChainAnswer $answer): array
    {
        return array_map($this->gate(...), $answer->gates());
    }

    /** @return GateFields */
    private function gate(GateResult $gate): array
    {
        return [
            'gate' => $gate->gate->value,
            'result' => $gate->result()->value,
            'reason' => $this->voice->say($gate->reason()),
            'code' => $gate->reason()->code,
            'check' => $gate->check() === null ? null : $this->voice->say($gate->check()),
            'asks' => array_map($this->ask(...), $gate->missing),
            'figures' => array_map(static fn (Figure $f): array => ['name' => $f->name, 'value' => round($f->value, 2), 'unit' => $f->unit], $gate->figures()),
        ];
    }

    /** @return array{about: bool, band_kw: array{float, float}|null} */
    private function about(ChainAnswer $answer): array
    {
        return ['about' => $answer->assumed() !== [], 'band_kw' => self::band($answer->bandKw(), 1)];
    }

    /** @return array{float, float}|null least and most */
    public static function band(?UncertaintyBand $band, int $digits = 2): ?array
    {
        return $band === null ? null : [round($band->low, $digits), round($band->high, $digits)];
    }

    /** @return array<string, mixed> a fact that nobody has read, and where what stands for it comes from */
    public function assumed(AssumedFact $assumed): array
    {
        return [...$this->ask($assumed->unread), 'origin' => $assumed->origin->origin->value, 'on' => $assumed->origin->on];
    }

    /** @return array{fact: string, code: string, where: string, piece: string, path: string, kind: string} */
    public function ask(UnreadFact $unread): array
    {
        return ['fact' => $this->voice->say($unread->fact()), 'code' => $unread->fact()->code, 'where' => $this->voice->say($unread->where()), 'piece' => $unread->piece, 'path' => $unread->path, 'kind' => $unread->asked->kind()->value];
    }

    /**
     * @param  list<Message>  $messages
     * @return list<string>
     */
    public static function codes(array $messages): array
    {
        return array_map(static fn (Message $m): string => $m->code, $messages);
    }

    public static function rounded(?float $value, int $decimals = 2): ?float
    {
        return $value === null ? null : round($value, $decimals);
    }
}
