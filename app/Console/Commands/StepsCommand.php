<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\CoreCommand;
use App\Files\TextInput;
use Harmozon\Core\Answers\StepsWriter;
use Harmozon\Core\Case\CaseReader;
use Harmozon\Core\Forecast\Forecaster;
use Harmozon\Core\Steps\Rung;
use Harmozon\Core\Steps\Step;
use Harmozon\Core\Steps\StepList;
use Harmozon\Core\Words\Message;

final class StepsCommand extends CoreCommand
{
    protected $signature = 'harmozon:steps {case : a case file, or - for standard input} {--json : print JSON instead of a table}';

    protected $description = "What to do beside the car, in this chain's own order, and what when nothing starts";

    private ?StepList $list = null;

    protected function answer(): array
    {
        $case = (new CaseReader)->json(TextInput::text($this->path('case'), 'case'));
        $forecast = Forecaster::sparing()->forecast($case->fitter()->answer($case->outlet, $case->vehicle)->best, $case->conditions);
        $this->list = StepList::of($forecast->answer, $forecast->advice->passed);

        return (new StepsWriter($this->voice()))->steps($this->list);
    }

    protected function describe(array $answer): void
    {
        if ($this->list === null) {
            return;
        }
        $voice = $this->voice();
        $this->tell($voice->begin($this->list->answer->word()));
        $this->tell(implode(' > ', $this->list->answer->chain->linkIds()));
        $this->tabulate(['', 'do', 'when it worked', 'be careful', 'if not'], array_map(fn (Step $s): array => [
            $voice->say($s->phase->message()), $this->cell($s->do), $this->cell($s->sign), $this->cell($s->caution()), $this->cell($s->ifNot),
        ], $this->list->steps));
        if ($this->list->ladder !== []) {
            $this->tabulate(['when nothing starts', 'this tests'], array_map(fn (Rung $r): array => [$this->cell($r->do), $voice->say($r->code->testsWords())], $this->list->ladder));
        }
        $this->tabulate(['when the latch is stuck'], array_map(fn (Message $m): array => [$this->cell($m)], $this->list->stuckLatch));
    }

    private function cell(?Message $message): string
    {
        return $message === null ? '' : wordwrap($this->voice()->say($message), 44);
    }
}
