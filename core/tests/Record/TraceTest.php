<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Record;

use Eris\Generators;
use Eris\TestTrait;
use Harmozon\Core\Record\CompletedReading;
use Harmozon\Core\Record\Reading;
use Harmozon\Core\Record\ReadingCompleter;
use Harmozon\Core\Record\Trace;
use PHPUnit\Framework\TestCase;

final class TraceTest extends TestCase
{
    use TestTrait;

    public function test_a_short_session_is_kept_whole(): void
    {
        $trace = new Trace;
        foreach (range(0, 299) as $s) {
            $trace->add(self::at($s, 50 + $s % 7));
        }

        self::assertCount(300, $trace->points());
        $trace->add(self::at(300, 1));
        // Intervals of two seconds: the higher of both, and the last.
        self::assertLessThanOrEqual(301, count($trace->points()));
        self::assertSame(300.0, $trace->points()[count($trace->points()) - 1]->reading->tS());
    }

    public function test_where_intervals_double_and_what_an_empty_session_shows(): void
    {
        $rising = static function (int $toS): int {
            $trace = new Trace;
            foreach (range(0, $toS) as $s) {
                $trace->add(self::at($s, $s));
            }

            return count($trace->points());
        };

        self::assertSame([], (new Trace)->points());
        // Second by second up to 299; with second 300 two are one, of which the later is the higher.
        self::assertSame([300, 151], [$rising(299), $rising(300)]);
        $trace = new Trace(1);
        $trace->add(self::at(0, null));
        $trace->add(self::at(0, 0));
        self::assertSame([0.0], array_map(static fn (CompletedReading $c): ?float => $c->kw, $trace->points()));
    }

    public function test_no_peak_is_lost_and_there_are_never_too_many_points(): void
    {
        $this->limitTo(30)->forAll(Generators::vector(60, Generators::choose(0, 400)), Generators::choose(1, 90))
            ->then(static function (array $kw, int $everyS): void {
                $trace = new Trace(10);
                foreach ($kw as $i => $one) {
                    $trace->add(self::at($i * $everyS, $one));
                }
                $points = $trace->points();
                $thin = $trace->thinned(4)->points();

                self::assertLessThanOrEqual(20, count($points));
                self::assertLessThanOrEqual(8, count($thin));
                foreach ([$points, $thin] as $kept) {
                    self::assertSame((float) max($kw), max(array_map(static fn (CompletedReading $c): float => $c->kw ?? 0.0, $kept)));
                    self::assertSame((count($kw) - 1) * (float) $everyS, $kept[count($kept) - 1]->reading->tS());
                    $times = array_map(static fn (CompletedReading $c): int => $c->reading->tMs, $kept);
                    $sorted = $times;
                    sort($sorted);
                    self::assertSame($sorted, $times);
                }
            });
    }

    public function test_a_reading_out_of_time_is_drawn_where_it_belongs(): void
    {
        $trace = new Trace(2);
        foreach ([[0, 10], [9, 50], [7, 20], [3, 5]] as [$s, $kw]) {
            $trace->add(self::at($s, $kw));
        }
        $times = array_map(static fn (CompletedReading $c): float => $c->reading->tS(), $trace->points());
        $sorted = $times;
        sort($sorted);

        self::assertSame($sorted, $times);
        self::assertContains(9.0, $times);
    }

    public function test_readings_without_power_are_kept_too(): void
    {
        $trace = new Trace(2);
        $trace->add(self::at(0, null));
        $trace->add(self::at(9, null));

        self::assertSame([0.0, 9.0], array_map(static fn (CompletedReading $c): float => $c->reading->tS(), $trace->points()));
    }

    public function test_the_last_of_a_interval_is_the_last_in_time_when_two_become_one(): void
    {
        $trace = new Trace(8);
        foreach ([[0, 9], [5, 1], [4, 2], [9, 3]] as [$s, $kw]) {
            $trace->add(self::at($s, $kw));
        }

        // Of seconds 4 and 5 the higher is the first, and the last is second 5, though it came before.
        self::assertSame([0.0, 4.0, 5.0, 9.0], array_map(static fn (CompletedReading $c): float => $c->reading->tS(), $trace->points()));
    }

    public function test_three_phases_carry_three_times_as_much(): void
    {
        $kw = static fn (int $phases): ?float => (new ReadingCompleter(null, $phases))->complete(new Reading(0, volts: 230.0, amps: 16.0))->kw;
        $amps = static fn (int $phases): ?float => (new ReadingCompleter(null, $phases))->complete(new Reading(0, volts: 230.0, kw: 11.04))->amps;
        $volts = static fn (int $phases): ?float => (new ReadingCompleter(null, $phases))->complete(new Reading(0, amps: 16.0, kw: 11.04))->volts;

        self::assertEqualsWithDelta([3.68, 11.04, 48.0, 16.0, 690.0, 230.0], [$kw(1), $kw(3), $amps(1), $amps(3), $volts(1), $volts(3)], 1e-9);
    }

    public function test_amps_at_no_volts_are_none_or_not_known(): void
    {
        $amps = static fn (float $kw): ?float => (new ReadingCompleter(null, 1))->complete(new Reading(0, volts: 0.0, kw: $kw))->amps;

        self::assertSame([0.0, null], [$amps(0.0), $amps(3.0)]);
    }

    private static function at(int $s, int|float|null $kw): CompletedReading
    {
        return new CompletedReading(new Reading($s * 1000, kw: $kw === null ? null : (float) $kw), null, null, $kw === null ? null : (float) $kw);
    }
}
