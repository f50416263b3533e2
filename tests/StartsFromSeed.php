<?php

declare(strict_types=1);

namespace Tests;

use Illuminate\Support\Facades\DB;

/** A database for every test: this process's copy of a seed, in a transaction that is rolled back at the end. */
trait StartsFromSeed
{
    private ?Seed $seed = null;

    /** Called by the framework before each test. */
    protected function setUpStartsFromSeed(): void
    {
        $this->startFrom(Seed::Migrated);
        $this->beforeApplicationDestroyed($this->leaveSeed(...));
    }

    /** Ends what this test has written so far, and begins again from another seed. */
    protected function startFrom(Seed $seed): void
    {
        if ($this->seed !== null) {
            $this->leaveSeed();
        }
        $connection = (string) config('database.default');
        config(["database.connections.{$connection}.database" => $seed->ownCopy()]);
        DB::purge($connection);
        DB::connection()->beginTransaction();
        $this->seed = $seed;
    }

    private function leaveSeed(): void
    {
        DB::connection()->rollBack(0);
        DB::disconnect();
    }
}
