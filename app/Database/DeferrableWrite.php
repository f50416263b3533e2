<?php

declare(strict_types=1);

namespace App\Database;

use Illuminate\Support\Facades\DB;

/** A write that can be skipped: it never waits, and is left out while another process writes or writing is impossible. */
final class DeferrableWrite
{
    /**
     * @param  \Closure(): mixed  $write
     * @return bool whether it was written
     */
    public static function write(\Closure $write): bool
    {
        // Whoever is writing already waits for nobody.
        if (DB::connection()->transactionLevel() > 0) {
            $write();

            return true;
        }

        return Dialect::ofConnection()->writeWithoutWaiting($write);
    }
}
