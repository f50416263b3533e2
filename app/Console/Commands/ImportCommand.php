<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\CoreCommand;
use App\Console\GarageOfUser;
use App\Files\TextInput;
use App\Garage\CurrentGarage;
use App\Moving\GarageImport;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Listing;
use Harmozon\Core\Words\Message;

/** Imports a garage's document into a person's garage, all or nothing. */
final class ImportCommand extends CoreCommand
{
    use GarageOfUser;

    protected $signature = 'harmozon:import {garage : a garage document, version 1 or 2, or - for standard input} {--user= : the e-mail of somebody who stands in the garage} {--replace : replace what stands there otherwise} {--json : print JSON instead of a sentence}';

    protected $description = 'Bring a whole garage in';

    protected function answer(): array
    {
        $garage = $this->garage();
        $chunks = TextInput::chunks($this->path('garage'), 'garage');

        return $this->laravel->make(CurrentGarage::class)->open($garage->id, fn (): array => $this->laravel->make(GarageImport::class)->bring($garage, $chunks, $this->option('replace') === true)->toArray());
    }

    protected function describe(array $answer): void
    {
        $kept = is_array($answer['kept']) ? array_values(array_filter($answer['kept'], is_string(...))) : [];
        $count = static fn (string $of): Amount => Amount::count(is_int($answer[$of]) ? $answer[$of] : 0);
        $this->tell($this->voice()->say(Message::of('console.moved', added: $count('added'), replaced: $count('replaced'), same: $count('same'))));
        $renamed = $answer['renamed'] ?? null;
        if (is_string($renamed)) {
            $this->tell($this->voice()->say(Message::of('console.moved_renamed', name: $renamed)));
        }
        if ($kept !== []) {
            $this->tell($this->voice()->say(Message::of('console.moved_kept', names: Listing::comma($kept))));
        }
    }
}
