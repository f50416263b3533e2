<?php

declare(strict_types=1);

namespace Harmozon\Core\Readings\Foreign;

/** The character encoding of a text file. */
enum Encoding: string
{
    case Utf8 = 'utf-8';
    case Utf16Le = 'utf-16le';
    case Utf16Be = 'utf-16be';
    case Windows1252 = 'windows-1252';

    /** By its first bytes: a byte order mark, or every second byte zero; else UTF-8 if it is valid. */
    public static function of(string $head): self
    {
        $pairs = str_split(substr($head, 0, 400), 2);
        // Most letters of most files have an empty half.
        $empty = static fn (int $half): bool => count($pairs) >= 4 && count(array_filter($pairs, static fn (string $p): bool => ($p[$half] ?? '') === "\0" && ($p[1 - $half] ?? "\0") !== "\0")) > 0.7 * count($pairs);

        return match (true) {
            str_starts_with($head, "\xFF\xFE"), $empty(1) => self::Utf16Le,
            str_starts_with($head, "\xFE\xFF"), $empty(0) => self::Utf16Be,
            mb_check_encoding(mb_strcut($head, 0, null, 'UTF-8'), 'UTF-8') => self::Utf8,
            default => self::Windows1252,
        };
    }

    /** Whether lines can be split before converting to UTF-8. */
    public function hasPlainLines(): bool
    {
        return $this === self::Utf8 || $this === self::Windows1252;
    }

    public function toUtf8(string $text): string
    {
        return match ($this) {
            self::Utf8 => $text,
            self::Utf16Le => (string) mb_convert_encoding($text, 'UTF-8', 'UTF-16LE'),
            self::Utf16Be => (string) mb_convert_encoding($text, 'UTF-8', 'UTF-16BE'),
            self::Windows1252 => (string) mb_convert_encoding($text, 'UTF-8', 'Windows-1252'),
        };
    }

    /** Bytes at the end of a chunk that belong to an incomplete character. */
    public function openEnd(string $piece): int
    {
        if ($this->hasPlainLines()) {
            return 0;
        }
        $odd = strlen($piece) % 2;
        $unit = substr($piece, strlen($piece) - $odd - 2, 2);
        $high = $unit === '' ? 0 : ord($unit[$this === self::Utf16Le ? 1 : 0] ?? "\0");

        return $high >= 0xD8 && $high <= 0xDB ? $odd + 2 : $odd;
    }
}
