<?php

declare(strict_types=1);

namespace Harmozon\Core\Ocpi;

/** How a stall is recognised: the network's ids of its EVSE and its connector. */
final class StallKey
{
    /** @param  array<mixed>  $stall */
    public static function of(array $stall): ?string
    {
        $uid = $stall['uid'] ?? null;
        $connector = $stall['connector'] ?? null;

        return is_string($uid) ? $uid.'/'.(is_string($connector) ? $connector : '') : null;
    }

    /**
     * Our own key for a stall without a network's id: the outlet's, or the outlet's with the stall's number.
     *
     * @param  int|null  $at  null where nobody told its stalls apart
     */
    public static function uidOfOurs(string $outletId, ?int $at): string
    {
        return $at === null ? $outletId : $outletId.'-'.($at + 1);
    }

    /**
     * @param  array<mixed>  $spec  of an outlet
     * @return list<string> of the stalls that have one
     */
    public static function each(array $spec): array
    {
        $stalls = $spec['stalls'] ?? null;
        $keys = array_map(static fn (mixed $s): ?string => is_array($s) ? self::of($s) : null, is_array($stalls) ? array_values($stalls) : []);

        return array_values(array_filter($keys, is_string(...)));
    }
}
