<?php

declare(strict_types=1);

namespace App\StandIn;

/** The id of a simulated reading: a ULID that is the same each time, so that what is sent twice is kept once. */
final class ReadingId
{
    /** Crockford's base 32, as in a ULID. */
    private const LETTERS = '0123456789ABCDEFGHJKMNPQRSTVWXYZ';

    private const LETTERS_IN_ULID = 26;

    /** @param  string  $series  names the simulated session: its chain, seed, fault and interval */
    public static function of(string $series, int $tMs): string
    {
        $letters = array_map(static fn (string $byte): string => self::LETTERS[ord($byte) % 32], str_split(substr(hash('sha256', "{$series} {$tMs}", true), 0, self::LETTERS_IN_ULID)));

        return '0'.substr(implode('', $letters), 1);
    }

    /** The name of the session that is fed to another one. */
    public static function series(string $session, int $seed, ?string $fault, int $everyS): string
    {
        return "{$session} {$seed} {$fault} {$everyS}";
    }
}
