<?php

declare(strict_types=1);

namespace App\Database;

use Illuminate\Contracts\Database\Eloquent\CastsAttributes;
use Illuminate\Database\Eloquent\Model;

/**
 * A column of bytes, as a string of PHP's.
 *
 * @implements CastsAttributes<string, string>
 */
final class Bytes implements CastsAttributes
{
    /** As the database takes them. */
    public static function written(string $bytes): string
    {
        return Dialect::ofConnection()->bytesWritten($bytes);
    }

    /** As the database gave them. */
    public static function read(mixed $kept): string
    {
        if (is_resource($kept)) {
            return (string) stream_get_contents($kept, -1, 0);
        }

        // Written by this process a moment ago, and not read back.
        return Dialect::ofConnection()->bytesRead((string) $kept);
    }

    public function get(Model $model, string $key, mixed $value, array $attributes): string
    {
        return self::read($value);
    }

    public function set(Model $model, string $key, mixed $value, array $attributes): string
    {
        return self::written((string) $value);
    }
}
