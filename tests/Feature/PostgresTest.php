<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Database\Counters;
use App\Database\DeferrableWrite;
use App\Database\Dialect;
use App\Database\SetupProblem;
use App\Garage\CurrentGarage;
use App\Models\Garage;
use App\Models\Photo;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Group;
use Symfony\Component\Process\Process;
use Tests\StartsFromSeed;
use Tests\TestCase;

/** What PostgreSQL does otherwise than SQLite, and what people would notice of it. Run by tests/postgres.sh. */
#[Group('postgres')]
final class PostgresTest extends TestCase
{
    use StartsFromSeed;

    public function test_those_who_write_in_one_garage_wait_for_each_other_and_garages_do_not(): void
    {
        DB::rollBack();
        $other = $this->anotherServer();
        $other->exec('begin; select pg_advisory_xact_lock(1, 7)');
        DB::select("select set_config('lock_timeout', '20', false)");
        $garage = $this->app->make(CurrentGarage::class);
        $write = static fn (): array => DB::transaction(static fn (): array => DB::select('select 1'));
        try {
            self::assertCount(1, $garage->open(8, $write));
            self::assertCount(1, $write(), 'of nobody');
            $garage->open(7, $write);
            self::fail('somebody else writes there');
        } catch (QueryException|\PDOException $e) {
            self::assertSame(['app.trouble_busy', 2], [SetupProblem::of($e)?->cause->code, SetupProblem::of($e)?->retryAfterS]);
        }
        self::assertSame(0, DB::transactionLevel());
        self::assertFalse($garage->open(7, static fn (): bool => DeferrableWrite::write($write)), 'it is left out, and nobody waits');
        self::assertSame('5s', DB::scalar('show lock_timeout'));
        $other->exec('commit');
        self::assertTrue($garage->open(7, static fn (): bool => DeferrableWrite::write($write)));
        DB::beginTransaction();
    }

    public function test_a_server_keeps_its_connections_but_nothing_that_a_request_left_in_them(): void
    {
        $asked = stream_socket_server('tcp://127.0.0.1:0');
        $address = (string) stream_socket_get_name($asked, false);
        fclose($asked);
        $server = new Process([PHP_BINARY, '-q', '-S', $address, base_path('tests/KeptConnections.php')], env: ['DB_DATABASE' => config()->string('database.connections.pgsql.database')]);
        $server->start();
        $server->waitUntil(static fn (string $type, string $said): bool => str_contains($said, 'started'));
        $ask = static fn (): array => json_decode((string) file_get_contents("http://{$address}/"), true);
        [$first, $then] = [$ask(), $ask()];
        $server->stop(0);

        self::assertSame($first['pgsql']['process'], $then['pgsql']['process']);
        self::assertSame($first['counters']['process'], $then['counters']['process']);
        self::assertNotSame($first['pgsql']['process'], $first['counters']['process'], 'counts are written beside a transaction');
        self::assertSame([$first['pgsql']['commits'], true], [$then['pgsql']['commits'], $then['pgsql']['is_free']]);
        self::assertNotSame('local', $then['counters']['commits']);
    }

    public function test_who_belongs_to_what_is_changed_by_one_at_a_time(): void
    {
        $other = $this->anotherServer();
        $other->exec('begin; select pg_advisory_xact_lock(2, 0)');
        DB::select("select set_config('lock_timeout', '20', true)");
        try {
            Dialect::ofConnection()->peoplesTurn();
            self::fail('another server is at it');
        } catch (QueryException $e) {
            self::assertSame('app.trouble_busy', SetupProblem::of($e)?->cause->code);
        }
    }

    /** @return iterable<string, array{string, string|null}> */
    public static function states(): iterable
    {
        yield 'serialization failure' => ['40001', 'app.trouble_busy'];
        yield 'read-only transaction' => ['25006', 'app.trouble_read_only'];
        yield 'disk full' => ['53100', 'app.trouble_full'];
        yield 'data corrupted' => ['XX001', 'app.trouble_broken'];
        yield 'connection failure' => ['08006', 'app.trouble_no_database'];
        yield 'shutting down' => ['57P01', 'app.trouble_no_database'];
        yield 'undefined table' => ['42P01', 'app.trouble_not_set_up'];
        yield 'syntax error' => ['42601', null];
    }

    #[DataProvider('states')]
    public function test_a_cause_is_named(string $state, ?string $code): void
    {
        $e = new \PDOException('as the server said it');
        $e->errorInfo = [$state, 7, 'as the server said it'];

        self::assertSame($code, SetupProblem::of(new QueryException('pgsql', 'select 1', [], $e))?->cause->code);
    }

    public function test_a_server_that_does_not_answer_is_told_as_such(): void
    {
        config(['database.connections.pgsql.host' => '/nowhere']);
        DB::purge();
        $this->getJson('/ready')->assertStatus(503);
        $this->getJson('/api/me')->assertStatus(503)->assertJsonPath('code', 'app.trouble_no_database');
        try {
            DB::select('select 1');
            self::fail('nobody is there');
        } catch (QueryException $e) {
            self::assertSame('app.trouble_no_database', SetupProblem::of($e)?->cause->code);
        }
    }

    public function test_servers_count_together_and_a_hurried_write_is_a_write(): void
    {
        config(['database.connections.counters' => config('database.connections.pgsql')]);
        config(['database.connections.counters.one_writer_a_garage' => false]);
        DB::purge('counters');
        $store = Counters::store();
        $store->add('n', 0, 600);
        $store->increment('n');
        self::assertSame(1, (int) Counters::store()->get('n'));
        DB::purge('counters');

        DB::rollBack();
        Dialect::ofConnection()->hurriedly(static fn () => self::assertSame('off', DB::scalar('show synchronous_commit')));
        self::assertNotSame('', DB::scalar('show synchronous_commit'));
        self::assertGreaterThan(1_000_000, Dialect::ofConnection()->sizeBytes());
        DB::beginTransaction();
    }

    public function test_bytes_come_back_as_they_were(): void
    {
        $bytes = implode('', array_map(chr(...), range(0, 255)));
        $garage = Garage::query()->create(['name' => 'A garage']);
        $kept = $this->app->make(CurrentGarage::class)->open($garage->id, static fn (): Photo => Photo::query()->create(['kind' => 'vehicles', 'piece' => 'x', 'name' => 'x', 'width' => 1, 'height' => 1, 'bytes' => $bytes]));

        self::assertSame($bytes, $kept->bytes);
        self::assertSame($bytes, Photo::query()->withoutGlobalScopes()->findOrFail($kept->id)->bytes);
    }

    private function anotherServer(): \PDO
    {
        $of = (array) config('database.connections.pgsql');

        return new \PDO("pgsql:host={$of['host']};port={$of['port']};dbname={$of['database']}", $of['username']);
    }
}
