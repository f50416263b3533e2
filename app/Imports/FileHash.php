<?php

declare(strict_types=1);

namespace App\Imports;

/**
 * The SHA-256 of a file that arrives in parts. Its state is updated with each part and kept next to the file, so that a
 * large file needn't be read again at the end; if the state is lost, it is.
 */
final class FileHash
{
    private const ALGORITHM = 'sha256';

    /** @param  resource  $file  positioned where the part begins */
    public static function goOn(string $path, $file, int $from, int $bytes): void
    {
        $sum = $from === 0 ? hash_init(self::ALGORITHM) : self::upTo($path, $from);
        if ($sum === null) {
            // Of a piece that is sent once more, perhaps otherwise, nothing is known: the file is read as a whole at the end.
            self::forget($path);
        } else {
            hash_update_stream($sum, $file, $bytes);
            @file_put_contents(self::beside($path), serialize([$from + $bytes, $sum]));
        }
    }

    public static function of(string $path): string
    {
        $sum = self::upTo($path, (int) filesize($path));

        return $sum === null ? (string) hash_file(self::ALGORITHM, $path) : hash_final($sum);
    }

    public static function forget(string $path): void
    {
        @unlink(self::beside($path));
    }

    private static function upTo(string $path, int $bytes): ?\HashContext
    {
        $kept = @unserialize((string) @file_get_contents(self::beside($path)), ['allowed_classes' => [\HashContext::class]]);

        return is_array($kept) && ($kept[0] ?? null) === $bytes && ($kept[1] ?? null) instanceof \HashContext ? $kept[1] : null;
    }

    private static function beside(string $path): string
    {
        return "{$path}.sum";
    }
}
