<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\CoreCommand;
use App\Console\GarageOfUser;
use App\Garage\CurrentGarage;
use App\Moving\GarageDocument;

/** Everything that the garage of a person holds as one document on standard output. */
final class ExportCommand extends CoreCommand
{
    use GarageOfUser;

    protected $signature = 'harmozon:export {--user= : the e-mail of somebody who stands in the garage} {--json : the same}';

    protected $description = 'Write a whole garage as one document';

    protected function answer(): array
    {
        $garage = $this->garage();

        return $this->laravel->make(CurrentGarage::class)->open($garage->id, fn (): array => ['document' => $this->laravel->make(GarageDocument::class)->json($garage)]);
    }

    protected function whole(array $answer): ?string
    {
        return is_string($answer['document']) ? $answer['document'] : null;
    }

    protected function describe(array $answer): void
    {
    }
}
