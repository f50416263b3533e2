<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\CoreCommand;
use App\Files\TextInput;
use Harmozon\Core\Files\CaseReader;
use Harmozon\Core\Files\CheckWriter;
use Harmozon\Core\Files\FieldError;
use Harmozon\Core\Files\ReadingsReader;
use Harmozon\Core\Files\RejectedRow;
use Harmozon\Core\Files\RejectedRows;
use Harmozon\Core\Record\Judge;
use Harmozon\Core\Record\Judgement;
use Harmozon\Core\Record\PlateRow;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;

final class CheckCommand extends CoreCommand
{
    protected $signature = 'harmozon:check {case : a case file, or - for standard input} {readings : a readings file (CSV), or -} {--json : print JSON instead of a table}';

    protected $description = 'Whether a recorded session stayed within the plates of its chain';

    private ?Judgement $judgement = null;

    private RejectedRows $rejected;

    protected function answer(): array
    {
        if ($this->path('case') === '-' && $this->path('readings') === '-') {
            throw FieldError::at('readings', Message::of('app.one_standard_input'));
        }
        $case = (new CaseReader)->json(TextInput::text($this->path('case'), 'case'));
        $this->rejected = new RejectedRows;
        $judge = new Judge($case->fitter()->answer($case->outlet, $case->vehicle)->best, $case->conditions);
        foreach ((new ReadingsReader)->read(TextInput::lines($this->path('readings'), 'readings')) as $row) {
            if ($row instanceof RejectedRow) {
                $this->rejected->add($row);
            } else {
                $judge->add($row);
            }
        }
        $this->judgement = $judge->judgement();

        return (new CheckWriter($this->voice()))->judgement($this->judgement, $this->rejected);
    }

    protected function describe(array $answer): void
    {
        $judgement = $this->judgement;
        if ($judgement === null) {
            return;
        }
        $this->tell($this->voice()->begin($judgement->verdict->message()));
        foreach ($this->voice()->each($judgement->findings) as $finding) {
            $this->tell('- '.$finding);
        }
        $this->tabulate(['link', 'quantity', 'peak', 'limit', 'share', 'state'], array_map(fn (PlateRow $r): array => [
            $this->voice()->say($r->link->name),
            $r->quantity->unit(),
            $r->peak === null ? '–' : round($r->peak->value, 1),
            $r->limit() ?? '–',
            $r->utilisation() === null ? '–' : $this->voice()->amount(Amount::percent(100 * $r->utilisation())),
            $r->state->value,
        ], $judgement->plateCheck));
        foreach ($this->rejected->first as $row) {
            $this->tell($this->voice()->say(Message::of('console.rejected', line: Amount::asGiven($row->line), reason: $row->reason)));
        }
        if ($this->rejected->count > count($this->rejected->first)) {
            $this->tell($this->voice()->say(Message::of('console.more_rejected', count: Amount::count($this->rejected->count - count($this->rejected->first)))));
        }
    }
}
