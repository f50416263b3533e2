<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Models\ChargeSession;

/** A session as a line of the log: its pieces by the names they had then, and what came of it. */
final class SessionLine
{
    /** @return array<string, mixed> */
    public function of(ChargeSession $session): array
    {
        $case = $session->case_file;
        $known = is_array($case['adapters'] ?? null) ? $case['adapters'] : [];
        $known[] = is_array($case['outlet'] ?? null) ? ($case['outlet']['attached_adapter'] ?? null) : null;
        $adapters = [];
        foreach ($session->chain_adapters as $id) {
            foreach ($known as $adapter) {
                if (is_array($adapter) && ($adapter['id'] ?? null) === $id) {
                    $adapters[] = ['id' => $id, 'name' => $adapter['name'] ?? $id];
                }
            }
        }

        return [
            'id' => $session->ulid,
            'vehicle' => self::piece($case['vehicle'] ?? null),
            'outlet' => self::piece($case['outlet'] ?? null),
            'adapters' => $adapters,
            'note' => $session->note,
            'started_at' => $session->started_at->toIso8601ZuluString(),
            'finished_at' => $session->finished_at?->toIso8601ZuluString(),
            'verdict' => $session->verdict,
            'summary' => $session->summary,
        ];
    }

    /** @return array{id: mixed, name: mixed} */
    private static function piece(mixed $piece): array
    {
        return is_array($piece) ? ['id' => $piece['id'] ?? '', 'name' => $piece['name'] ?? ''] : ['id' => '', 'name' => ''];
    }
}
