<?php

declare(strict_types=1);

namespace App\Files;

use Harmozon\Core\Files\FieldError;

/** Text files, line by line; on the command line `-` is standard input. */
final class TextInput
{
    private const STDIN = '-';

    /** @throws FieldError when the file cannot be read */
    public static function text(string $path, string $argument): string
    {
        $text = '';
        foreach (self::lines($path, $argument) as $line) {
            $text .= $line;
        }

        return $text;
    }

    /**
     * @return iterable<string> one line at a time
     *
     * @throws FieldError when the file cannot be read
     */
    public static function lines(string $path, string $argument): iterable
    {
        if ($path !== self::STDIN && (! is_file($path) || ! is_readable($path))) {
            throw FieldError::at($argument, sprintf('"%s" is not a file that can be read', $path));
        }

        return self::stream($path === self::STDIN ? 'php://stdin' : $path);
    }

    /** @return \Generator<int, string> */
    private static function stream(string $path): \Generator
    {
        $stream = fopen($path, 'rb');
        if ($stream === false) {
            throw FieldError::at('input', 'cannot be opened');
        }
        try {
            while (($line = fgets($stream)) !== false) {
                yield $line;
            }
        } finally {
            fclose($stream);
        }
    }
}
