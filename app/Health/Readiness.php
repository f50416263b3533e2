<?php

declare(strict_types=1);

namespace App\Health;

use App\Backup\Backups;
use App\Database\Dialect;
use App\Imports\ImportState;
use App\Imports\WorkerHeartbeat;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** Whether the site can do its work now: database, disk, worker, queue. Nothing of it says anything about a person. */
final readonly class Readiness
{
    /** With less free on its disk nothing more is promised to be saved */
    public const LEAST_FREE_BYTES = 64_000_000;

    /** A worker looks for files each second; one that is at a file reports with every part of it (s). */
    public const WORKER_SEEN_S = 120;

    /** Longest that a file waits for the worker on a site that is well (s). */
    public const LONGEST_WAIT_S = 900;

    public function __construct(private WorkerHeartbeat $heartbeat)
    {
    }

    /** @return list<Finding> */
    public function findings(): array
    {
        $database = $this->database();

        return [$database, $this->disk(), ...($database->isGood ? [$this->worker(), $this->queue()] : [])];
    }

    private function database(): Finding
    {
        try {
            $missing = count(Backups::toMake());
        } catch (\Throwable) {
            return Finding::bad(Subject::Database, Message::of('health.database_gone'));
        }

        return $missing > 0
            ? Finding::bad(Subject::Database, Message::of('health.database_old', count: Amount::count($missing)))
            : Finding::good(Subject::Database, Message::of('health.database'));
    }

    private function disk(): Finding
    {
        $free = self::freeBytes();

        return $free < self::LEAST_FREE_BYTES
            ? Finding::bad(Subject::Disk, Message::of('health.disk_full', megabytes: Amount::count((int) ($free / 1e6))))
            : Finding::good(Subject::Disk, Message::of('health.disk', megabytes: Amount::count((int) ($free / 1e6))));
    }

    private function worker(): Finding
    {
        $seen = $this->workerSeenS();

        return $seen === null || $seen > self::WORKER_SEEN_S
            ? Finding::bad(Subject::Worker, $seen === null ? Message::of('health.worker_never') : Message::of('health.worker_gone', minutes: Amount::minutes($seen / 60)))
            : Finding::good(Subject::Worker, Message::of('health.worker'));
    }

    private function queue(): Finding
    {
        $waits = $this->longestWaitS();

        return $waits > self::LONGEST_WAIT_S
            ? Finding::bad(Subject::Queue, Message::of('health.queue_long', minutes: Amount::minutes($waits / 60)))
            : Finding::good(Subject::Queue, Message::of('health.queue'));
    }

    /** On the disk of the database; of what is kept here, where a server of its own has it. */
    public static function freeBytes(): float
    {
        return (float) @disk_free_space(dirname(Dialect::ofConnection()->file() ?? storage_path('app')));
    }

    /** Seconds; null when it was never seen. */
    public function workerSeenS(): ?int
    {
        $busy = DB::table('readings_imports')->where('state', ImportState::Running->value)->max('updated_at');
        $seen = [...($busy === null ? [] : [self::agoS((string) $busy)]), ...(($beat = $this->heartbeat->ago()) === null ? [] : [$beat])];

        return $seen === [] ? null : min($seen);
    }

    /** Seconds that the file waits that has waited longest; 0 where none does. */
    public function longestWaitS(): int
    {
        $oldest = DB::table('readings_imports')->where('state', ImportState::Waiting->value)->min('updated_at');

        return $oldest === null ? 0 : self::agoS((string) $oldest);
    }

    private static function agoS(string $at): int
    {
        return max(0, (int) Carbon::parse($at)->diffInSeconds(Carbon::now()));
    }
}
