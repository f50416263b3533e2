<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Group;
use Symfony\Component\Process\Process;
use Tests\TestCase;

/** What earlier releases left, opened by this one: tests/releases holds a database of the first, of one from the middle and of the last. */
#[Group('sqlite')]
final class UpgradeTest extends TestCase
{
    /** What a person asks for again without noticing: who was where, and what is worked out from the rest. */
    private const MADE_ANEW = ['migrations', 'judge_memories', 'arriving_readings'];

    private string $path;

    protected function tearDown(): void
    {
        DB::disconnect('sqlite');
        parent::tearDown();
        array_map(unlink(...), glob($this->path.'*') ?: []);
    }

    /** @return array<string, array{string, int, int}> sessions and readings */
    public static function releases(): array
    {
        return ['first' => ['first', 3, 91], 'middle' => ['middle', 3, 91], 'last' => ['last', 3, 112]];
    }

    #[DataProvider('releases')]
    public function test_nothing_is_lost_on_the_way_here(string $release, int $sessions, int $readings): void
    {
        $before = $this->rows($this->open($release));
        $this->artisan('migrate', ['--force' => true])->assertSuccessful();
        $after = $this->rows($this->path);

        self::assertCount($readings, $before['readings']);
        foreach (array_diff_key($before, array_flip(self::MADE_ANEW)) as $table => $rows) {
            self::assertArrayHasKey($table, $after);
            self::assertCount(count($rows), $after[$table], $table);
            foreach ($rows as $id => $row) {
                $kept = array_intersect_key($row, $after[$table][$id] ?? []);
                self::assertSame($kept, array_intersect_key($after[$table][$id] ?? [], $kept), "{$table} {$id}");
            }
        }

        $this->postJson('/api/sign-in', ['email' => 'marionette@lanternfish.example', 'password' => 'dovetail-and-shim'])->assertOk()->assertJsonPath('role', 'keeper');
        $garage = $this->getJson('/api/garage')->assertOk()->json();
        self::assertSame([count($before['vehicles']), count($before['outlets'])], [count($garage['vehicles']), array_sum(array_map(static fn (array $place): int => count($place['outlets']), $garage['places']))]);
        $this->getJson('/api/board?show=places')->assertOk();
        $log = $this->getJson('/api/sessions')->assertOk()->json('sessions');
        self::assertCount($sessions, $log);
        $found = 0;
        foreach ($log as $session) {
            $this->getJson("/api/sessions/{$session['id']}")->assertOk()->assertJsonPath('judgement.verdict', $session['verdict']);
            $found += count($this->getJson("/api/sessions/{$session['id']}/readings")->assertOk()->json('readings'));
        }
        self::assertSame($readings, $found);
        $this->get('/api/garage/export')->assertOk();
    }

    #[DataProvider('releases')]
    public function test_another_browser_is_signed_out(string $release): void
    {
        $this->open($release);
        $this->artisan('migrate', ['--force' => true])->assertSuccessful();
        if ($release === 'first') {
            // Its browsers were known by files, which nobody can look through: they sign in once more.
            DB::table('sessions')->insert(['id' => str_repeat('k', 40), 'user_id' => 1, 'ip_address' => '127.0.0.1', 'user_agent' => 'a phone', 'payload' => '', 'last_activity' => now()->timestamp]);
        }
        $this->postJson('/api/sign-in', ['email' => 'marionette@lanternfish.example', 'password' => 'dovetail-and-shim'])->assertOk();
        $devices = $this->getJson('/api/me/devices')->assertOk()->json('devices');
        $phone = array_values(array_filter($devices, static fn (array $device): bool => $device['agent'] === 'a phone'));
        self::assertCount(1, $phone);

        $this->deleteJson("/api/me/devices/{$phone[0]['id']}")->assertSuccessful();
        self::assertNotContains('a phone', array_column($this->getJson('/api/me/devices')->json('devices'), 'agent'));
    }

    public function test_settings_of_the_first_release_are_brought_up_to_date_once(): void
    {
        $this->path = sys_get_temp_dir().'/harmozon-settings-'.bin2hex(random_bytes(6));
        file_put_contents($this->path, "APP_ENV=production\nAPP_KEY=base64:AAAA\nAPP_URL=https://charge.wren.example\n# mine\nHARMOZON_DEMO=true\nLOG_CHANNEL=single\nSESSION_DRIVER=file\nMAIL_MAILER=smtp\n");
        $said = $this->settings();
        $now = (string) file_get_contents($this->path);

        foreach (['SESSION_DRIVER is database now, was file', 'LOG_CHANNEL is daily now, was single', 'LOG_DAILY_DAYS=14 was added', 'CACHE_STORE=file was added'] as $line) {
            self::assertStringContainsString($line, $said);
        }
        foreach (['APP_KEY=base64:AAAA', 'APP_URL=https://charge.wren.example', '# mine', 'HARMOZON_DEMO=true', 'SESSION_DRIVER=database', 'LOG_CHANNEL=daily', 'MAIL_MAILER=smtp', 'APP_DEBUG=false'] as $line) {
            self::assertMatchesRegularExpression('/^'.preg_quote($line, '/').'$/m', $now);
        }
        self::assertDoesNotMatchRegularExpression('/^(SESSION_DRIVER=file|LOG_CHANNEL=single|HARMOZON_DEMO=false)$/m', $now);
        self::assertSame('600', decoct(fileperms($this->path) & 0777));
        self::assertSame('', $this->settings(), 'there is nothing left to change');
        self::assertStringEqualsFile($this->path, $now);
    }

    private function settings(): string
    {
        return (new Process([PHP_BINARY, 'build/settings.php', $this->path, '.env.example'], base_path()))->mustRun()->getOutput();
    }

    /** A copy of that release's database, in place of today's. */
    private function open(string $release): string
    {
        $this->path = sys_get_temp_dir()."/harmozon-{$release}-".bin2hex(random_bytes(6)).'.sqlite';
        file_put_contents($this->path, gzdecode((string) file_get_contents(base_path("tests/releases/{$release}.sqlite.gz"))));
        config(['database.connections.sqlite.database' => $this->path, 'harmozon.demo' => true]);
        DB::purge('sqlite');

        return $this->path;
    }

    /** @return array<string, array<string, array<string, mixed>>> by table and by id */
    private function rows(string $path): array
    {
        $database = new \PDO("sqlite:{$path}", options: [\PDO::ATTR_DEFAULT_FETCH_MODE => \PDO::FETCH_ASSOC]);
        $tables = [];
        foreach ($database->query("select name from sqlite_master where type = 'table' and name not like 'sqlite_%'")->fetchAll(\PDO::FETCH_COLUMN) as $table) {
            foreach ($database->query("select rowid as row, * from {$table}") as $row) {
                $tables[$table][(string) ($row['id'] ?? $row['row'])] = array_diff_key($row, ['row' => true]);
            }
        }

        return $tables;
    }
}
