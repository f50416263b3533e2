<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Database\Counters;
use App\Database\SetupProblem;
use App\Models\ChargeSession;
use App\Models\ReadingsImport;
use Harmozon\Core\Words\Language;
use Harmozon\Core\Words\Voice;
use Illuminate\Database\QueryException;
use Illuminate\Database\SQLiteDatabaseDoesNotExistException;
use Illuminate\Encryption\MissingAppKeyException;
use Illuminate\Filesystem\Filesystem;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\StartsFromSeed;
use Tests\TestCase;

/** What keeps the application from working is told in one plain answer, and nothing is half-written. */
final class TroubleTest extends TestCase
{
    use StartsFromSeed;

    #[DataProvider('causes')]
    public function test_a_cause_is_named_for_whoever_runs_this(int $code, string $message, string $told, ?string $retryAfter): void
    {
        Route::get('/api/broken', static function () use ($code, $message): never {
            $e = new \PDOException($message);
            $e->errorInfo = ['HY000', $code, $message];
            throw new QueryException('sqlite', 'select 1', [], $e);
        });
        $response = $this->getJson('/api/broken')->assertStatus(503)->assertHeader('Cache-Control', 'no-store, private')->assertHeader('X-Frame-Options', 'DENY');

        self::assertStringContainsString($told, $response->json('message'));
        self::assertSame($retryAfter, $response->headers->get('Retry-After'));
    }

    /** @return iterable<string, array{int, string, string, string|null}> */
    public static function causes(): iterable
    {
        yield 'busy' => [5, 'database is locked', 'Somebody else is saving', '2'];
        yield 'locked' => [6, 'database table is locked', 'Somebody else is saving', '2'];
        yield 'read-only' => [8, 'attempt to write a readonly database', 'is read-only', null];
        yield 'full' => [13, 'database or disk is full', 'The disk is full', null];
        yield 'broken' => [11, 'database disk image is malformed', 'is broken', null];
        yield 'not a database' => [26, 'file is not a database', 'is broken', null];
        yield 'not there' => [14, 'unable to open database file', "can't be opened", null];
        yield 'of another version' => [1, 'no such table: vehicles', "isn't set up for this version", null];
    }

    public function test_a_log_that_cannot_be_written_hides_no_cause_and_stops_nothing(): void
    {
        config(['logging.default' => 'daily', 'logging.channels.files.path' => '/dev/full/laravel.log']);
        Route::get('/api/broken', static fn () => throw self::busy());
        Route::get('/api/ours', static fn () => throw new \LogicException('ours'));
        $this->getJson('/api/broken')->assertStatus(503)->assertJsonPath('code', 'app.trouble_busy');
        $this->getJson('/api/ours')->assertStatus(500);
    }

    public function test_a_folder_for_files_that_cannot_be_written_is_named_and_nothing_is_left(): void
    {
        $house = sys_get_temp_dir().'/harmozon-unwritable-'.bin2hex(random_bytes(6));
        mkdir($house);
        touch("{$house}/app");
        foreach (['framework/views', 'framework/cache', 'logs'] as $folder) {
            mkdir("{$house}/{$folder}", recursive: true);
        }
        $person = $this->demoUser();
        $session = $this->inside($person, static fn (): string => ChargeSession::query()->firstOrFail()->ulid);
        $this->app->useStoragePath($house);
        $this->actingAs($person)->postJson("/api/sessions/{$session}/imports", ['name' => 'a.csv', 'bytes' => 10])->assertStatus(503)->assertJsonPath('code', 'app.trouble_unwritable');
        self::assertSame(0, ReadingsImport::query()->withoutGlobalScopes()->count());
        (new Filesystem)->deleteDirectory($house);
    }

    public function test_counters_that_are_broken_are_told_apart_from_the_database(): void
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'counters');
        file_put_contents($file, str_repeat('garbage ', 200));
        config(['database.connections.counters' => ['driver' => 'sqlite', 'database' => $file, 'prefix' => ''], 'cache.stores.counters' => ['driver' => 'counters'], 'cache.limiter' => 'counters']);
        DB::purge('counters');
        try {
            Counters::store()->increment('x');
            self::fail('it is broken');
        } catch (QueryException $e) {
            self::assertSame('app.trouble_counters', SetupProblem::of($e)?->cause->code);
        } finally {
            DB::purge('counters');
            unlink($file);
        }
    }

    private static function busy(): QueryException
    {
        $e = new \PDOException('database is locked');
        $e->errorInfo = ['HY000', 5, 'database is locked'];

        return new QueryException('sqlite', 'select 1', [], $e);
    }

    public function test_a_fault_of_ours_is_no_trouble_of_theirs(): void
    {
        self::assertNull(SetupProblem::of(new \LogicException('ours')));
        $e = new \PDOException('syntax error');
        $e->errorInfo = ['HY000', 1, 'syntax error'];
        self::assertNull(SetupProblem::of($e));
    }

    public function test_what_is_not_there_is_named(): void
    {
        self::assertSame('app.trouble_no_database', SetupProblem::of(new SQLiteDatabaseDoesNotExistException('/nowhere'))?->cause->code);
        self::assertSame('app.trouble_no_key', SetupProblem::of(new \RuntimeException('', 0, new MissingAppKeyException))?->cause->code);
    }

    public function test_every_cause_is_said(): void
    {
        $voice = new Voice(Language::english()->with(require app_path('Words/en.php')));

        self::assertSame('Somebody else is saving something right now. Nothing was saved. Try again in a moment.', $voice->say(SetupProblem::of(self::busy())->cause ?? self::fail('no trouble')));
    }
}
