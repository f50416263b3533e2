<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\CoreCommand;
use App\Console\GarageOfUser;
use App\Garage\CurrentGarage;
use App\Moving\GarageDocument;
use Symfony\Component\Console\Formatter\OutputFormatter;

/** Everything that the garage of a person holds, but its sessions, as one document on standard output. */
final class ExportCommand extends CoreCommand
{
    use GarageOfUser;

    protected $signature = 'harmozon:export {--user= : the e-mail of somebody who stands in the garage} {--json : the same, without line breaks of its own}';

    protected $description = 'Write a whole garage as one document';

    private string $document = '';

    protected function answer(): array
    {
        $garage = $this->garage();
        $writer = $this->laravel->make(GarageDocument::class);

        return $this->laravel->make(CurrentGarage::class)->open($garage->id, function () use ($writer, $garage): array {
            $this->document = $writer->json($garage);

            return $writer->of($garage);
        });
    }

    protected function describe(array $answer): void
    {
        $this->output->write(OutputFormatter::escape($this->document));
    }
}
