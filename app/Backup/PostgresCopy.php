<?php

declare(strict_types=1);

namespace App\Backup;

use App\Database\Dialect;
use App\Database\Move\WholeDatabase;
use Illuminate\Database\Connection;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;

/** Copies PostgreSQL into a file of SQLite's, so that a backup comes back wherever it is wanted. */
final class PostgresCopy implements DatabaseCopy
{
    private const FILE = 'copy';

    public function writeTo(string $file): void
    {
        touch($file);
        $this->withFile($file, static function (Connection $copy): void {
            self::bringUpToDate();
            $live = DB::connection();
            Dialect::ofConnection()->beginOfOneMoment($live);
            try {
                (new WholeDatabase($live, $copy))->move();
            } finally {
                $live->rollBack();
            }
        });
    }

    public function takeFrom(string $file): void
    {
        $this->withFile($file, static function (Connection $copy): void {
            // One of an older version.
            self::bringUpToDate();
            Artisan::call('migrate', ['--force' => true]);
            $live = DB::connection();
            Dialect::ofConnection()->beginAlone($live);
            try {
                $move = new WholeDatabase($copy, $live);
                $move->clear();
                $move->move();
                $live->commit();
            } catch (\Throwable $e) {
                $live->rollBack();
                throw $e;
            }
        });
    }

    public function isWhole(string $file): bool
    {
        return SqliteCopy::isIntact($file);
    }

    /** @param  \Closure(Connection): void  $do */
    private function withFile(string $file, \Closure $do): void
    {
        config(['database.connections.'.self::FILE => ['driver' => 'sqlite', 'database' => $file, 'prefix' => '', 'foreign_key_constraints' => true]]);
        try {
            $do(DB::connection(self::FILE));
        } finally {
            DB::purge(self::FILE);
        }
    }

    private static function bringUpToDate(): void
    {
        Artisan::call('migrate', ['--database' => self::FILE, '--force' => true]);
    }
}
