<?php

declare(strict_types=1);

namespace App\Console;

use App\Files\TextInput;
use Harmozon\Core\Case\CaseReader;
use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Readings\Foreign\Mapping;
use Harmozon\Core\Readings\ReadingsReader;
use Harmozon\Core\Readings\RejectedRow;
use Harmozon\Core\Readings\RejectedRows;
use Harmozon\Core\Record\Judge;
use Harmozon\Core\Record\Reading;
use Harmozon\Core\Review\RecordedSession;
use Harmozon\Core\Words\Message;

/** A session from a case file and a readings file. */
final readonly class RecordedFile
{
    /** @param  list<string>  $unusedColumns  of the file */
    private function __construct(public RecordedSession $session, public RejectedRows $rejected, public ?Mapping $guessed, public array $unusedColumns)
    {
    }

    /**
     * @param  string  $field  of the command line, for complaints about the readings
     * @param  Mapping|null  $mapping  of its columns; null: ours, or guessed
     *
     * @throws FieldError
     */
    public static function of(string $casePath, string $caseField, string $readingsPath, string $field, ?Mapping $mapping = null): self
    {
        if ($casePath === '-' && $readingsPath === '-') {
            throw FieldError::at($field, Message::of('app.one_standard_input'));
        }
        $case = (new CaseReader)->json(TextInput::text($casePath, $caseField));
        $answer = $case->fitter()->answer($case->outlet, $case->vehicle)->best;
        $judge = new Judge($answer, $case->conditions);
        $rejected = new RejectedRows;
        $events = [];
        $reader = new ReadingsReader($mapping);
        foreach ($reader->read(TextInput::lines($readingsPath, $field)) as $row) {
            if ($row instanceof Reading) {
                $judge->add($row);
            } elseif ($row instanceof RejectedRow) {
                $rejected->add($row);
            } else {
                $events[] = $row;
            }
        }

        return new self(RecordedSession::of($answer, $case->conditions, $judge->judgement(), $events), $rejected, $reader->guessed(), $reader->ignoredColumns());
    }
}
