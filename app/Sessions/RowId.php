<?php

declare(strict_types=1);

namespace App\Sessions;

/** The ids of a file's rows: the same row of the same file is the same reading, however often it is taken. */
final class RowId
{
    private const LINE_DIGITS = 13;

    /** A file's part of its rows' ids, from its SHA-256. */
    public static function fileId(string $fingerprint): string
    {
        return strtoupper(substr($fingerprint, 0, 12));
    }

    public static function of(string $fileId, int $line): string
    {
        return 'F'.$fileId.str_pad((string) $line, self::LINE_DIGITS, '0', STR_PAD_LEFT);
    }

    /** @return array{string, string} the least and the greatest, in letters and digits alone: any database has them in one order */
    public static function range(string $fileId): array
    {
        return ['F'.$fileId.str_repeat('0', self::LINE_DIGITS), 'F'.$fileId.str_repeat('9', self::LINE_DIGITS)];
    }
}
