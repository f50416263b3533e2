<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Garage\Role;
use App\Models\ChargeSession;
use App\Models\User;
use Illuminate\Http\Client\ConnectionException;
use Illuminate\Http\Client\Request;
use Illuminate\Support\Facades\Http;
use Illuminate\Support\Sleep;
use Tests\StartsFromSeed;
use Tests\TestCase;

/** The stand-in as a logger: it feeds a live session over the loggers' door. */
final class StandInTest extends TestCase
{
    use StartsFromSeed;

    private User $owner;

    private string $token;

    private string $session;

    /** @var list<int> readings in each request */
    private array $batches = [];

    protected function setUp(): void
    {
        parent::setUp();
        $this->owner = $this->person('ida', Role::Driver, $this->demoUser()->garage ?? throw new \LogicException);
        $this->token = (string) $this->actingAs($this->owner)->postJson('/api/tokens', ['name' => 'stand-in', 'days' => 1])->assertCreated()->json('token');
        $this->session = $this->inside($this->owner, static function (): string {
            $copy = ChargeSession::query()->firstOrFail()->replicate(['ulid', 'verdict', 'summary', 'finished_at']);
            $copy->save();

            return $copy->ulid;
        });
        Sleep::fake(syncWithCarbon: true);
        $this->travelTo(now());
    }

    /** Half of the answers are lost: the connection dies before the server hears, or after it has kept everything. */
    public function test_nothing_is_lost_or_stored_twice_while_the_connection_dies(): void
    {
        $this->connect(static fn (int $request): string => ['through', 'dies before', 'dies after', 'through'][$request % 4]);

        self::assertSame(0, $this->feed(['--speed' => '60', '--every' => '10']));
        $stored = $this->stored();
        self::assertGreaterThan(60, $stored);
        self::assertGreaterThan($stored, array_sum($this->batches), 'some were sent again');

        self::assertSame(0, $this->feed(['--speed' => '60', '--every' => '10']));
        self::assertSame($stored, $this->stored(), 'a second start adds nothing');
    }

    public function test_it_keeps_its_pace(): void
    {
        $this->connect(static fn (): string => 'through');
        $startedAt = now();
        self::assertSame(0, $this->feed(['--speed' => '20', '--every' => '1', '--fault' => 'emergency_stop@5']));

        // Five minutes at 20 times the clock are fifteen seconds, with 20 readings each.
        self::assertEqualsWithDelta(15, $startedAt->diffInSeconds(now()), 1.5);
        self::assertSame(301, $this->stored());
        self::assertSame(20, $this->batches[5]);
    }

    public function test_it_ends_with_the_session(): void
    {
        $this->connect(function (int $request): string {
            if ($request === 4) {
                $this->inside($this->owner, fn () => ChargeSession::query()->where('ulid', $this->session)->update(['finished_at' => now()]));
            }

            return 'through';
        });

        self::assertSame(0, $this->feed(['--speed' => '10']));
        self::assertLessThan(60, $this->stored());
    }

    public function test_wrong_options_are_named(): void
    {
        $this->connect(static fn (): string => 'through');
        foreach (['speed' => ['--speed' => '61'], 'seed' => ['--seed' => '-1'], 'fault' => ['--fault' => 'neighbour@9999'], 'token' => ['--token' => '1|wrong'], 'session' => ['--session' => '01J00000000000000000000000']] as $field => $options) {
            $this->artisan('harmozon:stand-in', ['--session' => $this->session, '--token' => $this->token, ...$options])->expectsOutputToContain("{$field}: ")->assertExitCode(2);
        }
        self::assertSame([], $this->batches);
    }

    /** @param  \Closure(int): string  $fate  of each request, from 0 */
    private function connect(\Closure $fate): void
    {
        Http::fake(function (Request $request) use ($fate) {
            $readings = $request->data()['readings'];
            $happens = $fate(count($this->batches));
            $this->batches[] = count($readings);
            if ($happens === 'dies before') {
                throw new ConnectionException('nobody answers');
            }
            $this->app->make('auth')->forgetGuards();
            $answer = $this->postJson((string) parse_url($request->url(), PHP_URL_PATH), ['readings' => $readings], ['Authorization' => $request->header('Authorization')[0]]);
            if ($happens === 'dies after') {
                throw new ConnectionException('the answer is lost');
            }

            return Http::response((string) $answer->getContent(), $answer->getStatusCode());
        });
    }

    /** @param  array<string, string>  $options */
    private function feed(array $options): int
    {
        return (int) $this->withoutMockingConsoleOutput()->artisan('harmozon:stand-in', ['--session' => $this->session, '--token' => $this->token, ...$options]);
    }

    private function stored(): int
    {
        return $this->inside($this->owner, fn (): int => ChargeSession::query()->where('ulid', $this->session)->firstOrFail()->readings()->count());
    }
}
