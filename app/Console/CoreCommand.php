<?php

declare(strict_types=1);

namespace App\Console;

use Harmozon\Core\Files\FieldError;
use Harmozon\Core\Words\Language;
use Harmozon\Core\Words\Refusal;
use Harmozon\Core\Words\Voice;
use Illuminate\Console\Command;
use Symfony\Component\Console\Output\ConsoleOutputInterface;
use Symfony\Component\Console\Output\OutputInterface;

/** A command that asks the core: exit 0 with an answer, exit 2 with one line that names the field. */
abstract class CoreCommand extends Command
{
    public const BAD_INPUT = 2;

    public function handle(): int
    {
        try {
            $answer = $this->answer();
        } catch (Refusal $e) {
            $this->stderr($this->voice()->say($e->complaint()));

            return self::BAD_INPUT;
        }
        if ($this->option('json') === true) {
            $this->output->writeln(json_encode($answer, JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION | JSON_THROW_ON_ERROR), OutputInterface::OUTPUT_RAW);
        } else {
            $this->describe($answer);
        }

        return self::SUCCESS;
    }

    /**
     * @return array<string, mixed> with the contract's field names
     *
     * @throws FieldError
     */
    abstract protected function answer(): array;

    /** @param  array<string, mixed>  $answer */
    abstract protected function describe(array $answer): void;

    /** The command line speaks English, °C and metres. */
    protected function voice(): Voice
    {
        return new Voice($this->laravel->make(Language::class));
    }

    protected function path(string $argument): string
    {
        $path = $this->argument($argument);

        return is_string($path) ? $path : '';
    }

    private function stderr(string $line): void
    {
        $output = $this->output->getOutput();
        $errors = $output instanceof ConsoleOutputInterface ? $output->getErrorOutput() : $output;
        $errors->writeln(str_replace(["\r", "\n"], ' ', $line), OutputInterface::OUTPUT_RAW);
    }
}
