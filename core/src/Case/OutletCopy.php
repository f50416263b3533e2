<?php

declare(strict_types=1);

namespace Harmozon\Core\Case;

/** What a charger has in common with another of its kind: rating, access and price, but not its condition or location. */
final class OutletCopy
{
    /** Facts about one charger, by path: where it is, what is broken or worn, whether somebody charges next to it. */
    private const OWN = [
        'address', 'known_fault', 'extension', 'cable.cooling_failed', 'cable.ageing', 'cabinet.partner_active', 'cabinet.partner_kw',
        'attached_adapter.damaged', 'attached_adapter.test_overdue',
    ];

    /** Facts about one stall: its network's ids, and what is broken there. */
    private const OWN_OF_STALL = ['evse_id', 'uid', 'connector', 'fault'];

    /**
     * @param  array<string, mixed>  $spec  in the words of the case file
     * @return array<string, mixed>
     */
    public static function of(array $spec): array
    {
        foreach (self::OWN as $path) {
            [$part, $field] = [...explode('.', $path, 2), null];
            if ($field === null) {
                unset($spec[$part]);
            } elseif (is_array($spec[$part] ?? null)) {
                unset($spec[$part][$field]);
            }
        }
        if (is_array($spec['origins'] ?? null)) {
            $spec['origins'] = array_diff_key($spec['origins'], array_flip(self::OWN));
        }
        if (is_array($spec['stalls'] ?? null)) {
            $spec['stalls'] = array_map(static fn (mixed $stall): mixed => is_array($stall) ? array_diff_key($stall, array_flip(self::OWN_OF_STALL)) : $stall, $spec['stalls']);
        }

        return $spec;
    }
}
