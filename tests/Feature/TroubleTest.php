<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Database\Trouble;
use Harmozon\Core\Words\Language;
use Harmozon\Core\Words\Voice;
use Illuminate\Database\QueryException;
use Illuminate\Database\SQLiteDatabaseDoesNotExistException;
use Illuminate\Encryption\MissingAppKeyException;
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
        yield 'busy' => [5, 'database is locked', 'Somebody else is writing', '2'];
        yield 'locked' => [6, 'database table is locked', 'Somebody else is writing', '2'];
        yield 'read-only' => [8, 'attempt to write a readonly database', 'cannot be written to', null];
        yield 'full' => [13, 'database or disk is full', 'The disk is full', null];
        yield 'broken' => [11, 'database disk image is malformed', 'is broken', null];
        yield 'not a database' => [26, 'file is not a database', 'is broken', null];
        yield 'not there' => [14, 'unable to open database file', 'cannot be opened', null];
        yield 'of another version' => [1, 'no such table: vehicles', 'not set up for this version', null];
    }

    public function test_a_fault_of_ours_is_no_trouble_of_theirs(): void
    {
        self::assertNull(Trouble::of(new \LogicException('ours')));
        $e = new \PDOException('syntax error');
        $e->errorInfo = ['HY000', 1, 'syntax error'];
        self::assertNull(Trouble::of($e));
    }

    public function test_what_is_not_there_is_named(): void
    {
        self::assertSame('app.trouble_no_database', Trouble::of(new SQLiteDatabaseDoesNotExistException('/nowhere'))?->cause->code);
        self::assertSame('app.trouble_no_key', Trouble::of(new \RuntimeException('', 0, new MissingAppKeyException))?->cause->code);
    }

    public function test_every_cause_is_said(): void
    {
        $voice = new Voice(Language::english()->with(require app_path('Words/en.php')));
        $e = new \PDOException('database is locked');
        $e->errorInfo = ['HY000', 5, ''];

        self::assertSame('Somebody else is writing just now. Nothing was written; try again in a moment.', $voice->say(Trouble::of($e)->cause ?? self::fail('no trouble')));
    }
}
