<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\CoreCommand;
use App\Console\RecordedFile;
use Harmozon\Core\Answers\ReviewWriter;
use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Record\Point;
use Harmozon\Core\Review\Comparison;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;

final class CompareCommand extends CoreCommand
{
    protected $signature = 'harmozon:compare {case : a case file, or - for standard input} {readings : its readings file (CSV), or -} {base-case : the case to compare with} {base-readings : its readings file} {--json : print JSON instead of text}';

    protected $description = 'Whether a session with an adapter was slower or warmer than one without it, and what else was different';

    private ?Comparison $comparison = null;

    protected function answer(): array
    {
        $paths = array_map($this->path(...), ['case', 'readings', 'base-case', 'base-readings']);
        if (count(array_keys($paths, '-', true)) > 1) {
            throw FieldError::at('readings', Message::of('app.one_standard_input'));
        }
        $with = RecordedFile::of($paths[0], 'case', $paths[1], 'readings')->session;
        $without = RecordedFile::of($paths[2], 'base-case', $paths[3], 'base-readings')->session;
        if ($with->answer->chain->vehicle->id !== $without->answer->chain->vehicle->id) {
            throw FieldError::at('base-case.vehicle.id', Message::of('app.other_car', other: $without->answer->chain->vehicle->name));
        }
        $this->comparison = Comparison::of($with, $without);

        return (new ReviewWriter($this->voice()))->comparison($this->comparison);
    }

    protected function describe(array $answer): void
    {
        if ($this->comparison === null) {
            return;
        }
        $this->tell($this->voice()->say($this->comparison->sentence));
        foreach ($this->comparison->risesK as $point => [$with, $without]) {
            $this->tell($this->voice()->say(Message::of('console.rise', point: Point::from($point)->message(), with: Amount::kelvin($with), without: Amount::kelvin($without))));
        }
        foreach ($this->comparison->confounders as $confounder) {
            $this->tell('- '.$this->voice()->say($confounder->detail));
        }
    }
}
