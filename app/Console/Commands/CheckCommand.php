<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\CoreCommand;
use App\Console\RecordedFile;
use App\Files\TextInput;
use Harmozon\Core\Answers\CheckWriter;
use Harmozon\Core\Answers\ReviewWriter;
use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Readings\Foreign\Mapping;
use Harmozon\Core\Readings\Foreign\MappingReader;
use Harmozon\Core\Readings\RejectedRows;
use Harmozon\Core\Record\Judgement;
use Harmozon\Core\Record\PlateRow;
use Harmozon\Core\Review\Diagnosis;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Listing;
use Harmozon\Core\Words\Message;

final class CheckCommand extends CoreCommand
{
    protected $signature = 'harmozon:check {case : a case file, or - for standard input} {readings : a readings file (CSV), or -} {--json : print JSON instead of a table} {--mapping= : a JSON file that says which column of a foreign file holds what}';

    protected $description = 'Whether a recorded session stayed within the plates of its chain';

    private ?Judgement $judgement = null;

    private ?Diagnosis $diagnosis = null;

    private RejectedRows $rejected;

    protected function answer(): array
    {
        $file = RecordedFile::of($this->path('case'), 'case', $this->path('readings'), 'readings', $this->mapping());
        if ($file->guessed !== null) {
            $this->stderr(json_encode($file->guessed->toArray(), JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR));
        }
        if ($file->unusedColumns !== [] && $this->option('json') !== true) {
            $this->stderr($this->voice()->say(Message::of('console.unused_columns', columns: Listing::comma($file->unusedColumns))));
        }
        $this->rejected = $file->rejected;
        $this->judgement = $file->session->judgement;
        $this->diagnosis = $file->session->diagnosis;

        return [
            ...(new CheckWriter($this->voice()))->judgement($this->judgement, $this->rejected),
            'unused_columns' => $file->unusedColumns,
            ...(new ReviewWriter($this->voice()))->diagnosis($this->diagnosis),
        ];
    }

    /** @throws FieldError when it cannot be used */
    private function mapping(): ?Mapping
    {
        $path = $this->option('mapping');

        return is_string($path) ? (new MappingReader)->json(TextInput::text($path, 'mapping'), 'mapping') : null;
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
        foreach ($this->diagnosis->heldBackBy ?? [] as $held) {
            $this->tell($this->voice()->say(Message::of(
                'console.held_back',
                from: Amount::minutes($held->fromS / 60), to: Amount::minutes($held->toS / 60),
                cause: $held->finding->cause->message(), confidence: $held->finding->confidence->message(), evidence: $held->finding->evidence, next: $held->finding->tryNext,
            )));
        }
        foreach ($this->rejected->first as $row) {
            $this->tell($this->voice()->say(Message::of('console.rejected', line: Amount::asGiven($row->line), reason: $row->reason)));
        }
        if ($this->rejected->count > count($this->rejected->first)) {
            $this->tell($this->voice()->say(Message::of('console.more_rejected', count: Amount::count($this->rejected->count - count($this->rejected->first)))));
        }
    }
}
