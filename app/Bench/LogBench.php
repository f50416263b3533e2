<?php

declare(strict_types=1);

namespace App\Bench;

use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;

/** Times the first page of a log of many sessions over HTTP: the demo's, copied with their readings. */
final class LogBench
{
    private const PAGE = 100;

    public const READINGS_EACH = 1_000;

    /** Copies finished sessions of the demo up to a number, each an hour earlier. */
    private const COPIES = <<<'SQL'
        create temporary table kept as select * from charge_sessions where finished_at is not null;
        create temporary table shape as select * from readings where charge_session_id = (select charge_session_id from readings group by 1 order by count(*) desc limit 1);
        with recursive n(i) as (select 1 union all select i + 1 from n where i < {sessions})
        insert into charge_sessions (ulid, started_at, held, {of_sessions})
        select printf('%026d', i), datetime((select min(started_at) from kept), printf('-%d hours', i)), {each}, {of_sessions}
        from n join kept on kept.rowid = 1 + i % (select count(*) from kept);
        with recursive n(i) as (select 0 union all select i + 1 from n where i < {others} - 1)
        insert into garages (ulid, {of_garages}) select printf('%026d', i), {of_garages} from n join garages on garages.id = (select min(id) from garages) where {others} > 0;
        update charge_sessions set garage_id = (select id from garages where ulid = printf('%026d', charge_sessions.id % {others})) where ulid like '0000000000%' and {others} > 0;
        create temporary table copies as select id as copy, garage_id as owner from charge_sessions where ulid like '0000000000%';
        with recursive n(i) as (select 1 union all select i + 1 from n where i < {each})
        insert into readings (charge_session_id, garage_id, client_id, t_ms, {of_readings})
        select copy, owner, printf('%026d', i), i * 1000, {of_readings} from copies, n join shape on shape.rowid = 1 + i % (select count(*) from shape);
        insert into session_facts (charge_session_id, garage_id, {of_facts}) select copy, owner, {of_facts} from copies, (select * from session_facts limit 1);
        SQL;

    public static function run(int $sessions, int $looks): Message
    {
        $garage = new ServedGarage;
        $database = $garage->database();
        self::fill($database, $sessions);
        $garage->get('/api/sessions?most='.self::PAGE);
        $page = Timing::of($looks, static fn (): string => $garage->get('/api/sessions?most='.self::PAGE));

        return Message::of(
            'bench.log', median: $page->medianMs(), p95: $page->p95Ms(), most: $page->mostMs(), rows: Amount::count(self::PAGE),
            sessions: Amount::count((int) self::column($database, 'select count(*) from charge_sessions')[0]),
            readings: Amount::count((int) self::column($database, 'select count(*) from readings')[0]),
        );
    }

    /** @param  int  $others  garages that the copies are spread over; 0: they belong to the demo's own */
    public static function fill(\PDO $database, int $sessions, int $others = 0): void
    {
        $columns = static fn (string $table, string ...$without): string => implode(', ', array_diff(self::column($database, 'select name from pragma_table_info(?)', $table), ['id', 'charge_session_id', ...$without]));
        $database->beginTransaction();
        $database->exec(strtr(self::COPIES, [
            '{sessions}' => (string) $sessions,
            '{each}' => (string) self::READINGS_EACH,
            '{others}' => (string) $others,
            '{of_garages}' => $columns('garages', 'ulid'),
            '{of_sessions}' => $columns('charge_sessions', 'ulid', 'started_at', 'held'),
            '{of_readings}' => $columns('readings', 'garage_id', 'client_id', 't_ms'),
            '{of_facts}' => $columns('session_facts', 'garage_id'),
        ]));
        $database->commit();
        // Nobody's site gets all of this in one go: what is left in the write-ahead log would be paid for by who asks first.
        $database->exec('pragma wal_checkpoint(truncate)');
    }

    /** @return list<string> the first column of the answer */
    private static function column(\PDO $database, string $sql, string ...$values): array
    {
        $answer = $database->prepare($sql);
        $answer->execute(array_values($values));

        return array_map(static fn (mixed $c): string => is_scalar($c) ? (string) $c : '', array_values($answer->fetchAll(\PDO::FETCH_COLUMN)));
    }
}
