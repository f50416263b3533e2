<?php

declare(strict_types=1);

namespace App\Imports;

use Illuminate\Contracts\Cache\Repository;

/** When the background worker was last seen looking for files. */
final class WorkerHeartbeat
{
    private const KEY = 'worker_seen_at';

    public function __construct(private readonly Repository $cache)
    {
    }

    public function beat(): void
    {
        $this->cache->forever(self::KEY, time());
    }

    /** Seconds; null when it was never seen. */
    public function ago(): ?int
    {
        $at = $this->cache->get(self::KEY);

        return is_int($at) ? max(0, time() - $at) : null;
    }
}
