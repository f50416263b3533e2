<?php

declare(strict_types=1);

namespace App\Console;

use Illuminate\Foundation\Console\Kernel as FrameworksKernel;
use Symfony\Component\Console\Exception\ExceptionInterface;
use Symfony\Component\Console\Output\ConsoleOutputInterface;
use Symfony\Component\Console\Output\OutputInterface;

/** Answers an unreadable command line with one short line and exit code 2. */
final class Kernel extends FrameworksKernel
{
    private bool $isBadInput = false;

    public function handle($input, $output = null): int
    {
        $status = parent::handle($input, $output);

        return $this->isBadInput ? CoreCommand::BAD_INPUT : $status;
    }

    /** The framework looks for commands in its own kernel only. */
    protected function shouldDiscoverCommands(): bool
    {
        return true;
    }

    protected function reportException(\Throwable $e): void
    {
        if (! $e instanceof ExceptionInterface) {
            parent::reportException($e);
        }
    }

    protected function renderException($output, \Throwable $e): void
    {
        if (! $e instanceof ExceptionInterface) {
            parent::renderException($output, $e);

            return;
        }
        $this->isBadInput = true;
        $errors = $output instanceof ConsoleOutputInterface ? $output->getErrorOutput() : $output;
        $line = (string) strtok($e->getMessage(), "\n");
        $errors->writeln(CoreCommand::harmless($line), OutputInterface::OUTPUT_RAW);
    }
}
