<?php

declare(strict_types=1);

namespace Harmozon\Core\Answers;

use Harmozon\Core\Drills\Choice;
use Harmozon\Core\Drills\Debrief;
use Harmozon\Core\Drills\Drill;
use Harmozon\Core\Drills\DrillKind;
use Harmozon\Core\Words\Voice;

/** Writes drills: the question first, and what is right only with the answer. */
final readonly class DrillWriter
{
    public function __construct(private Voice $voice)
    {
    }

    /** @return array<string, mixed> */
    public function question(DrillKind $kind, int $seed, Drill $drill): array
    {
        return [
            'kind' => $kind->value,
            'seed' => $seed,
            'name' => $this->voice->say($kind->message()),
            'situation' => $this->voice->each($drill->situation),
            'question' => $this->voice->say($drill->question),
            'choices' => array_map(fn (Choice $c): array => ['code' => $c->code, 'words' => $this->voice->begin($c->words)], $drill->choices),
            'curve' => self::curve($drill->curve),
            'played' => $drill->answer !== null && $drill->fault !== null && $drill->curve === [],
        ];
    }

    /**
     * @param  int  $seed  of the drill
     * @return array<string, mixed>
     */
    public function judged(Drill $drill, Choice $chosen, int $seed): array
    {
        return [
            'right' => $chosen->isRight,
            'right_code' => $drill->right()->code,
            'choices' => array_map(fn (Choice $c): array => ['code' => $c->code, 'words' => $this->voice->begin($c->words), 'right' => $c->isRight, 'why' => $c->why === null ? null : $this->voice->say($c->why)], $drill->choices),
            'chain' => $drill->answer === null ? null : ['outlet' => $drill->answer->chain->outlet->id, 'vehicle' => $drill->answer->chain->vehicle->id, 'adapters' => $drill->answer->chain->adapterIds(), 'title' => $this->voice->begin($drill->answer->word()), 'why' => $this->voice->say($drill->answer->why())],
            'gates' => $drill->answer === null ? [] : (new FitWriter($this->voice))->gates($drill->answer),
            'debrief' => $this->debrief(Debrief::of($drill, $seed)),
            'fault' => $drill->fault === null ? null : (new SimulationWriter($this->voice))->fault($drill->fault),
        ];
    }

    /** @return array<string, mixed>|null */
    private function debrief(?Debrief $debrief): ?array
    {
        $totals = $debrief?->forecast?->totals;
        $played = $debrief?->played;

        return $debrief === null ? null : [
            'forecast' => $totals === null ? null : ['minutes' => FitWriter::rounded($totals->minutes, 1), 'kwh' => round($totals->plugKwh, 1), 'curve' => self::curve($debrief->expected())],
            'played' => $played === null ? null : [
                'minutes' => round($played->minutes, 1), 'kwh' => round($played->plugKwh, 1), 'outcome' => $played->outcome->value, 'outcome_words' => $this->voice->begin($played->outcome->message()),
                'curve' => self::curve($debrief->took()),
            ],
        ];
    }

    /**
     * @param  list<array{float, float}>  $points  minutes and kW
     * @return list<array{float, float}>
     */
    private static function curve(array $points): array
    {
        return array_map(static fn (array $p): array => [round($p[0], 2), round($p[1], 2)], $points);
    }
}
