<?php

declare(strict_types=1);

// Answers requests of PostgresTest: which process of PostgreSQL each connection has, and what the request before left behind. It ends within its transactions.

use App\Database\PatientPostgresConnector;

require dirname(__DIR__).'/vendor/autoload.php';

$told = $kept = [];
foreach (['pgsql', 'counters'] as $name) {
    $kept[] = $connection = (new PatientPostgresConnector)->connect(['name' => $name, 'kept' => true, 'host' => getenv('DB_HOST'), 'database' => getenv('DB_DATABASE'), 'username' => getenv('DB_USERNAME'), 'password' => getenv('DB_PASSWORD')]);
    $told[$name] = $connection->query("select pg_backend_pid() as process, current_setting('synchronous_commit') as commits, pg_current_xact_id_if_assigned() is null as is_free")->fetch(PDO::FETCH_ASSOC);
    $connection->exec('set synchronous_commit = local');
    $connection->beginTransaction();
    $connection->exec('select pg_current_xact_id()');
}
header('Content-Type: application/json');
echo json_encode($told);
