<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Imports\ImportState;
use App\Imports\TakeFileJob;
use App\Imports\WorkerHeartbeat;
use App\Moving\BringGarageJob;
use App\Moving\PermanentDeletion;
use Illuminate\Console\Command;
use Illuminate\Contracts\Events\Dispatcher;
use Illuminate\Queue\Events\Looping;
use Illuminate\Support\Facades\DB;

/** Imports files in the background. It continues what an earlier worker began, and first destroys what was deleted long enough ago. */
final class WorkCommand extends Command
{
    protected $signature = 'harmozon:work {--until-empty : end when nothing waits any more}';

    protected $description = 'Take readings files in the background; ./harmozon start runs this';

    /** Seconds between two looks for more, and after which a fresh worker takes over. */
    private const SLEEP = 1;

    private const LIFE = 3_600;

    public function handle(Dispatcher $events, WorkerHeartbeat $heartbeat, PermanentDeletion $destruction): int
    {
        $this->takeUpAgain();
        // What cannot be destroyed now is, an hour later: files do not wait for it.
        rescue(static fn (): array => $destruction->run());
        $events->listen(Looping::class, static fn () => $heartbeat->beat());

        return $this->call('queue:work', [
            '--sleep' => self::SLEEP, '--max-time' => self::LIFE, '--memory' => config('harmozon.worker_memory_mb'), '--quiet' => true, '--stop-when-empty' => (bool) $this->option('until-empty'),
        ]);
    }

    /** Rebuilds the queue from unfinished files: a job dies with its worker, a file doesn't. */
    private function takeUpAgain(): void
    {
        DB::transaction(static function (): void {
            DB::table('jobs')->delete();
            DB::table('readings_imports')->where('state', ImportState::Stopping->value)->update(['state' => ImportState::Stopped->value, 'worker' => null]);
            foreach (DB::table('readings_imports')->whereIn('state', [ImportState::Waiting->value, ImportState::Running->value])->orderBy('id')->get(['id', 'garage_id']) as $import) {
                TakeFileJob::dispatch((int) $import->garage_id, (int) $import->id);
            }
            foreach (DB::table('garage_arrivals')->whereIn('state', [ImportState::Waiting->value, ImportState::Running->value])->orderBy('id')->get(['id', 'garage_id']) as $arrival) {
                BringGarageJob::dispatch((int) $arrival->garage_id, (int) $arrival->id);
            }
        });
    }
}
