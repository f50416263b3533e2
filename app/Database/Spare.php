<?php

declare(strict_types=1);

namespace App\Database;

use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;

/** What may as well be written another time: it waits for nobody, and is left out while somebody else is writing or nothing can be written. */
final class Spare
{
    /**
     * @param  \Closure(): mixed  $write
     * @return bool whether it was written
     */
    public static function write(\Closure $write): bool
    {
        $database = DB::connection();
        // Whoever is writing already waits for nobody.
        $waits = $database->transactionLevel() === 0 && $database->getDriverName() === 'sqlite';
        try {
            if ($waits) {
                $database->statement('pragma busy_timeout = 0');
            }
            $write();

            return true;
        } catch (QueryException|\PDOException $e) {
            if (! $waits) {
                throw $e;
            }

            return false;
        } finally {
            if ($waits) {
                $database->statement('pragma busy_timeout = '.(int) $database->getConfig('busy_timeout'));
            }
        }
    }
}
