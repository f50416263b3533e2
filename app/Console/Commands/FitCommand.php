<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\CoreCommand;
use App\Files\TextInput;
use Harmozon\Core\Answers\FitWriter;
use Harmozon\Core\Case\CaseReader;
use Harmozon\Core\Catalogue\Catalogue;
use Harmozon\Core\Fit\Answer;
use Harmozon\Core\Fit\Change;
use Harmozon\Core\Fit\GateResult;
use Harmozon\Core\Json\Node;
use Harmozon\Core\Words\Message;

final class FitCommand extends CoreCommand
{
    protected $signature = 'harmozon:fit {case : a case file, or - for standard input} {--board : the file is a whole garage; answer every pair} {--json : print JSON instead of a table}';

    protected $description = 'What a car can use at an outlet, through which adapter, and why';

    private ?Answer $fit = null;

    /** @var list<Change> */
    private array $changes = [];

    /** @var list<Answer> */
    private array $pairs = [];

    protected function answer(): array
    {
        $text = TextInput::text($this->path('case'), 'case');
        $writer = new FitWriter($this->voice());
        if ($this->option('board') === true) {
            $this->pairs = iterator_to_array((new CaseReader)->garage(Node::fromJson($text))->board()->answers(), false);

            return ['cells' => array_map(static fn (Answer $a): array => [...$writer->cell($a), 'by_standard' => $writer->byStandard($a->best)], $this->pairs)];
        }
        $case = (new CaseReader)->json($text);
        $this->fit = $case->fitter()->answer($case->outlet, $case->vehicle);
        $this->changes = $case->changes($this->laravel->make(Catalogue::class))->changes($this->fit->best, $case->outlet, $case->vehicle);

        return $writer->answer($this->fit, $this->changes);
    }

    protected function describe(array $answer): void
    {
        $best = $this->fit?->best;
        if ($best === null) {
            $this->tabulate(['outlet', 'vehicle', 'answer', 'power', 'through'], array_map(fn (Answer $a): array => $this->row($a), $this->pairs));

            return;
        }
        $voice = $this->voice();
        $given = $best->given();
        $this->tell($given === null ? $voice->begin($best->word()) : $voice->say(Message::of('console.peak', outcome: $best->word(), kw: $given)));
        $this->tell($voice->say($best->why()));
        $this->tell(implode(' > ', $best->chain->linkIds()));
        $this->tabulate(['gate', 'result', 'reason'], array_map(static fn (GateResult $g): array => [
            $g->gate->value, $g->result()->value, wordwrap($voice->paragraph([$g->reason(), ...($g->check() === null ? [] : [$g->check()])]), 90),
        ], $best->gates()));
        foreach ($best->cautions() as $caution) {
            $this->tell($voice->say(Message::of('console.caution', caution: $caution)));
        }
        foreach ($best->byStandard() as $fact) {
            $this->tell($voice->say(Message::of('console.by_standard', fact: $fact->unread->fact(), standard: $fact->standard)));
        }
        foreach ($best->contradictions() as $fact) {
            $this->tell($voice->say($fact->contradiction()));
        }
        if ($this->fit?->otherWayIsHazard() === true) {
            $this->tell($voice->say(Message::of('console.other_way_is_hazard')));
        }
        foreach ($this->changes as $change) {
            $this->tell($voice->say(Message::of(
                'console.change', change: $change->message, outcome: $change->answer->word(), kw: $change->answer->given() ?? Message::of('console.no_power'),
            )));
        }
    }

    /** @return list<string> of the table of a board */
    private function row(Answer $answer): array
    {
        $best = $answer->best;
        $given = $best->given();
        $word = $answer->otherWayIsHazard() ? Message::of('console.but_hazard', outcome: $best->word()) : $best->word();

        return [
            $best->chain->outlet->name, $best->chain->vehicle->name, $this->voice()->begin($word),
            $given === null ? '' : $this->voice()->say($given), implode(' + ', $best->chain->adapterIds()),
        ];
    }
}
