<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Review;

use Harmozon\Core\Equipment\Curve;
use Harmozon\Core\Fit\Fitter;
use Harmozon\Core\Fit\GateName;
use Harmozon\Core\Fit\Result;
use Harmozon\Core\Forecast\Ranking;
use Harmozon\Core\Forecast\RankOrder;
use Harmozon\Core\Record\Event;
use Harmozon\Core\Record\EventCode;
use Harmozon\Core\Record\Judge;
use Harmozon\Core\Record\Reading;
use Harmozon\Core\Review\Memory\CarPace;
use Harmozon\Core\Review\Memory\Grades;
use Harmozon\Core\Review\Memory\HeatLeft;
use Harmozon\Core\Review\Memory\LearnedCurve;
use Harmozon\Core\Review\Memory\StallMemory;
use Harmozon\Core\Review\Memory\StallSigns;
use Harmozon\Core\Review\Memory\Visit;
use Harmozon\Core\Review\RecordedSession;
use Harmozon\Core\Tests\Cases;
use Harmozon\Core\Tests\Say;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What sessions leave behind: the memory of stalls, a car's learned curve, grades of our own forecasts. */
final class MemoryTest extends TestCase
{
    /** @return iterable<string, array{list<Visit>, float|null, string|null, int, list<string>}> best kW, last good day, failed starts of 90 days, trouble */
    public static function visits(): iterable
    {
        yield 'a good one' => [[self::visit('2026-11-01', kw: 140)], 140.0, '2026-11-01', 0, []];
        yield 'a failed start' => [[self::visit('2026-11-01', started: false, failed: 2)], 100.0, null, 2, ['2 starts failed here in the last 90 days, and no start has worked since.']];
        yield 'one that never started' => [[self::visit('2026-11-01', started: false, kw: null)], null, null, 1, ['1 start failed here in the last 90 days, and no start has worked since.']];
        yield 'lifted by a good one' => [[self::visit('2026-11-01', started: false, failed: 2), self::visit('2026-11-05')], 100.0, '2026-11-05', 2, []];
        yield 'not lifted by an earlier one' => [[self::visit('2026-11-01'), self::visit('2026-11-05', started: false, failed: 1)], 100.0, '2026-11-01', 1, ['1 start failed here in the last 90 days, and no start has worked since.']];
        yield 'derated' => [[self::visit('2026-11-01', kw: 140), self::visit('2026-11-05', kw: 50, derated: true)], 140.0, '2026-11-01', 0, ['Last time here it gave no more than 50 kW, less than its rating.']];
        yield 'derated and dead cooling, lifted by a good one' => [[self::visit('2026-11-01', kw: 50, derated: true), self::visit('2026-11-03', cooling: true), self::visit('2026-11-05', kw: 140)], 140.0, '2026-11-05', 0, []];
        yield 'dead cooling' => [[self::visit('2026-11-05', cooling: true)], 100.0, null, 0, ["Last time here the cable's cooling had failed."]];
        yield 'a chain that never charges' => [[new Visit('post', '', '2026-11-01', false, 2, null, isExpected: false)], null, null, 0, []];
        yield '90 days ago' => [[self::visit('2026-08-28', started: false, failed: 1)], 100.0, null, 1, ['1 start failed here in the last 90 days, and no start has worked since.']];
        yield '91 days ago' => [[self::visit('2026-08-27', started: false, failed: 1)], 100.0, null, 0, []];
    }

    /**
     * @param  list<Visit>  $visits
     * @param  list<string>  $trouble
     */
    #[DataProvider('visits')]
    public function test_a_stall(array $visits, ?float $bestKw, ?string $good, int $failed, array $trouble): void
    {
        $memory = StallMemory::of($visits, '2026-11-26');

        self::assertSame([$bestKw, $good, $failed, $trouble], [$memory->bestKw, $memory->lastGood, $memory->failedStarts, array_map(Say::it(...), $memory->trouble)]);
    }

    public function test_stalls_of_an_outlet_are_kept_apart(): void
    {
        $each = StallMemory::each([self::visit('2026-11-01', started: false, failed: 1, stall: '2'), self::visit('2026-11-05', stall: '3'), self::visit('2026-11-06', outlet: 'other')], '2026-11-26');

        self::assertSame(['post', 'other'], array_keys($each));
        self::assertSame(['2', '3'], array_map(static fn (StallMemory $m): string => $m->stall, $each['post']));
        self::assertSame(['1 start failed at stall 2 in the last 90 days, and no start has worked since.'], array_map(Say::it(...), StallMemory::remembered($each['post'])->trouble ?? []));
        self::assertNull(StallMemory::remembered($each['other']));
    }

    public function test_trouble_is_a_caution_of_gate_5_and_counts_as_risk(): void
    {
        $file = Cases::file();
        $remembered = StallMemory::remembered([StallMemory::of([self::visit('2026-11-01', started: false, failed: 1)], '2026-11-26')]);
        self::assertNotNull($remembered);
        $case = Cases::read($file)->remembering(['post' => $remembered]);
        $best = $case->fitter()->answer($case->outlet, $case->vehicle)->best;

        self::assertSame(Result::Caution, Cases::gate($best, GateName::Access)->result());
        self::assertSame('charges', $best->outcome->value);
        self::assertContains('1 start failed here in the last 90 days, and no start has worked since.', array_map(Say::it(...), $best->cautions()));
        $other = Cases::read(Cases::changed($file, ['outlet.id' => 'other']))->outlet;
        $ranking = Ranking::of([$case->outlet, $other], $case->vehicle, new Fitter([], $case->conditions, $case->policy));
        self::assertSame(['other', 'post'], array_map(static fn ($s): string => $s->outletId(), $ranking->by(RankOrder::Risk)));
    }

    public function test_trouble_does_not_hide_what_fails_or_is_not_read(): void
    {
        $remembered = StallMemory::remembered([StallMemory::of([self::visit('2026-11-01', started: false, failed: 1)], '2026-11-26')]);
        self::assertNotNull($remembered);
        foreach (['unknown' => ['kind' => null], 'fail' => ['kind' => 'makes', 'makes' => ['Nobody']]] as $result => $access) {
            $case = Cases::read(Cases::file(outlet: ['access' => $access]))->remembering(['post' => $remembered]);
            self::assertSame($result, Cases::gate($case->fitter()->answer($case->outlet, $case->vehicle)->best, GateName::Access)->result()->value);
        }
    }

    /** 300 A, 500 A for 15 minutes: τ is −15 / ln(1 − 0.6²) = 33.61 minutes, after which 1/e is left. */
    public function test_heat_that_a_session_has_left(): void
    {
        $adapter = Cases::read(Cases::file(adapters: [[]]))->adapters[0];

        self::assertEqualsWithDelta(exp(-1), HeatLeft::in($adapter, 1.0, 33.61), 1e-4);
        self::assertSame(0.5, HeatLeft::in($adapter, 0.5, -3.0), 'a clock that was set back cools nothing, and warms nothing');
        // 0.01 after 4.605 τ.
        self::assertNotNull(HeatLeft::in($adapter, 1.0, 154.0));
        self::assertNull(HeatLeft::in($adapter, 1.0, 155.5));
        self::assertNull(HeatLeft::in(Cases::read(Cases::file(adapters: [['plate.continuous_a' => null]]))->adapters[0], 1.0, 1.0));
    }

    public function test_a_visit_is_read_from_a_session(): void
    {
        [$visit] = Visit::each(self::recorded(60.0, 15), [new Event(EventCode::FailedStart, 1000)], '2026-11-01');

        self::assertEquals(new Visit('post', '', '2026-11-01', true, 1, 60.0, new StallSigns(derated: true)), $visit);
        self::assertEquals($visit, Visit::fromArray(json_decode((string) json_encode($visit->toArray()), true)));
    }

    /** Five rungs tried, and then current at stall 3: a good visit there. Stall 1 did not start. */
    public function test_what_was_tried_is_no_failed_start_and_each_stall_has_its_own(): void
    {
        $tried = array_map(static fn (string $rung, int $i): Event => new Event(EventCode::FailedStart, 1000 + $i, $rung), ['read_screens', 'join_again', 'adapter_apart', 'start_another_way', 'another_stall: 3'], range(0, 4));
        $here = static fn (Event ...$events): array => array_map(static fn (Visit $v): array => [$v->stall, $v->started, $v->failedStarts, $v->isGood(), $v->failures()], Visit::each(self::recorded(150.0, 15, stall: '1', startS: 10), array_values($events), '2026-11-01'));

        self::assertSame([['1', true, 0, true, 0]], $here(...array_slice($tried, 0, 4)));
        self::assertSame([['1', false, 0, false, 1], ['3', true, 0, true, 0]], $here(...$tried, ...[new Event(EventCode::StallChanged, 2000, '3'), new Event(EventCode::Plugged, 2001)]));
        // A start that failed at stall 3 itself is counted there, and lifted by what flowed in the end.
        self::assertSame([['1', false, 1, false, 1], ['3', true, 1, true, 1]], $here(new Event(EventCode::FailedStart, 1000, 'isolation'), new Event(EventCode::StallChanged, 2000, '3'), new Event(EventCode::FailedStart, 3000)));
        // Noted after the current had flowed at stall 1: nothing was done at stall 3.
        self::assertSame([['1', true, 0, true, 0], ['3', false, 0, false, 0]], $here(new Event(EventCode::StallChanged, 9_000_000, '3')));
    }

    public function test_a_visit_that_ends_with_current_lifts_what_failed_before(): void
    {
        $memory = StallMemory::of([self::visit('2026-11-01', started: false, failed: 1), self::visit('2026-11-02', failed: 2)], '2026-11-26');

        self::assertSame([3, '2026-11-02', []], [$memory->failedStarts, $memory->lastGood, $memory->trouble]);
    }

    /** Three sessions at 130, 140 and 145 kW where 150 are entered: the median is 140, between 130 and 145. */
    public function test_a_learned_curve(): void
    {
        $sessions = array_map(static fn (float $kw): CarPace => CarPace::of(self::recorded($kw, 10)), [145.0, 140.0, 139.0]);
        $learned = LearnedCurve::of($sessions);

        self::assertNull(LearnedCurve::of(array_slice($sessions, 0, 2)));
        self::assertSame(3, $learned?->sessions);
        foreach ($learned->points as $point) {
            self::assertEqualsWithDelta(140.0, $point['kw'], 0.5);
            self::assertEqualsWithDelta(139.0, $point['low'], 0.5);
            self::assertEqualsWithDelta(145.0, $point['high'], 0.5);
        }
        // What was read in the ramp teaches nothing: the first 5 % are not held in full.
        self::assertSame([17.5, 22.5], [$learned->points[0]['soc'], $learned->points[1]['soc']]);
    }

    public function test_where_something_else_set_the_pace_nothing_is_learned(): void
    {
        self::assertSame([], CarPace::of(self::recorded(90.0, 15, ['outlet.max_kw' => 90]))->kw);
        self::assertSame([], CarPace::of(self::recorded(60.0, 15))->kw);
    }

    /** Of four sessions three came as far as 25 %; two alone went on to 30 %. */
    public function test_a_bin_that_two_sessions_passed_teaches_nothing(): void
    {
        $pace = static fn (int ...$bins): CarPace => new CarPace(array_fill_keys($bins, 100.0));
        $learned = LearnedCurve::of([$pace(20), $pace(20, 25), $pace(20, 25, 30), $pace(20, 25, 30)]);

        self::assertSame([[22.5, 4], [27.5, 3]], array_map(static fn (array $p): array => [$p['soc'], $p['sessions']], $learned->points ?? []));
        self::assertSame(4, $learned?->sessions);
    }

    public function test_outside_what_was_learned_the_entered_curve_stays(): void
    {
        $learned = LearnedCurve::of(array_fill(0, 3, new CarPace([20 => 100.0, 25 => 90.0])));
        $curve = $learned?->over(Curve::through([[0, 150], [20, 150], [60, 120], [100, 10]]));

        self::assertEquals([[0.0, 22.5, 27.5, 60.0, 100.0], [150.0, 100.0, 90.0, 120.0, 10.0]], [$curve?->soc, $curve?->value]);
        self::assertSame([22.5, 27.5], $learned?->over(null)->soc);
    }

    /** @return iterable<string, array{list<float>, string}> minutes longer than forecast */
    public static function errors(): iterable
    {
        yield 'to both sides' => [[2.0, -2.0, 3.0, -3.0], 'grades.even'];
        yield 'always longer' => [[2.0, 3.0, 4.0], 'grades.too_quick'];
        yield 'always shorter' => [[-2.0, -3.0, -4.0], 'grades.too_slow'];
        yield 'two are too few for a lean' => [[2.0, 3.0], 'grades.even'];
        yield 'next to nothing' => [[0.3, 0.3, 0.3], 'grades.even'];
    }

    /** @param  list<float>  $errors */
    #[DataProvider('errors')]
    public function test_grades(array $errors, string $code): void
    {
        $grades = Grades::of(array_map(static fn (float $e): array => ['minutes' => 20.0, 'measured_minutes' => 20 + $e, 'mean_error_kw' => 4.0, 'bias_kw' => -1.0], $errors));

        self::assertSame($code, $grades?->message()->code);
        self::assertEqualsWithDelta(array_sum(array_map(abs(...), $errors)) / count($errors), $grades?->meanMinutes, 1e-9);
        self::assertNull(Grades::of([]));
    }

    public function test_grades_in_words(): void
    {
        self::assertSame('3 forecasts, off by 3 min and 4 kW on average. Charging has taken 3 min longer than forecast.', Say::it(Grades::of(array_map(static fn (float $e): array => ['minutes' => 20.0, 'measured_minutes' => 20 + $e, 'mean_error_kw' => 4.0, 'bias_kw' => -1.0], [2.0, 3.0, 4.0]))?->message() ?? throw new \LogicException));
    }

    private static function visit(string $day, ?float $kw = 100.0, int $failed = 0, bool $started = true, bool $derated = false, bool $cooling = false, string $stall = '', string $outlet = 'post'): Visit
    {
        return new Visit($outlet, $stall, $day, $started, $failed, $kw, new StallSigns($derated, $cooling));
    }

    /** @param  array<string, mixed>  $changes */
    private static function recorded(float $kw, float $minutes, array $changes = [], ?string $stall = null, int $startS = 0): RecordedSession
    {
        $case = Cases::read(Cases::file(case: $changes));
        $answer = $case->fitter()->answer($case->outlet, $case->vehicle)->best;
        $judge = new Judge($answer, $case->conditions);
        for ($tS = 0; $tS <= 60 * $minutes; $tS += 20) {
            $judge->add(new Reading(1000 * ($startS + $tS), 10 + $kw * $tS / 3600 * 0.95 / 60 * 100, 340, $kw * 1000 / 340, $kw));
        }

        return RecordedSession::of($answer, $case->conditions, $judge->judgement(), [], $stall);
    }
}
