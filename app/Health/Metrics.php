<?php

declare(strict_types=1);

namespace App\Health;

use App\Backup\Backups;
use App\Database\Dialect;
use App\Imports\ImportState;
use Illuminate\Support\Facades\DB;

/** Figures of the whole site for a monitor, in the text format of OpenMetrics 1.0. None is about a person or a garage. */
final readonly class Metrics
{
    public const TYPE = 'application/openmetrics-text; version=1.0.0; charset=utf-8';

    public function __construct(private Readiness $readiness)
    {
    }

    public function text(): string
    {
        $newest = Backups::newestAt();
        $lines = [];
        foreach ([
            ['harmozon_garages', 'Garages', DB::table('garages')->count()],
            ['harmozon_accounts', 'Accounts', DB::table('users')->count()],
            ['harmozon_open_sessions', 'Sessions that have not been finished', DB::table('charge_sessions')->whereNull('finished_at')->whereNull('deleted_at')->count()],
            ['harmozon_imports_waiting', 'Readings files that wait for the worker', DB::table('readings_imports')->where('state', ImportState::Waiting->value)->count()],
            ['harmozon_import_wait_seconds', 'How long the file waits that has waited longest', $this->readiness->longestWaitS()],
            ['harmozon_worker_seen_seconds', 'Since the worker was last seen; absent where it never was', $this->readiness->workerSeenS()],
            ['harmozon_backup_age_seconds', 'Of the newest backup; absent where there is none', $newest === 0 ? null : time() - $newest],
            ['harmozon_disk_free_bytes', 'On the disk of the database', (int) Readiness::freeBytes()],
            ['harmozon_database_bytes', 'Size of the database', Dialect::ofConnection()->sizeBytes()],
        ] as [$name, $help, $value]) {
            array_push($lines, implode(' ', ['# TYPE', $name, 'gauge']), implode(' ', ['# HELP', $name, $help]), ...($value === null ? [] : [implode(' ', [$name, $value])]));
        }

        return implode("\n", [...$lines, '# EOF'])."\n";
    }
}
