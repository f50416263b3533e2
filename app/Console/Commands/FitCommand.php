<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\CoreCommand;
use App\Files\TextInput;
use Harmozon\Core\Files\CaseReader;
use Harmozon\Core\Files\FitWriter;
use Harmozon\Core\Fit\Answer;
use Harmozon\Core\Fit\GateResult;
use Harmozon\Core\Words\Amount;

final class FitCommand extends CoreCommand
{
    protected $signature = 'harmozon:fit {case : a case file, or - for standard input} {--json : print JSON instead of a table}';

    protected $description = 'What a car can use at an outlet, through which adapter, and why';

    private ?Answer $fit = null;

    protected function answer(): array
    {
        $case = (new CaseReader)->json(TextInput::text($this->path('case'), 'case'));
        $this->fit = $case->fitter()->answer($case->outlet, $case->vehicle);

        return (new FitWriter)->answer($this->fit);
    }

    protected function describe(array $answer): void
    {
        $best = $this->fit?->best;
        if ($best === null) {
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
    }
}
