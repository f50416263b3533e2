<?php

declare(strict_types=1);

namespace App\Files;

use Illuminate\Contracts\Filesystem\Filesystem;
use Illuminate\Support\Facades\Storage;

/**
 * Files that belong to the data: on this machine's disk, or, where several servers serve one site, on a disk that all of
 * them reach. A file that arrives in pieces is written on the server that takes a piece; each piece goes to the shared
 * disk too, and whichever server needs the file puts it together from there.
 */
final class Shelf
{
    private const S3 = 's3';

    private const ARRIVING = 'imports';

    /** So many digits has the place of a piece in its name, so that names are in the order of pieces. */
    private const PLACE_DIGITS = 12;

    public static function disk(): Filesystem
    {
        return Storage::disk();
    }

    public static function isShared(): bool
    {
        return config('filesystems.disks.'.(string) config('filesystems.default').'.driver') === self::S3;
    }

    /** A piece that has just been written to a local file. */
    public static function keepPiece(string $local, int $from, int $bytes): void
    {
        if (! self::isShared() || $bytes === 0) {
            return;
        }
        $piece = fopen($local, 'rb');
        if ($piece === false || fseek($piece, $from) !== 0) {
            throw new \RuntimeException('a piece that was written cannot be read');
        }
        self::disk()->put(self::folder($local).'/'.str_pad((string) $from, self::PLACE_DIGITS, '0', STR_PAD_LEFT), (string) stream_get_contents($piece, $bytes));
        fclose($piece);
    }

    /**
     * Makes sure that a local file has what has arrived of it.
     *
     * @param  int  $bytes  that were acknowledged
     */
    public static function bring(string $local, int $bytes): void
    {
        if (! self::isShared() || (is_file($local) && (int) filesize($local) >= $bytes)) {
            return;
        }
        is_dir(dirname($local)) || mkdir(dirname($local), 0o700, true);
        $whole = $local.'.'.bin2hex(random_bytes(4));
        $file = fopen($whole, 'wb');
        if ($file === false) {
            return;
        }
        $pieces = self::disk()->files(self::folder($local));
        sort($pieces);
        foreach ($pieces as $piece) {
            fseek($file, (int) basename($piece));
            fwrite($file, (string) self::disk()->get($piece));
        }
        // What came after the last piece that was acknowledged is sent again.
        ftruncate($file, max(0, $bytes));
        fclose($file);
        rename($whole, $local);
        clearstatcache(true, $local);
    }

    /** A file that is no longer wanted, here and for all. */
    public static function forget(string $local): void
    {
        @unlink($local);
        if (self::isShared()) {
            self::disk()->deleteDirectory(self::folder($local));
        }
    }

    /**
     * Removes the pieces of files that nobody has touched since, whatever became of their garages.
     *
     * @param  int  $before  Unix time
     */
    public static function sweep(int $before): void
    {
        foreach (self::isShared() ? self::disk()->directories(self::ARRIVING) : [] as $folder) {
            if (max([0, ...array_map(self::disk()->lastModified(...), self::disk()->files($folder))]) < $before) {
                self::disk()->deleteDirectory($folder);
            }
        }
    }

    private static function folder(string $local): string
    {
        return self::ARRIVING.'/'.basename($local);
    }
}
