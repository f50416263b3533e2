<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Backup\DatabaseCopy;
use Illuminate\Database\Connection;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\Group;
use Tests\Seed;
use Tests\StartsFromSeed;
use Tests\TestCase;

/** Everything of one database comes into another: beside SQLite from file to file, beside PostgreSQL from one kind to the other and back. */
final class MoveDatabaseTest extends TestCase
{
    use StartsFromSeed;

    private string $file;

    protected function setUp(): void
    {
        parent::setUp();
        $this->startFrom(Seed::Demo);
        DB::rollBack();
        $this->file = sys_get_temp_dir().'/harmozon-move-'.bin2hex(random_bytes(6)).'.sqlite';
    }

    protected function tearDown(): void
    {
        DB::beginTransaction();
        DB::purge('target');
        array_map(unlink(...), glob($this->file.'*') ?: []);
        parent::tearDown();
    }

    public function test_every_row_arrives_as_it_left_and_no_number_is_given_twice(): void
    {
        $told = $this->move();

        self::assertSame(0, $told['status'], $told['output']);
        $rows = array_column($told['answer']['tables'], 'rows', 'table');
        self::assertSame([2, 35], [$rows['garages'], $rows['charge_sessions']]);
        self::assertSame(DB::table('readings')->count(), $rows['readings']);
        self::assertSame('600', decoct(fileperms($this->file) & 0777));
        $there = $this->there();
        self::assertGreaterThan(DB::table('readings')->max('id'), $there->table('readings')->insertGetId(['garage_id' => 1, 'charge_session_id' => 1, 'client_id' => str_repeat('0', 26), 't_ms' => 1]));
        $spec = static fn (Connection $of): mixed => $of->table('vehicles')->orderBy('id')->value('spec');
        self::assertSame($spec(DB::connection()), $spec($there));
    }

    public function test_what_was_interrupted_goes_on_and_what_has_changed_since_comes_anew(): void
    {
        $this->move();
        $there = $this->there();
        $sum = $this->move('--go-on')['answer']['tables'];
        $there->table('readings')->where('id', '>', 300)->delete();
        $there->table('session_adapters')->delete();
        self::assertSame($sum, $this->move('--go-on')['answer']['tables'], 'the rest of them');

        $there->table('garages')->limit(1)->update(['name' => 'Changed meanwhile']);
        self::assertSame($sum, $this->move('--go-on')['answer']['tables']);
        self::assertSame(0, $there->table('garages')->where('name', 'Changed meanwhile')->count());
    }

    public function test_what_holds_data_is_left_alone(): void
    {
        $this->move();
        $this->there()->table('garages')->limit(1)->update(['name' => 'Somebody else']);

        $again = $this->move();
        self::assertSame(2, $again['status']);
        self::assertStringContainsString('holds data already', $again['output']);
        self::assertSame(1, $this->there()->table('garages')->where('name', 'Somebody else')->count());
    }

    public function test_a_target_that_is_none_is_named(): void
    {
        foreach ([
            [['--to' => 'mysql'], 'to: Must be pgsql or sqlite'],
            [['--to' => 'sqlite'], 'database: Name the database'],
            [['--to' => 'sqlite', '--database' => '/nowhere/at/all.sqlite'], 'database: can\'t be opened'],
            [['--to' => DB::getDriverName(), '--database' => DB::getDatabaseName()], 'database: That is the database'],
            [['--to' => 'pgsql', '--database' => 'x', '--host' => '/nowhere'], 'database: can\'t be opened'],
        ] as [$options, $says]) {
            self::assertSame(2, Artisan::call('harmozon:move-database', $options));
            self::assertStringContainsString($says, Artisan::output());
            DB::purge('target');
        }
    }

    #[Group('postgres')]
    public function test_a_backup_is_a_file_that_comes_back_while_others_are_connected(): void
    {
        $copy = $this->app->make(DatabaseCopy::class);
        $sum = $this->move()['answer']['tables'];
        unlink($this->file);
        $copy->writeTo($this->file);
        self::assertTrue($copy->isWhole($this->file));
        DB::table('readings')->delete();
        DB::table('garages')->update(['name' => 'Changed']);
        $id = DB::table('garages')->insertGetId(['ulid' => str_repeat('0', 26), 'name' => 'Later']);

        $copy->takeFrom($this->file);
        self::assertSame([2, 0], [DB::table('garages')->count(), DB::table('garages')->where('name', 'Changed')->count()]);
        array_map(unlink(...), glob($this->file.'*') ?: []);
        self::assertSame($sum, $this->move()['answer']['tables']);
        self::assertGreaterThan(0, $id);

        file_put_contents($this->file.'-none', 'no database');
        self::assertFalse($copy->isWhole($this->file.'-none'));
    }

    #[Group('postgres')]
    public function test_it_comes_back_from_the_file_as_it_was(): void
    {
        $sums = $this->move()['answer']['tables'];
        $name = 'back_'.bin2hex(random_bytes(4));
        DB::statement("create database {$name}");
        try {
            $back = $this->artisanOn(['DB_CONNECTION' => 'sqlite', 'DB_DATABASE' => $this->file], ['--to=pgsql', "--database={$name}", '--host='.getenv('DB_HOST'), '--json']);
            self::assertSame($sums, json_decode($back, true)['tables'] ?? $back);
        } finally {
            DB::statement("drop database {$name} with (force)");
        }
    }

    /** @return array{status: int, output: string, answer: array<string, mixed>} */
    private function move(string ...$options): array
    {
        DB::purge('target');
        $status = Artisan::call('harmozon:move-database', ['--to' => 'sqlite', '--database' => $this->file, '--json' => true, ...array_fill_keys($options, true)]);
        $output = Artisan::output();

        return ['status' => $status, 'output' => $output, 'answer' => json_decode($output, true) ?? []];
    }

    private function there(): Connection
    {
        return DB::connection('target');
    }

    /**
     * @param  array<string, string>  $environment
     * @param  list<string>  $options
     */
    private function artisanOn(array $environment, array $options): string
    {
        $process = new \Symfony\Component\Process\Process([PHP_BINARY, 'artisan', 'harmozon:move-database', ...$options], base_path(), $environment);
        $process->run();

        return $process->getOutput().$process->getErrorOutput();
    }
}
