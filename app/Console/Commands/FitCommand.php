<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\CoreCommand;
use App\Files\TextInput;
use Harmozon\Core\Catalogue\Catalogue;
use Harmozon\Core\Files\CaseReader;
use Harmozon\Core\Files\FitWriter;
use Harmozon\Core\Files\Node;
use Harmozon\Core\Fit\Answer;
use Harmozon\Core\Fit\ChainAnswer;
use Harmozon\Core\Fit\Change;
use Harmozon\Core\Fit\GateResult;
use Harmozon\Core\Words\Amount;

final class FitCommand extends CoreCommand
{
    protected $signature = 'harmozon:fit {case : a case file, or - for standard input} {--board : the file is a whole garage; answer every pair} {--json : print JSON instead of a table}';

    protected $description = 'What a car can use at an outlet, through which adapter, and why';

    private ?Answer $fit = null;

    /** @var list<Change> */
    private array $changes = [];

    /** @var list<ChainAnswer> */
    private array $pairs = [];

    protected function answer(): array
    {
        $text = TextInput::text($this->path('case'), 'case');
        $writer = new FitWriter;
        if ($this->option('board') === true) {
            $this->pairs = iterator_to_array((new CaseReader)->garage(Node::fromJson($text))->board(), false);

            return ['cells' => array_map($writer->cell(...), $this->pairs)];
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
            $this->table(['outlet', 'vehicle', 'answer', 'kW', 'through'], array_map(static fn (ChainAnswer $a): array => [
                $a->chain->outlet->name, $a->chain->vehicle->name, $a->outcome->words(), $a->expectedPeakKw() ?? '?', implode(' + ', $a->chain->adapterIds()),
            ], $this->pairs));

            return;
        }
        $kw = $best->expectedPeakKw();
        $this->line(sprintf('%s%s', $best->outcome->words(), $kw === null || $kw <= 0.0 ? '' : ', peak '.Amount::kw($kw)));
        $this->line($best->why());
        $this->line(implode(' > ', $best->chain->linkIds()));
        $this->table(['gate', 'result', 'reason'], array_map(static fn (GateResult $g): array => [
            $g->gate->value, $g->result->value, wordwrap($g->reason.($g->check === null ? '' : ' '.$g->check), 90),
        ], $best->gates));
        foreach ($best->cautions() as $caution) {
            $this->line('! '.$caution);
        }
        foreach ($this->changes as $change) {
            $this->line(sprintf('> %s: %s, %s', $change->words, lcfirst($change->answer->outcome->words()), Amount::kw($change->answer->expectedPeakKw() ?? 0.0)));
        }
    }
}
