<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Review;

use Eris\Generators;
use Eris\TestTrait;
use Harmozon\Core\Record\Event;
use Harmozon\Core\Record\EventCode;
use Harmozon\Core\Record\Judge;
use Harmozon\Core\Record\Reading;
use Harmozon\Core\Record\Verdict;
use Harmozon\Core\Review\RecordedSession;
use Harmozon\Core\Review\Trust\ProvenShare;
use Harmozon\Core\Review\Trust\Slope;
use Harmozon\Core\Review\Trust\Trust;
use Harmozon\Core\Review\Trust\Used;
use Harmozon\Core\Tests\Cases;
use Harmozon\Core\Tests\Say;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What the sessions of an adapter of 300 A (500 A for 15 minutes) say of it. */
final class TrustTest extends TestCase
{
    use TestTrait;

    /** Of 1, 2, 4, 3, 6, with ten slopes; Kendall's C is 1.645 · √(5·4·15/18) = 6.716. */
    public function test_a_slope_by_hand(): void
    {
        $slope = Slope::of([1.0, 2.0, 4.0, 3.0, 6.0]);
        // Pairs: 1, 3/2, 2/3, 5/4, 2, 1/2, 4/3, −1, 1, 3. Sorted: −1, 1/2, 2/3, 1, 1, 5/4, 4/3, 3/2, 2, 3.
        self::assertEqualsWithDelta((1 + 1.25) / 2, $slope?->perSession, 1e-12);
        // Ranks (10 − 6.716) / 2 = 1.642 and (10 + 6.716) / 2 + 1 = 9.358.
        self::assertEqualsWithDelta(-1 + 0.642 * 1.5, $slope?->low, 0.002);
        self::assertEqualsWithDelta(2 + 0.358, $slope?->high, 0.002);
    }

    /** The line 1 + 1.125 i (the median of 1, 0.875, 1.75, −0.375, 1.5 is 1) is at 3.25 in its middle, two sessions from both ends. */
    public function test_the_band_of_a_slope_by_hand(): void
    {
        $band = Slope::of([1.0, 2.0, 4.0, 3.0, 6.0])?->band(5);

        self::assertEqualsWithDelta([[3.25 - 2 * 2.358, 3.25 + 2 * 0.037], [3.25 - 2 * 0.037, 3.25 + 2 * 2.358]], $band, 0.005);
    }

    public function test_four_values_are_too_few(): void
    {
        self::assertNull(Slope::of([1.0, 2.0, 3.0, 4.0]));
        self::assertSame(['too_few', null], [self::trust([1, 2, 3, 4])->trend->warming->value, self::trust([1, 2, 3, 4])->trend->projectedRiseK]);
    }

    public function test_a_straight_line_is_told_exactly_and_one_outlier_does_not_move_it(): void
    {
        $this->limitTo(30)->forAll(Generators::choose(-20, 20), Generators::choose(5, 14), Generators::choose(0, 4))
            ->then(static function (int $tenths, int $n, int $outlier): void {
                $values = array_map(static fn (int $i): float => 3 + $i * $tenths / 10, range(0, $n - 1));
                $slope = Slope::of($values);
                self::assertEqualsWithDelta($tenths / 10, $slope?->perSession, 1e-9);
                self::assertEqualsWithDelta(3 + ($n + 4) * $tenths / 10, $slope?->after($n + 4), 1e-9);

                $values[$outlier] += 1000;
                self::assertEqualsWithDelta($tenths / 10, Slope::of([...$values, 3 + $n * $tenths / 10, 3 + ($n + 1) * $tenths / 10])?->perSession, 1e-9);
            });
    }

    /** @return iterable<string, array{list<float>, string}> indices, session by session */
    public static function indices(): iterable
    {
        yield 'as ever' => [[2.0, 2.1, 1.9, 2.0, 2.1, 1.95], 'steady'];
        // 2 K a session: in 20 sessions 12 + 40 K per (100 A)², at 300 A nine times as much.
        yield 'warming' => [[2.0, 4.0, 6.0, 8.0, 10.0, 12.0], 'warming'];
        // After 25 sessions 2 + 0.14 · 25 = 5.5, and at 300 A 49.5 K.
        yield 'rising, and not too warm in twenty sessions' => [[2.0, 2.14, 2.28, 2.42, 2.56, 2.70], 'rising'];
        yield 'rising, and too warm in twenty sessions' => [[2.0, 2.15, 2.30, 2.45, 2.60, 2.75], 'warming'];
        yield 'falling' => [[6.0, 5.0, 4.0, 3.0, 2.0], 'steady'];
        // Median 2, deviations 0.1, 0.1, 0, 0, x: median 0.1.
        yield 'suddenly warmer' => [[1.9, 2.1, 2.0, 2.0, 1.9, 2.5], 'sudden'];
        yield 'a little warmer' => [[1.9, 2.1, 1.8, 2.2, 2.0, 2.3], 'steady'];
        yield 'rounding of a steady one' => [[2.0, 2.0, 2.0, 2.0, 2.03], 'steady'];
    }

    /** @param  list<float>  $indices */
    #[DataProvider('indices')]
    public function test_how_warm_it_gets(array $indices, string $warming): void
    {
        self::assertSame($warming, self::trust($indices)->trend->warming->value);
    }

    public function test_what_is_proven_and_by_which_session(): void
    {
        $trust = self::of([self::used('a', continuous: 0.6, boost: 0.9), self::used('b', continuous: 0.84, boost: 0.7), self::used('c', continuous: 0.84)]);

        self::assertSame(['b', 0.84, 'a'], [$trust->provenBy->continuous?->session, $trust->provenBy->continuous?->proved->ofContinuous, $trust->provenBy->boost?->session]);
        self::assertNull(self::of([])->provenBy->continuous);
    }

    public function test_starts(): void
    {
        $trust = self::of([self::used('a', failed: 2, handshakeS: 30), self::used('b', handshakeS: 90), self::used('c', failed: 1, handshakeS: 40)]);

        self::assertSame([3, 40.0], [$trust->failedStarts(), $trust->medianHandshakeS()]);
        self::assertNull(self::of([self::used('a')])->medianHandshakeS());
    }

    /** @return iterable<string, array{list<Used>, array<string, mixed>, string, string|null, int|null}> what was used, its plate, the reason, by when, after how many */
    public static function nextTests(): iterable
    {
        $tested = self::used('a', index: 2.0, day: '2026-01-10');
        $plain = static fn (int $n): array => array_map(static fn (int $i): Used => self::used("s{$i}", day: '2026-02-01'), range(1, $n));
        yield 'a new one' => [[], [], 'next_test.before_first_journey', null, null];
        yield 'never tested' => [$plain(2), [], 'next_test.never_tested', null, null];
        yield 'tested' => [[$tested], [], 'next_test.later', '2027-01-10', 50];
        yield 'tested, and used' => [[$tested, ...$plain(49)], [], 'next_test.later', '2027-01-10', 1];
        yield 'used fifty times since' => [[$tested, ...$plain(50)], [], 'next_test.sessions', null, null];
        yield 'twelve months ago' => [[self::used('a', index: 2.0, day: '2025-11-26')], [], 'next_test.months', null, null];
        yield 'a day less' => [[self::used('a', index: 2.0, day: '2025-11-27')], [], 'next_test.later', '2026-11-27', 50];
        yield 'it smelt' => [[$tested, self::used('b', smelt: true)], [], 'next_test.smelt', null, null];
        yield 'it smelt, and was tested since' => [[self::used('b', smelt: true), $tested], [], 'next_test.later', '2027-01-10', 50];
        yield 'a test that went over a plate' => [[self::used('a', index: 2.0, verdict: Verdict::Failed)], [], 'next_test.never_tested', null, null];
        yield 'under recall' => [[$tested], ['recalled' => true], 'next_test.recalled', null, null];
        yield 'damaged' => [[$tested], ['damaged' => true], 'next_test.damaged', null, null];
        yield 'suddenly warmer' => [array_map(static fn (float $i): Used => self::used('x', index: $i), [2.0, 2.1, 2.0, 1.9, 2.0, 3.0]), [], 'next_test.sudden', null, null];
        yield 'warming' => [array_map(static fn (float $i): Used => self::used('x', index: $i), [2.0, 4.0, 6.0, 8.0, 10.0]), [], 'next_test.warming', null, null];
    }

    /**
     * @param  list<Used>  $used
     * @param  array<string, mixed>  $plate
     */
    #[DataProvider('nextTests')]
    public function test_the_next_test(array $used, array $plate, string $why, ?string $by, ?int $within): void
    {
        $next = self::of($used, $plate)->nextTest;

        self::assertSame([$why, $by, $within, $by === null], [$next->why->code, $next->by, $next->withinSessions, $next->isDue]);
        self::assertNotSame('', Say::it($next->why));
    }

    /** 30 K above the air at 300 A: 30 / 3² K per (100 A)², by the adapter's own thermometer and no other. */
    public function test_what_a_session_says_of_an_adapter(): void
    {
        $case = Cases::read(Cases::file(outlet: ['coupler' => 'j3400'], adapters: [[]]));
        $used = static function (array $celsius, Event ...$events) use ($case): Used {
            $answer = $case->fitter()->answer($case->outlet, $case->vehicle)->best;
            $judge = new Judge($answer, $case->conditions);
            foreach (range(0, 24) as $i) {
                $judge->add(new Reading(30_000 * $i, 20 + $i, 330, 300, 99, [...$celsius, 'ambient' => 20.0]));
            }

            return Used::of(RecordedSession::of($answer, $case->conditions, $judge->judgement(), $events), $events, 's', '2026-05-01')['a1'];
        };

        $warm = $used(['adapter' => 50.0, 'handle' => 29.0], new Event(EventCode::FailedStart, 0), new Event(EventCode::FailedStart, 1));
        self::assertEqualsWithDelta([1.0, 0.6, 30 / 9], [$warm->proved->ofContinuous, $warm->proved->ofBoost, $warm->index], 1e-9);
        self::assertSame([2, false, true], [$warm->failedStarts, $warm->smelt, $used(['adapter' => 40.0])->isTest()]);
        self::assertSame([null, true], [$used(['handle' => 29.0])->index, $used([], new Event(EventCode::SmellOrHeat, 0))->smelt]);
    }

    public function test_what_is_kept_comes_back(): void
    {
        foreach ([self::used('a', 0.5, 0.6, 2.5, 33.5, 2, true, '2026-03-04', Verdict::Caution), self::used('b')] as $used) {
            self::assertEquals($used, Used::fromArray(json_decode((string) json_encode($used->toArray()), true)));
        }
    }

    /** @param  list<float>  $indices */
    private static function trust(array $indices): Trust
    {
        return self::of(array_map(static fn (float $i): Used => self::used('s', index: $i), $indices));
    }

    /**
     * @param  list<Used>  $used
     * @param  array<string, mixed>  $plate
     */
    private static function of(array $used, array $plate = []): Trust
    {
        return Trust::in(Cases::read(Cases::file(adapters: [$plate]))->adapters[0], $used, '2026-11-26');
    }

    private static function used(string $session, ?float $continuous = null, ?float $boost = null, ?float $index = null, ?float $handshakeS = null, int $failed = 0, bool $smelt = false, string $day = '2026-05-01', Verdict $verdict = Verdict::Passed): Used
    {
        return new Used($session, $day, $verdict, new ProvenShare($continuous, $boost), $index, $handshakeS, $failed, $smelt);
    }
}
