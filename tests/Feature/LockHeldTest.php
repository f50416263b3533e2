<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\ChargeSession;
use App\Models\Reading;
use Illuminate\Database\Events\TransactionCommitted;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\Str;
use PHPUnit\Framework\Attributes\Group;
use Tests\Seed;
use Tests\TestCase;

/** Somebody else holds the database's write lock, and holds it for long. */
#[Group('sqlite')]
final class LockHeldTest extends TestCase
{
    private string $path;

    private ?\PDO $holder = null;

    private string $session;

    protected function setUp(): void
    {
        parent::setUp();
        $this->path = sys_get_temp_dir().'/harmozon-held-'.bin2hex(random_bytes(6)).'.sqlite';
        Seed::Demo->writeTo($this->path);
        config(['database.connections.sqlite.database' => $this->path, 'session.driver' => 'database', 'harmozon.demo' => true]);
        DB::purge('sqlite');
        $this->postJson('/api/demo-sign-in')->assertOk();
        $garage = $this->getJson('/api/garage')->json();
        // One that is under way, and has so many readings that what they say is worth remembering.
        $this->session = $this->postJson('/api/sessions', ['vehicle' => $garage['vehicles'][1]['id'], 'outlet' => $garage['places'][2]['outlets'][2]['id'], 'adapters' => []])->assertCreated()->json('session.id');
        $this->postJson("/api/sessions/{$this->session}/readings", ['readings' => array_map(static fn (int $t): array => ['client_id' => (string) Str::ulid(), 't_s' => $t, 'volts' => 300, 'amps' => 200], range(1, 400))])->assertOk();
        DB::table('judge_memories')->delete();
        $this->travel(2)->minutes();
        $this->holder = new \PDO("sqlite:{$this->path}");
        $this->holder->exec('BEGIN IMMEDIATE');
    }

    protected function tearDown(): void
    {
        $this->holder = null;
        DB::disconnect('sqlite');
        parent::tearDown();
        array_map(unlink(...), glob($this->path.'*') ?: []);
    }

    public function test_whoever_looks_waits_for_nobody(): void
    {
        $waits = (int) config('database.connections.sqlite.busy_timeout');
        foreach (['me', 'garage', 'board', 'sessions', 'session-sums', "sessions/{$this->session}", 'trust', 'memory', 'put-aside', 'people', 'tokens', 'catalogue', "sessions/{$this->session}/report.pdf"] as $path) {
            $began = hrtime(true);
            $this->get("/api/{$path}")->assertOk();
            self::assertLessThan($waits / 2, (hrtime(true) - $began) / 1e6, "{$path} waits for the lock");
        }
    }

    public function test_whoever_writes_is_told_the_truth_and_to_come_again(): void
    {
        config(['database.connections.sqlite.busy_timeout' => 50]);
        DB::purge('sqlite');
        $reading = ['readings' => [['client_id' => (string) Str::ulid(), 't_s' => 500, 'volts' => 300, 'amps' => 200]]];
        $refused = $this->postJson("/api/sessions/{$this->session}/readings", $reading)->assertServiceUnavailable()->assertJsonPath('code', 'app.trouble_busy');
        self::assertNotNull($refused->headers->get('Retry-After'));
        self::assertSame(400, $this->held());

        $this->holder?->exec('ROLLBACK');
        $this->postJson("/api/sessions/{$this->session}/readings", $reading)->assertOk();
        self::assertSame(401, $this->held());
    }

    public function test_what_was_written_before_the_lock_was_taken_is_told(): void
    {
        config(['database.connections.sqlite.busy_timeout' => 50]);
        $this->holder?->exec('ROLLBACK');
        DB::purge('sqlite');
        $text = "t_s,volts,amps\n".implode("\n", array_map(static fn (int $t): string => "{$t},300,200", range(1000, 6999)));
        $file = $this->postJson("/api/sessions/{$this->session}/imports", ['name' => 'a.csv', 'bytes' => strlen($text)])->assertCreated()->json('id');
        $this->call('PUT', "/api/imports/{$file}/piece?from=0", server: ['HTTP_ACCEPT' => 'application/json', 'CONTENT_TYPE' => 'application/octet-stream'], content: $text)->assertOk();
        $this->postJson("/api/imports/{$file}/start")->assertOk()->assertJsonPath('added', 6000);
        DB::purge('sqlite');
        Event::listen(TransactionCommitted::class, fn () => $this->held() < 6400 ? $this->holder?->exec('BEGIN IMMEDIATE') : null);

        $this->deleteJson("/api/imports/{$file}")->assertServiceUnavailable()->assertJsonPath('code', 'app.trouble_busy_partly');
        self::assertSame(1400, $this->held());
        Event::forget(TransactionCommitted::class);
        $this->holder?->exec('ROLLBACK');
        $this->deleteJson("/api/imports/{$file}")->assertNoContent();
        self::assertSame(400, $this->held());
    }

    private function held(): int
    {
        return Reading::countOf(ChargeSession::query()->withoutGlobalScopes()->where('ulid', $this->session)->firstOrFail());
    }
}
