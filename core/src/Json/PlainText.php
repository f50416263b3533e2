<?php

declare(strict_types=1);

namespace Harmozon\Core\Json;

/** Text as typed, without invisible characters. */
final class PlainText
{
    /** Control characters but line ends and tabs; marks that turn the direction of what follows; a byte order mark. */
    private const UNSEEN = '/[\x00-\x08\x0B\x0C\x0E-\x1F\x7F\x{80}-\x{9F}\x{202A}-\x{202E}\x{2066}-\x{2069}\x{FEFF}]/u';

    /** Letters, digits, signs, pictures: something that is drawn. */
    private const SEEN = '/[^\p{C}\p{Z}\p{M}\x{115F}\x{1160}\x{3164}\x{FFA0}\x{2800}]/u';

    public static function of(string $typed): string
    {
        return preg_replace(self::UNSEEN, '', $typed) ?? $typed;
    }

    /** Whether nothing of it can be seen. */
    public static function isBlank(string $typed): bool
    {
        return preg_match(self::SEEN, $typed) !== 1;
    }
}
