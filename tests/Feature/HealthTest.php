<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Health\Readiness;
use App\Imports\WorkerHeartbeat;
use App\Models\ChargeSession;
use App\Models\ReadingsImport;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\StartsFromSeed;
use Tests\TestCase;
use Tests\TlsSite;

/** What a monitor and whoever looks after the site are told. */
final class HealthTest extends TestCase
{
    use StartsFromSeed;

    protected function tearDown(): void
    {
        Carbon::setTestNow();
        parent::tearDown();
    }

    public function test_alive_is_told_without_a_database_and_ready_only_with_one(): void
    {
        $this->app->make(WorkerHeartbeat::class)->beat();
        self::assertSame(['database' => true, 'disk' => true, 'worker' => true, 'queue' => true], $this->checks(200));

        config(['database.connections.'.config('database.default').'.database' => '/nowhere/harmozon.sqlite']);
        DB::purge();
        $this->get('/up')->assertOk()->assertContent("up\n");
        // PostgreSQL's disk is another machine's.
        self::assertSame(['database' => false, 'disk' => config('database.default') === 'pgsql'], $this->checks(503));
    }

    public function test_a_worker_that_is_not_seen_and_a_file_that_waits_too_long_are_not_well(): void
    {
        self::assertFalse($this->checks(503)['worker'], 'never seen');
        $heartbeat = $this->app->make(WorkerHeartbeat::class);
        $heartbeat->beat();
        self::assertTrue($this->checks(200)['worker']);

        $session = $this->inside($this->demoUser(), static fn (): ChargeSession => ChargeSession::query()->firstOrFail());
        $import = ['charge_session_id' => $session->id, 'garage_id' => $session->garage_id, 'name' => 'long.csv', 'bytes' => 9, 'state' => 'waiting'];
        $waiting = $this->inside($this->demoUser(), static fn (): ReadingsImport => ReadingsImport::query()->create($import));
        DB::table('readings_imports')->where('id', $waiting->id)->update(['updated_at' => Carbon::now()->subSeconds(Readiness::LONGEST_WAIT_S - 10)]);
        self::assertTrue($this->checks(200)['queue']);
        DB::table('readings_imports')->where('id', $waiting->id)->update(['updated_at' => Carbon::now()->subSeconds(Readiness::LONGEST_WAIT_S + 10)]);
        self::assertFalse($this->checks(503)['queue']);

        // One that is at a large file does not look for others, and is at work all the same.
        DB::table('readings_imports')->where('id', $waiting->id)->update(['state' => 'running', 'updated_at' => Carbon::now()]);
        $this->app->make('cache')->forget('worker_seen_at');
        self::assertTrue($this->checks(200)['worker']);
    }

    public function test_a_step_of_the_database_that_is_missing_is_told(): void
    {
        DB::table('migrations')->orderByDesc('id')->limit(1)->delete();
        $told = $this->getJson('/ready')->assertStatus(503)->json('checks.0');

        self::assertSame(['database', false, '1 step of this version is missing. Run: php artisan migrate --force'], [$told['check'], $told['good'], $told['says']]);
    }

    public function test_figures_are_for_those_with_the_token_and_name_nobody(): void
    {
        $this->demoUser();
        $this->get('/metrics')->assertNotFound();
        config(['harmozon.metrics_token' => 'forty quiet herons']);
        $this->get('/metrics')->assertUnauthorized();
        $this->get('/metrics', ['Authorization' => 'Bearer forty loud herons'])->assertUnauthorized();
        $text = (string) $this->get('/metrics', ['Authorization' => 'Bearer forty quiet herons'])->assertOk()->getContent();

        self::assertStringEndsWith("# EOF\n", $text);
        preg_match_all('/^(harmozon_\w+) (\d+)$/m', $text, $found);
        $figures = array_combine($found[1], array_map(intval(...), $found[2]));
        self::assertSame([2, 2, 0], [$figures['harmozon_garages'], $figures['harmozon_accounts'], $figures['harmozon_imports_waiting']]);
        self::assertStringNotContainsStringIgnoringCase('lanternfish', $text);
        foreach (preg_split('/\n/', trim($text)) ?: [] as $line) {
            self::assertMatchesRegularExpression('/^(# (TYPE|HELP|EOF).*|harmozon_[a-z_]+ \d+)$/', $line);
        }
    }

    public function test_the_doctor_says_in_ten_lines_what_to_mend(): void
    {
        config(['app.debug' => true, 'app.url' => 'http://charge.example', 'harmozon.demo' => true, 'mail.default' => 'log']);
        self::assertSame(1, Artisan::call('harmozon:doctor'));
        $lines = explode("\n", trim(Artisan::output()));
        self::assertCount(11, $lines);
        foreach (['!! settings   APP_DEBUG is on', '!! address    http://charge.example is not https', '!! demo       is open', '!! mail       goes into the log', '!! backup     there is none', 'ok database'] as $start) {
            self::assertNotSame([], array_filter($lines, static fn (string $l): bool => str_starts_with($l, $start)), $start."\n".implode("\n", $lines));
        }

        config(['app.debug' => false, 'app.url' => 'https://127.0.0.1:1', 'session.secure' => true, 'harmozon.demo' => false, 'mail.default' => 'smtp']);
        Artisan::call('harmozon:doctor', ['--json' => true]);
        $told = array_column(json_decode(Artisan::output(), true), 'good', 'check');
        self::assertCount(10, $told);
        self::assertSame([true, true, true, true], [$told['settings'], $told['address'], $told['demo'], $told['mail']]);
    }

    #[TestWith([60, 20.5, 'ok address    https://127.0.0.1:%d, over TLS, with a certificate for another 39 days'])]
    #[TestWith([60, 50.5, '!! address    the certificate of https://127.0.0.1:%d expires in 9 days. Renew it'])]
    #[TestWith([60, 59.5, '!! address    the certificate of https://127.0.0.1:%d expires within a day. Renew it'])]
    #[TestWith([60, 60.5, '!! address    the certificate of https://127.0.0.1:%d has expired'])]
    #[TestWith([6, 3.5, 'ok address    https://127.0.0.1:%d, over TLS, with a certificate for another 2 days'])]
    #[TestWith([6, 4.5, '!! address    the certificate of https://127.0.0.1:%d expires in 1 day. Renew it'])]
    public function test_the_doctor_looks_at_the_certificate_that_is_shown(int $days, float $later, string $says): void
    {
        $site = TlsSite::withCertificateFor($days);
        config(['app.url' => 'https://127.0.0.1:'.$site->port, 'session.secure' => true]);
        Carbon::setTestNow(Carbon::now()->addHours((int) ($later * 24)));
        Artisan::call('harmozon:doctor');

        self::assertStringContainsString("\n".sprintf($says, $site->port), "\n".Artisan::output());
    }

    public function test_every_answer_has_an_id_that_stands_in_the_log_and_the_log_has_nobodys_values(): void
    {
        $path = storage_path('logs/told-'.bin2hex(random_bytes(6)).'.log');
        config(['logging.default' => 'daily', 'logging.channels.files' => [...(array) config('logging.channels.files'), 'driver' => 'single', 'path' => $path]]);
        Route::get('/api/fails', static fn () => DB::select('select * from nowhere where email = ?', ['ida@wren.example']));
        $answer = $this->get('/api/fails');

        $answer->assertServerError();
        $line = json_decode((string) strtok((string) file_get_contents($path), "\n"), true);
        unlink($path);
        self::assertMatchesRegularExpression('/^[0-9A-Z]{26}$/i', (string) $answer->headers->get('X-Request-Id'));
        self::assertSame($answer->headers->get('X-Request-Id'), $line['context']['request'] ?? $line['extra']['request'] ?? null);
        self::assertStringContainsString('in: select * from nowhere where email = ?', $line['context']['exception']['message']);
        self::assertStringNotContainsString('ida@', (string) json_encode($line));
        $given = str_repeat('0f', 16);
        self::assertSame($given, $this->withServerVariables(['REQUEST_ID' => $given])->get('/up')->headers->get('X-Request-Id'), 'the one of the web server');
        self::assertNotSame('<b>', $this->withServerVariables(['REQUEST_ID' => '<b>'])->get('/up')->headers->get('X-Request-Id'));
        self::assertNotSame($this->get('/sign-in')->headers->get('X-Request-Id'), $this->get('/sign-in')->headers->get('X-Request-Id'));
    }

    /** @return array<string, bool> by check */
    private function checks(int $status): array
    {
        return array_column($this->getJson('/ready')->assertStatus($status)->json('checks'), 'good', 'check');
    }
}
