<?php

declare(strict_types=1);

namespace Harmozon\Core\Answers;

use Harmozon\Core\Equipment\Stall;
use Harmozon\Core\Steps\Handshake;
use Harmozon\Core\Steps\Piece;
use Harmozon\Core\Steps\Rung;
use Harmozon\Core\Steps\Step;
use Harmozon\Core\Steps\StepList;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Voice;

/** Writes the steps of a visit with the field names of the contract. */
final readonly class StepsWriter
{
    public function __construct(private Voice $voice)
    {
    }

    /** @return array<string, mixed> */
    public function steps(StepList $list): array
    {
        return [
            'chain' => $list->answer->chain->linkIds(),
            'outcome' => $list->answer->outcome->value,
            'pieces' => array_map(fn (Piece $p): array => ['kind' => $p->kind->value, 'id' => $p->id, 'words' => $this->voice->say($p->kind->message())], $list->pieces),
            'steps' => array_map($this->step(...), $list->steps),
            'when_nothing_starts' => array_map($this->rung(...), $list->ladder),
            'handshake' => array_map(fn (int $afterS, Message $means): array => ['after_s' => $afterS, 'words' => $this->voice->say($means)], array_keys(Handshake::waits()), Handshake::waits()),
            'stuck_latch' => $this->voice->each($list->stuckLatch),
            'by_standard' => (new FitWriter($this->voice))->byStandard($list->answer),
        ];
    }

    /** @return array<string, mixed> */
    private function step(Step $step): array
    {
        $say = fn (?Message $message): ?string => $message === null ? null : $this->voice->say($message);

        return [
            'phase' => $step->phase->value,
            'phase_words' => $this->voice->say($step->phase->message()),
            'code' => $step->code->value,
            'title' => $this->voice->say($step->code->title()),
            'do' => $this->voice->say($step->do),
            'sign' => $say($step->sign),
            'caution' => $say($step->caution()),
            'if_not' => $say($step->ifNot),
            'default' => $step->isDefault,
            'closes' => $step->joint->closes,
            'opens' => $step->joint->opens,
        ];
    }

    /** @return array<string, mixed> */
    private function rung(Rung $rung): array
    {
        return [
            'code' => $rung->code->value,
            'do' => $this->voice->say($rung->do),
            'tests' => $rung->code->tests(),
            'tests_words' => $this->voice->say($rung->code->testsWords()),
            'stalls' => array_map(static fn (Stall $s): string => $s->label, $rung->stalls),
        ];
    }
}
