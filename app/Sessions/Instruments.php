<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Models\ChargeSession;
use Illuminate\Support\Facades\DB;

/** Which instruments a session's readings came from. */
final class Instruments
{
    /** The most to list, those with the most readings first; a session may have very many. */
    private const MOST = 40;

    /** @return list<array{name: string|null, readings: int}> those with the most readings first; null: not told */
    public static function of(ChargeSession $session): array
    {
        $found = [];
        foreach (DB::table('readings')->where('charge_session_id', $session->id)->selectRaw('source, count(*) as n')->groupBy('source')->orderByDesc('n')->limit(self::MOST)->get() as $row) {
            $found[] = ['name' => is_string($row->source) && $row->source !== '' ? $row->source : null, 'readings' => (int) $row->n];
        }

        // Databases order text, and what is not told, in ways of their own.
        usort($found, static fn (array $a, array $b): int => [$b['readings'], $a['name'] ?? ''] <=> [$a['readings'], $b['name'] ?? '']);

        return $found;
    }
}
