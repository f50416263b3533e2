<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Equipment\FitQuestion;
use App\Models\ChargeSession;
use App\Models\Outlet;
use App\Models\Vehicle;
use App\Sessions\JudgeSnapshot;
use App\Sessions\ReadingRecorder;
use App\Sessions\SessionChain;
use App\Sessions\SessionRecorder;
use App\Sessions\SessionReport;
use App\Sessions\StoredSession;
use Harmozon\Core\Record\Judge;
use Harmozon\Core\Record\Reading;
use Harmozon\Core\Record\Trace;
use Harmozon\Core\Words\Refusal;
use Harmozon\Core\Words\WrongState;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Tests\StartsFromSeed;
use Tests\TestCase;

/** Taking, forgetting and finishing see one order, and what the judge remembers is what it would measure anew. */
final class OneOrderTest extends TestCase
{
    use StartsFromSeed;

    private SessionRecorder $sessions;

    private ReadingRecorder $book;

    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->demoUser());
        $this->sessions = $this->app->make(SessionRecorder::class);
        $this->book = $this->app->make(ReadingRecorder::class);
    }

    public function test_a_reading_acknowledged_while_a_session_is_finished_is_in_the_verdict(): void
    {
        $session = $this->begin();
        $this->book->take($session, self::readings(0, 5));
        $late = 0;
        DB::listen(function ($query) use ($session, &$late): void {
            // Somebody takes a reading the moment the first three verdicts are being worked out.
            if ($late < 3 && str_starts_with($query->sql, 'select * from "readings"')) {
                $late++;
                $this->book->take(ChargeSession::query()->findOrFail($session->id), self::readings(10 + $late, 1));
            }
        });
        $this->sessions->finish($session);

        self::assertSame(3, $late);
        self::assertSame(8, $session->refresh()->summary['readings'] ?? null);
        self::assertSame(8, $session->readings()->count());
        $this->expectException(WrongState::class);
        $this->book->take($session, self::readings(60, 1));
    }

    public function test_readings_taken_again_at_the_limit_are_no_error(): void
    {
        config(['harmozon.most_readings' => 5]);
        $session = $this->begin();
        $five = self::readings(0, 5);

        self::assertSame(5, $this->book->take($session, $five));
        self::assertSame(0, $this->book->take($session, $five));
        foreach ([self::readings(9, 1), [...array_slice($five, 0, 2, true), ...self::readings(9, 1)]] as $more) {
            try {
                $this->book->take($session, $more);
                self::fail('there was no room');
            } catch (Refusal $e) {
                self::assertSame('readings', $e->path);
            }
        }
        self::assertSame(5, $session->readings()->count());
    }

    public function test_what_is_remembered_is_what_would_be_measured_anew(): void
    {
        $session = $this->begin();
        $reports = $this->app->make(SessionReport::class);
        $steps = [
            fn () => $this->book->take($session, self::readings(0, 450)),
            fn () => $this->book->take($session, self::readings(450, 1)),
            fn () => $this->book->take($session, self::readings(451, 250)),
            // One that comes late, one that is taken back, and rows at a time that was had already.
            fn () => $this->book->take($session, ['01LATE' => new Reading(100_500, 30, 340, 490)]),
            fn () => $this->book->take($session, self::readings(701, 250)),
            fn () => $this->book->forget($session, '01LATE'),
            fn () => $this->book->take($session, ['01SAME' => new Reading(950_000, 30, 340, 495)]),
            fn () => $this->book->take($session, self::readings(951, 300)),
        ];
        foreach ($steps as $i => $step) {
            $step();
            $reports->full($session->refresh());
            $remembered = $reports->full($session->refresh());
            DB::table('judge_memories')->delete();
            self::assertEquals($reports->full($session), $remembered, "step {$i}");
        }
        self::assertSame(1, DB::table('judge_memories')->count());
    }

    /** Of two who judge at once the one that had read less may end last. */
    public function test_what_was_remembered_further_on_stays(): void
    {
        $session = $this->begin();
        $this->book->take($session, self::readings(0, 300));
        $early = ChargeSession::query()->findOrFail($session->id);
        $remembers = static fn (): int => (int) DB::table('judge_memories')->where('charge_session_id', $session->id)->value('last_ms');
        [$chain, $trace] = [SessionChain::of($early), new Trace];
        $judge = new Judge($chain->answer, $chain->conditions);
        $this->book->take($session, self::readings(300, 300));
        StoredSession::judged($session->refresh());
        self::assertSame(599_000, $remembers());

        JudgeSnapshot::keep($early, $judge, $trace, 299_000, 300);
        self::assertSame(599_000, $remembers());
        $this->book->take($session, ['01LATE' => new Reading(100_500, 30, 340, 490)]);
        JudgeSnapshot::keep($session->refresh(), $judge, $trace, 299_000, 300);
        self::assertSame(299_000, $remembers(), 'what no longer holds is not further on');
    }

    public function test_one_more_reading_reads_no_old_ones(): void
    {
        $session = $this->begin();
        $reports = $this->app->make(SessionReport::class);
        $this->book->take($session, self::readings(0, 1000));
        $reports->full($session->refresh());
        $this->book->take($session, self::readings(1000, 1));

        $asked = [];
        DB::listen(static function ($query) use (&$asked): void {
            if (str_starts_with($query->sql, 'select * from "readings"')) {
                $asked[] = $query->bindings;
            }
        });
        $reports->full($session->refresh());
        self::assertSame(999_000, $asked[0][1] ?? null);
    }

    private function begin(): ChargeSession
    {
        $question = FitQuestion::ask(
            Outlet::query()->where('name', 'Ostler, second generation')->firstOrFail()->ulid,
            Vehicle::query()->where('name', 'Brindle')->firstOrFail()->ulid,
            null, false, 'certified', [],
        );

        return $this->sessions->begin($question, Carbon::now());
    }

    /** @return array<string, Reading> one a second */
    private static function readings(int $fromS, int $count): array
    {
        $readings = [];
        for ($t = $fromS; $t < $fromS + $count; $t++) {
            $readings[(string) Str::ulid()] = new Reading($t * 1000, 10 + $t / 60, 300 + $t / 100, 300 + 100 * sin($t / 50), celsius: $t % 60 === 0 ? ['adapter' => 30 + $t / 100, 'ambient' => 20.0] : []);
        }

        return $readings;
    }
}
