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
        $database = DB::connection();
        // Whoever is writing already waits for nobody.
        if ($database->transactionLevel() > 0 || $database->getDriverName() !== 'sqlite') {
            $write();

            return true;
        }
        try {
            $database->getPdo()->setAttribute(\PDO::ATTR_TIMEOUT, 0);
            $write();

            return true;
        } catch (\PDOException) {
            return false;
        } finally {
            $database->getPdo()->setAttribute(\PDO::ATTR_TIMEOUT, intdiv((int) $database->getConfig('busy_timeout'), 1000));
        }
    }
}
