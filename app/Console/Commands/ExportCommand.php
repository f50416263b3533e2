<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\CoreCommand;
use App\Console\GarageOfUser;
use App\Garage\CurrentGarage;
use App\Models\Garage;
use App\Moving\GarageDocument;

/** Writes everything in a person's garage as one document to standard output. */
final class ExportCommand extends CoreCommand
{
    use GarageOfUser;

    protected $signature = 'harmozon:export {--user= : the e-mail of somebody who stands in the garage} {--json : the same}';

    protected $description = 'Write a whole garage as one document';

    protected function answer(): array
    {
        $garage = $this->garage();

        return ['garage' => $garage];
    }

    /** @return \Generator<int, string> */
    protected function whole(array $answer): \Generator
    {
        $garage = $answer['garage'];
        assert($garage instanceof Garage);
        $current = $this->laravel->make(CurrentGarage::class);
        $parts = $this->laravel->make(GarageDocument::class)->parts($garage);
        while ($current->open($garage->id, $parts->valid(...))) {
            yield $parts->current();
            $current->open($garage->id, $parts->next(...));
        }
    }

    protected function describe(array $answer): void
    {
    }
}
