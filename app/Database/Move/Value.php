<?php

declare(strict_types=1);

namespace App\Database\Move;

use App\Database\Dialect;

/** What a column holds, whichever database has it. */
enum Value
{
    case Boolean;
    case Bytes;
    case Date;
    case Float;
    case Text;
    case Whole;

    /** As it is compared: the same from either database. */
    public function plain(mixed $kept): bool|float|int|string|null
    {
        return $kept === null ? null : match ($this) {
            self::Boolean => (bool) $kept,
            self::Bytes => is_resource($kept) ? (string) stream_get_contents($kept) : (string) $kept,
            self::Date => substr((string) $kept, 0, 10),
            self::Float => (float) $kept,
            self::Whole => (int) $kept,
            self::Text => self::text((string) $kept),
        };
    }

    /** As a statement of a database takes it. */
    public function written(Dialect $dialect, bool|float|int|string|null $plain): int|string|null
    {
        return match (true) {
            is_bool($plain) => (int) $plain,
            $this === self::Bytes && is_string($plain) => $dialect->bytesWritten($plain),
            // As many digits as it takes to read the same number again.
            is_float($plain) => (string) json_encode($plain),
            default => $plain,
        };
    }

    /** PostgreSQL takes only text that is text. */
    private static function text(string $kept): string
    {
        return str_replace("\0", '', mb_scrub($kept, 'UTF-8'));
    }
}
