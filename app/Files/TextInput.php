<?php

declare(strict_types=1);

namespace App\Files;

use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Readings\Foreign\Encoding;
use Harmozon\Core\Words\Message;

/** Text files, whole or line by line; on the command line `-` is standard input. */
final class TextInput
{
    private const STDIN = '-';

    private const CHUNK_BYTES = 65_536;

    private const COUNTED_BYTES = 1_048_576;

    /** Longer lines are cut here, so that memory use stays bounded. */
    private const LONGEST_LINE_BYTES = 1_048_576;

    /** @throws FieldError when the file cannot be read */
    public static function text(string $path, string $argument): string
    {
        $stream = self::open($path, $argument);
        try {
            return (string) stream_get_contents($stream);
        } finally {
            fclose($stream);
        }
    }

    /**
     * @return iterable<string> as it is, part by part
     *
     * @throws FieldError when the file cannot be read
     */
    public static function chunks(string $path, string $argument): iterable
    {
        $stream = self::open($path, $argument);

        return (static function () use ($stream): \Generator {
            try {
                while (! feof($stream)) {
                    yield (string) fread($stream, self::CHUNK_BYTES);
                }
            } finally {
                fclose($stream);
            }
        })();
    }

    /**
     * @return iterable<string> one line at a time, without its end: a line feed, a carriage return, or both
     *
     * @throws FieldError when the file cannot be read
     */
    public static function lines(string $path, string $argument): iterable
    {
        return self::split(self::open($path, $argument));
    }

    /** A fast count for progress: equals the number of lines() unless the file has faults. */
    public static function countLines(string $path): int
    {
        $stream = self::open($path, 'file');
        $feeds = $returns = $pairs = 0;
        $last = '';
        while (! feof($stream)) {
            $chunk = (string) fread($stream, self::COUNTED_BYTES);
            $feeds += substr_count($chunk, "\n");
            $returns += substr_count($chunk, "\r");
            $pairs += substr_count($chunk, "\r\n") + ($last === "\r" && str_starts_with($chunk, "\n") ? 1 : 0);
            $last = $chunk === '' ? $last : substr($chunk, -1);
        }
        fclose($stream);
        // In UTF-16 a zero byte follows or precedes each line end.
        $isOpen = ! in_array($last, ['', "\n", "\r", "\0"], true);

        return $feeds + ($pairs === 0 && $feeds > 0 ? 0 : $returns - $pairs) + ($isOpen ? 1 : 0);
    }

    /** @return resource */
    private static function open(string $path, string $argument)
    {
        if ($path !== self::STDIN && (! is_file($path) || ! is_readable($path))) {
            throw FieldError::at($argument, Message::of('app.unreadable_file', path: $path));
        }
        $stream = fopen($path === self::STDIN ? 'php://stdin' : $path, 'rb');

        return $stream !== false ? $stream : throw FieldError::at($argument, Message::of('app.unreadable_file', path: $path));
    }

    /**
     * @param  resource  $stream
     * @return \Generator<int, string>
     */
    private static function split($stream): \Generator
    {
        try {
            $rest = '';
            $encoding = null;
            $open = '';
            while (! feof($stream)) {
                $chunk = $open.(string) fread($stream, self::CHUNK_BYTES);
                $encoding ??= Encoding::of($chunk);
                if ($encoding->hasPlainLines()) {
                    $rest .= $chunk;
                } else {
                    $held = feof($stream) ? 0 : $encoding->openEnd($chunk);
                    $open = $held === 0 ? '' : substr($chunk, -$held);
                    $rest .= $encoding->toUtf8($held === 0 ? $chunk : substr($chunk, 0, -$held));
                }
                // A carriage return at the very end may be the first half of a line end.
                $whole = str_ends_with($rest, "\r") && ! feof($stream) ? substr($rest, 0, -1) : $rest;
                $held = substr($rest, strlen($whole));
                $lines = str_contains($whole, "\r") ? (array) preg_split('/\r\n|\n|\r/', $whole) : explode("\n", $whole);
                $rest = array_pop($lines).$held;
                foreach ($lines as $line) {
                    yield (string) $line;
                }
                if (strlen($rest) > self::LONGEST_LINE_BYTES) {
                    yield $rest;
                    $rest = '';
                }
            }
            if ($rest !== '') {
                yield $rest;
            }
        } finally {
            fclose($stream);
        }
    }
}
