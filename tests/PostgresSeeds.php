<?php

declare(strict_types=1);

namespace Tests;

/** Seeds as databases of the PostgreSQL that tests/postgres.sh keeps for as long as the tests run. */
final class PostgresSeeds
{
    public function ownCopy(Seed $seed): string
    {
        $built = "{$seed->value}_".Seed::fingerprint();
        $server = new \PDO(sprintf('pgsql:host=%s;port=%s;dbname=postgres', (string) getenv('DB_HOST'), (string) getenv('DB_PORT')), (string) getenv('DB_USERNAME'));
        $copy = "{$seed->value}_of_".getmypid();
        Seed::alone(static function () use ($seed, $built, $server, $copy): void {
            if ($server->query("select 1 from pg_database where datname = '{$built}'")->fetchColumn() === false) {
                $server->exec("create database {$built}_new template template0");
                $seed->build('pgsql', "{$built}_new");
                $server->exec("alter database {$built}_new rename to {$built}");
            }
            $server->exec("create database {$copy} template {$built}");
        });
        register_shutdown_function(static fn () => $server->exec("drop database if exists {$copy} with (force)"));

        return $copy;
    }
}
