<?php

declare(strict_types=1);

namespace App\Bench;

use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;

/** The first page of a log of many sessions over HTTP: those of the demo, copied with their readings. */
final class LogBench
{
    private const PAGE = 100;

    private const READINGS_EACH = 1_000;

    public static function run(int $sessions, int $looks): Message
    {
        $garage = new ServedGarage;
        self::fill($garage->database(), $sessions);
        $garage->get('/api/sessions?most='.self::PAGE);
        $page = Timing::of($looks, static fn (): string => $garage->get('/api/sessions?most='.self::PAGE));
        $database = $garage->database();
        $count = static fn (string $table): Amount => Amount::count((int) self::column($database, "select count(*) from {$table}")[0]);

        return Message::of('bench.log', ...$page->told(), sessions: $count('charge_sessions'), readings: $count('readings'), rows: Amount::count(self::PAGE));
    }

    /** Copies the finished sessions of the demo until there are so many, each an hour before the one before it. */
    private static function fill(\PDO $database, int $sessions): void
    {
        $columns = static fn (string $table, string ...$without): array => array_diff(self::column($database, "select name from pragma_table_info('{$table}')"), $without);
        $into = static fn (string $table, array $columns): string => "insert into {$table} (".implode(', ', $columns).') ';
        $of = static fn (string $table, array $columns): string => implode(', ', array_map(static fn (string $c): string => "{$table}.{$c}", $columns));
        $numbers = static fn (int $to): string => "with recursive n(i) as (select 1 union all select i + 1 from n where i < {$to}) ";
        $database->beginTransaction();
        $database->exec('create temporary table kept as select * from charge_sessions where finished_at is not null');
        $database->exec('create temporary table shape as select * from readings where charge_session_id = (select charge_session_id from readings group by 1 order by count(*) desc limit 1)');
        $rest = $columns('charge_sessions', 'id', 'ulid', 'started_at', 'held');
        $database->exec($numbers($sessions).$into('charge_sessions', ['ulid', 'started_at', 'held', ...$rest])
            ."select printf('%026d', i), datetime((select min(started_at) from kept), printf('-%d hours', i)), ".self::READINGS_EACH.", {$of('kept', $rest)} from n join kept on kept.rowid = 1 + i % (select count(*) from kept)");
        $rest = $columns('readings', 'id', 'charge_session_id', 'client_id', 't_ms');
        $database->exec($numbers(self::READINGS_EACH).$into('readings', ['charge_session_id', 'client_id', 't_ms', ...$rest])
            ."select s.id, printf('%026d', i), i * 1000, {$of('shape', $rest)} from charge_sessions s, n join shape on shape.rowid = 1 + i % (select count(*) from shape) where s.ulid like '0000000000%'");
        $rest = $columns('session_facts', 'id', 'charge_session_id');
        $database->exec($into('session_facts', ['charge_session_id', ...$rest])
            ."select s.id, {$of('f', $rest)} from charge_sessions s, (select * from session_facts limit 1) f where s.ulid like '0000000000%'");
        $database->commit();
    }

    /** @return list<string> the first column of the answer */
    private static function column(\PDO $database, string $sql): array
    {
        $answer = $database->query($sql);

        return $answer === false ? [] : array_map(static fn (mixed $c): string => is_scalar($c) ? (string) $c : '', array_values($answer->fetchAll(\PDO::FETCH_COLUMN)));
    }
}
