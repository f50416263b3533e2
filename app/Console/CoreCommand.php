<?php

declare(strict_types=1);

namespace App\Console;

use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Words\Language;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Refusal;
use Harmozon\Core\Words\Voice;
use Illuminate\Console\Command;
use Illuminate\Console\OutputStyle;
use Symfony\Component\Console\Formatter\OutputFormatter;
use Symfony\Component\Console\Output\BufferedOutput;
use Symfony\Component\Console\Output\ConsoleOutputInterface;
use Symfony\Component\Console\Output\OutputInterface;
use Symfony\Component\Console\Output\StreamOutput;

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
        $told = $this->whole($answer) ?? [$this->option('json') === true
            ? json_encode($answer, JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION | JSON_THROW_ON_ERROR)."\n"
            : $this->described($answer)];
        foreach ($told as $part) {
            if (! $this->print($part)) {
                $this->stderr($this->voice()->say(Message::of('console.cannot_write')));

                return self::FAILURE;
            }
        }

        return self::SUCCESS;
    }

    /**
     * Prints, part by part, an answer that has only one format.
     *
     * @param  array<string, mixed>  $answer
     * @return iterable<string>|null
     */
    protected function whole(array $answer): ?iterable
    {
        return null;
    }

    /** @param  array<string, mixed>  $answer */
    private function described(array $answer): string
    {
        $written = new BufferedOutput;
        [$output, $this->output] = [$this->output, new OutputStyle($this->input, $written)];
        try {
            $this->describe($answer);
        } finally {
            $this->output = $output;
        }

        return $written->fetch();
    }

    /** Prints text; false if not all of it could be written. */
    private function print(string $text): bool
    {
        $text = self::harmless($text);
        $output = $this->output->getOutput();
        if (! $output instanceof StreamOutput) {
            $output->write($text, false, OutputInterface::OUTPUT_RAW);

            return true;
        }
        // A full disk is told by the bytes that were written, not by an error of ours.
        set_error_handler(static fn (): bool => true);
        try {
            return fwrite($output->getStream(), $text) === strlen($text);
        } finally {
            restore_error_handler();
        }
    }

    /** Removes control characters but the line ends of a file, so that no file or name can move the cursor or colour the terminal. */
    public static function harmless(string $text): string
    {
        return (string) preg_replace('/(?!\r\n)[^\P{Cc}\n]/u', "\u{FFFD}", mb_scrub($text));
    }

    /** Prints a line; names from files are never read as markup. */
    protected function tell(string $line): void
    {
        $this->line(OutputFormatter::escape($line));
    }

    /**
     * @param  list<string>  $heads
     * @param  array<array-key, list<string|float|int>>  $rows
     */
    protected function tabulate(array $heads, array $rows): void
    {
        $cell = static fn (string|float|int $cell): string|float|int => is_string($cell) ? OutputFormatter::escape($cell) : $cell;
        $this->table($heads, array_map(static fn (array $row): array => array_map($cell, $row), $rows));
    }

    /**
     * @return array<string, mixed> with the contract's field names
     *
     * @throws FieldError
     */
    abstract protected function answer(): array;

    /** @param  array<string, mixed>  $answer */
    abstract protected function describe(array $answer): void;

    /** The command line uses English, °C and metres. */
    protected function voice(): Voice
    {
        return new Voice($this->laravel->make(Language::class));
    }

    protected function path(string $argument): string
    {
        $path = $this->argument($argument);

        return is_string($path) ? $path : '';
    }

    /** Prints a line to standard error. */
    protected function stderr(string $line): void
    {
        $output = $this->output->getOutput();
        $errors = $output instanceof ConsoleOutputInterface ? $output->getErrorOutput() : $output;
        $errors->writeln(self::harmless(str_replace(["\r", "\n"], ' ', $line)), OutputInterface::OUTPUT_RAW);
    }
}
