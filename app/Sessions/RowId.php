<?php

declare(strict_types=1);

namespace App\Sessions;

/** The ids of a file's rows: the same row of the same file is the same reading, however often it is taken. */
final class RowId
{
    /** A file's part of its rows' ids, from its SHA-256. */
    public static function fileId(string $fingerprint): string
    {
        return strtoupper(substr($fingerprint, 0, 12));
    }

    public static function of(string $fileId, int $line): string
    {
        return 'F'.$fileId.str_pad((string) $line, 13, '0', STR_PAD_LEFT);
    }

    /** @return array{string, string} no row of the file has an id outside these two */
    public static function range(string $fileId): array
    {
        return ["F{$fileId}", "F{$fileId}~"];
    }
}
