<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Record;

use Harmozon\Core\Equipment\Quantity;
use Harmozon\Core\Power\Duty;
use Harmozon\Core\Record\FlagCode;
use Harmozon\Core\Record\Judge;
use Harmozon\Core\Record\Judgement;
use Harmozon\Core\Record\PlateRow;
use Harmozon\Core\Record\PlateState;
use Harmozon\Core\Record\Reading;
use Harmozon\Core\Record\RollingMean;
use Harmozon\Core\Record\Verdict;
use Harmozon\Core\Tests\Cases;
use Harmozon\Core\Tests\Say;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** What a session adds up to, beside a plain sum over tenths of a second, and at the edge of every threshold. */
final class MeasuresTest extends TestCase
{
    /** Of the plain sum (s). */
    private const STEP_S = 0.1;

    /** 300 A, 500 A for 15 minutes, read at 25 °C and good for 90. */
    private const ADAPTER = ['continuous_a' => 300.0, 'boost_a' => 500.0, 'boost_minutes' => 15.0];

    #[DataProvider('seeds')]
    public function test_minutes_heat_and_energy_agree_with_a_plain_sum(int $seed): void
    {
        $random = new Randomizer(new Mt19937($seed));
        $readings = self::session($random);
        $row = self::amps(self::judge($readings));
        $plain = self::plainly($readings);

        self::assertEqualsWithDelta($plain['read'] / 60, $row->boost->minutesOver, 0.02, 'read');
        self::assertEqualsWithDelta($plain['unread'] / 60, $row->boost->minutesUnread, 0.02, 'unread');
        self::assertEqualsWithDelta($plain['theta'], $row->boost->thetaMax, 0.01, 'heat');
        $measured = self::judge($readings)->measured;
        self::assertEqualsWithDelta($plain['kwh'], $measured->energy->kwh, 0.001, 'energy');
        self::assertEqualsWithDelta($plain['bridged'] / $plain['kwh'], $measured->energy->bridgedShare, 0.001, 'bridged');
    }

    /** @return iterable<string, array{int}> */
    public static function seeds(): iterable
    {
        foreach (range(1, 24) as $seed) {
            yield "seed {$seed}" => [$seed];
        }
    }

    /** @param  list<array{float, float}>  $amps  minute and amps */
    #[DataProvider('edges')]
    public function test_time_at_the_rating_itself(array $amps, PlateState $state): void
    {
        // Low volts, so that nothing but the amps is close to anything.
        $readings = array_map(static fn (array $one): Reading => new Reading((int) round($one[0] * 60_000), 30, 310, $one[1]), $amps);

        self::assertSame($state, self::amps(self::judge($readings))->state);
    }

    /** @return iterable<string, array{list<array{float, float}>, PlateState}> 300 A for ever, 303 with the tolerance; 500 A for 15 minutes */
    public static function edges(): iterable
    {
        $held = static fn (float $a, float $from, float $to): array => array_map(static fn (float $m): array => [$m, $a], range($from, $to, 1.0));
        yield 'ten minutes just above it' => [$held(301.0, 0, 10), PlateState::Close];
        yield 'at the tolerance itself' => [$held(303.0, 0, 10), PlateState::Close];
        yield 'a minute less' => [$held(301.0, 0, 9), PlateState::Within];
        yield 'ten minutes at the rating, not above' => [$held(300.0, 0, 30), PlateState::Within];
        yield 'nine minutes, a dip, nine minutes' => [[...$held(301.0, 0, 9), [9.5, 200.0], ...$held(301.0, 10, 19)], PlateState::Within];
        yield 'nine minutes, a leap above, nine minutes' => [[...$held(301.0, 0, 9), [9.01, 320.0], [9.02, 301.0], ...$held(301.0, 10, 18)], PlateState::Within];
        yield 'a gap between' => [[...$held(301.0, 0, 6), ...$held(301.0, 9, 15)], PlateState::Within];
        yield 'the boost and a minute' => [$held(440.0, 0, 16), PlateState::Within];
        yield 'the boost and a minute and a bit' => [[...$held(440.0, 0, 16), [16.1, 440.0]], PlateState::Over];
    }

    /** A boost may be outlasted by as much as lies between two readings. */
    public function test_minutes_begin_anew_below_half_the_load_and_not_before(): void
    {
        // From 0.55: two minutes at 400 A of 300 leave 0.621; 7.4 min of rest 0.499, 7.2 min 0.501.
        $most = static function (float $restMinutes): ?float {
            $file = Cases::file(car: ['charge_curve_kw' => [[0, 300]], 'inlets.0.dc.max_a' => 900, 'inlets.0.dc.max_kw' => 300], outlet: ['coupler' => 'j3400', 'max_a' => 900, 'cable.continuous_a' => 900], adapters: [[]], case: ['conditions.theta' => ['a1' => 0.55]]);
            $tMs = static fn (float $minutes): int => (int) round(60_000 * $minutes);

            return self::amps(self::judge([
                new Reading(0, 30, 340, 400), new Reading($tMs(2), 30, 340, 400), new Reading($tMs(2) + 1, 30, 340, 0),
                ...array_map(static fn (float $m): Reading => new Reading($tMs(2 + $m), 30, 340, 0), range(0.6, $restMinutes, 0.6)),
                new Reading($tMs(2 + $restMinutes), 30, 340, 0), new Reading($tMs(2 + $restMinutes) + 1, 30, 340, 400), new Reading($tMs(4 + $restMinutes), 30, 340, 400), new Reading($tMs(5 + $restMinutes), 30, 340, 400),
            ], $file))->boost->minutesOver;
        };

        self::assertEqualsWithDelta([5.0, 3.0], [$most(7.2), $most(7.4)], 0.001);
    }

    public function test_the_usual_interval_is_the_median(): void
    {
        $at = static fn (array $seconds): Judgement => self::judge(array_map(static fn (int $s): Reading => new Reading($s * 1000, 30, 310, 440), $seconds));
        $gap = static fn (array $seconds): float => $at($seconds)->measured->count->samplingGapS;

        self::assertSame([0.0, 0.0, 10.0, 10.0, 10.0, 30.0, 90.0], [
            $gap([]), $gap([5]), $gap([0, 10]), $gap([0, 10, 40]), $gap([0, 10, 20, 80]), $gap([0, 30, 60, 70]), $gap([0, 90, 180, 270]),
        ]);
        self::assertSame([10.0, 10.0], [$gap([0, 40, 80, 90, 100]), $gap([0, 40, 50, 60])], 'in whatever order they came');
        // 16.5 minutes at 440 A: more than a minute late by readings of 10 s, and within one of 90 s.
        self::assertSame(PlateState::Over, self::amps($at(range(0, 990, 10)))->state);
        self::assertSame(PlateState::Within, self::amps($at(range(0, 990, 90)))->state);
    }

    /** @param  list<Reading>  $readings */
    #[DataProvider('little')]
    public function test_what_little_was_read_adds_up_to_no_more(array $readings, ?float $kwh, ?float $share, bool $flowed): void
    {
        $measured = self::judge($readings)->measured;

        self::assertSame([$kwh, $share, $flowed], [$measured->energy->kwh === null ? null : round($measured->energy->kwh, 6), $measured->energy->bridgedShare, $measured->flowed()]);
    }

    /** @return iterable<string, array{list<Reading>, float|null, float|null, bool}> */
    public static function little(): iterable
    {
        yield 'nothing' => [[], null, null, false];
        yield 'one reading' => [[new Reading(0, 30, 340, 250)], null, null, true];
        yield 'two of nothing' => [[new Reading(0, 30, 340, 0), new Reading(60_000, 30, 340, 0)], 0.0, 0.0, false];
        yield 'two at one moment' => [[new Reading(0, 30, 340, 250), new Reading(0, 30, 340, 250)], 0.0, 0.0, true];
        yield 'a minute of 60 kW' => [[new Reading(0, kw: 60.0), new Reading(60_000, kw: 60.0)], 1.0, 0.0, true];
        yield 'three minutes of 60 kW, unread' => [[new Reading(0, kw: 60.0), new Reading(180_000, kw: 60.0)], 3.0, 1.0, true];
        yield 'half an amp is what a screen may show of nothing' => [[new Reading(0, amps: 0.5)], null, null, false];
        yield 'a little more is not' => [[new Reading(0, amps: 0.51)], null, null, true];
        yield 'a tenth of a kW likewise' => [[new Reading(0, kw: 0.1)], null, null, false];
        yield 'and a little more' => [[new Reading(0, kw: 0.11)], null, null, true];
        yield 'volts alone' => [[new Reading(0, volts: 340.0), new Reading(1000, volts: 341.0)], null, null, false];
    }

    public function test_volts_alone_have_a_peak_and_the_others_none(): void
    {
        $measured = self::judge([new Reading(0, volts: 340.0), new Reading(1000, volts: 345.0), new Reading(2000, volts: 345.0)])->measured;

        self::assertSame([345.0, 1000, null, null], [$measured->peak(Quantity::Volts)?->value, $measured->peak(Quantity::Volts)?->tMs, $measured->peak(Quantity::Amps), $measured->peak(Quantity::Kw)]);
        self::assertSame([0.0, 0.0], array_map(static fn (Quantity $q): ?float => self::judge([new Reading(0, 30, 340, 0)])->measured->peak($q)?->value, [Quantity::Amps, Quantity::Kw]), 'a peak of nothing is one');
    }

    public function test_flags_and_gaps_beyond_those_listed_are_counted(): void
    {
        $readings = [];
        for ($i = 0; $i < 204; $i++) {
            // V × A is 85 kW, not 50; and three minutes to the next.
            $readings[] = new Reading($i * 180_000, 30, 340, 250, 50);
        }
        $judgement = self::judge($readings);

        self::assertSame([200, 4, 200, 3], [count($judgement->measured->irregularities->flags), $judgement->measured->irregularities->flagsLeftOut, count($judgement->measured->irregularities->gaps), $judgement->measured->irregularities->gapsLeftOut]);
        self::assertStringContainsString('204', Say::all($judgement->findings));
        self::assertStringContainsString('203', Say::all($judgement->findings));
    }

    /** @param  list<Reading>  $readings */
    #[DataProvider('doubts')]
    public function test_what_cannot_be_right_at_its_edge(array $readings, ?FlagCode $code): void
    {
        $flags = array_map(static fn ($f): FlagCode => $f->code, self::judge($readings)->measured->irregularities->flags);

        self::assertSame($code === null ? [] : [$code], $flags);
    }

    /** @return iterable<string, array{list<Reading>, FlagCode|null}> the weakest link of the chain passes 190 kW, the pack holds 60 kWh */
    public static function doubts(): iterable
    {
        $one = static fn (mixed ...$r): array => [new Reading(0, ...$r)];
        yield 'V × A three per cent off' => [$one(volts: 1000.0, amps: 103.0, kw: 100.0), null];
        yield 'a little more' => [$one(volts: 1000.0, amps: 103.1, kw: 100.0), FlagCode::PowerMismatch];
        yield 'the other way' => [$one(volts: 1000.0, amps: 96.9, kw: 100.0), FlagCode::PowerMismatch];
        yield 'near nothing, three per cent of a kW' => [$one(volts: 100.0, amps: 0.3, kw: 0.0), null];
        yield 'and a little more' => [$one(volts: 100.0, amps: 0.31, kw: 0.0), FlagCode::PowerMismatch];
        yield 'as cold as it gets' => [$one(celsius: ['ambient' => -40.0]), null];
        yield 'colder' => [$one(celsius: ['ambient' => -40.1]), FlagCode::TemperatureRange];
        yield 'as hot as it gets' => [$one(celsius: ['adapter' => 150.0]), null];
        yield 'hotter' => [$one(celsius: ['adapter' => 150.1]), FlagCode::TemperatureRange];
        $volts = static fn (float $to, int $ms, float $amps = 6.0, float $before = 6.0): array => [new Reading(0, volts: 400.0, amps: $before), new Reading($ms, volts: $to, amps: $amps)];
        yield 'volts up by 15 per cent' => [$volts(460.0, 60_000), null];
        yield 'by more, within a minute' => [$volts(461.0, 60_000), FlagCode::Jump];
        yield 'down by more' => [$volts(339.0, 60_000), FlagCode::Jump];
        yield 'in more than a minute' => [$volts(461.0, 60_001), null];
        yield 'at five amps' => [$volts(461.0, 60_000, 5.0), null];
        yield 'after five amps' => [$volts(461.0, 60_000, 6.0, 5.0), null];
        yield 'up from nothing' => [[new Reading(0, volts: 0.0, amps: 6.0), new Reading(1000, volts: 400.0, amps: 6.0)], null];
        yield 'charge up by two points at once' => [[new Reading(0, 30.0), new Reading(0, 32.0)], null];
        yield 'by more' => [[new Reading(0, 30.0), new Reading(0, 32.1)], FlagCode::Jump];
        yield 'time that goes back' => [[new Reading(1000, amps: 1.0), new Reading(999, amps: 1.0)], FlagCode::TimeReversed];
        yield 'time that stands' => [[new Reading(1000, amps: 1.0), new Reading(1000, amps: 1.0)], null];
    }

    public function test_the_most_that_is_possible_is_a_fifth_above_what_the_weakest_link_passes(): void
    {
        $flags = static fn (float $kw): array => array_map(static fn ($f): FlagCode => $f->code, self::judge([new Reading(0, kw: $kw)])->measured->irregularities->flags);
        // The adapter's 500 A at 380 V, the highest of the pack.
        $possible = 500 * 380 / 1000;

        self::assertSame([[], [FlagCode::AbovePossible]], [$flags(1.2 * $possible), $flags(1.2 * $possible + 0.01)]);

        // A station of 50 kW; a car that takes 40; a cold pack is no limit of the equipment.
        $of = static fn (array $car, array $outlet, float $kw): int => count(self::judge([new Reading(0, kw: $kw)], Cases::file(car: $car, outlet: $outlet, case: ['conditions.pack_prepared' => false, 'conditions.pack_c' => -10]))->measured->irregularities->flags);
        self::assertSame([0, 1], [$of([], ['max_kw' => 50], 60.0), $of([], ['max_kw' => 50], 60.1)]);
        self::assertSame([0, 1], [$of(['charge_curve_kw' => [[0, 20], [50, 40], [100, 5]]], [], 48.0), $of(['charge_curve_kw' => [[0, 20], [50, 40], [100, 5]]], [], 48.1)]);
    }

    /** Where nothing of a chain is known, nothing is impossible; and a judge can still be had. */
    public function test_a_chain_of_which_nothing_is_known_is_judged_all_the_same(): void
    {
        $file = Cases::file(car: ['pack' => [], 'charge_curve_kw' => null, 'inlets.0.dc' => []], outlet: ['max_v' => null, 'max_a' => null, 'max_kw' => null, 'cabinet' => null, 'cable' => null]);
        $judgement = self::judge([new Reading(0, 30, 340, 250), new Reading(60_000, 90, 340, 250), new Reading(120_000, 91, 340, 250)], $file);

        self::assertSame([], $judgement->measured->irregularities->flags);
        self::assertSame(85.0, $judgement->measured->peak(Quantity::Kw)?->value);
    }

    /** Over by its minutes comes before close by its volts, however near those are. */
    public function test_the_worst_row_of_a_piece_comes_first_by_its_state(): void
    {
        // 440 of 500 A for 20 minutes; 995 of 1000 V.
        $judgement = self::judge(array_map(static fn (int $s): Reading => new Reading($s * 1000, volts: 995.0, amps: 440.0), range(0, 1200, 10)));
        $rows = array_values(array_filter($judgement->plateCheck, static fn (PlateRow $r): bool => $r->link->id === 'a1'));

        self::assertSame([[Quantity::Amps, PlateState::Over], [Quantity::Volts, PlateState::Close]], array_map(static fn (PlateRow $r): array => [$r->quantity, $r->state], $rows));
        self::assertSame(Verdict::Failed, $judgement->verdict);
    }

    /** Close by its time at the rating comes before within by its volts, though those are nearer to their limit. */
    public function test_a_piece_that_was_held_at_its_rating_is_close_before_what_is_within(): void
    {
        $judgement = self::judge(array_map(static fn (int $s): Reading => new Reading($s * 1000, volts: 850.0, amps: 301.0), range(0, 660, 10)));
        $rows = array_values(array_filter($judgement->plateCheck, static fn (PlateRow $r): bool => $r->link->id === 'a1'));

        self::assertSame([[Quantity::Amps, PlateState::Close], [Quantity::Volts, PlateState::Within]], array_map(static fn (PlateRow $r): array => [$r->quantity, $r->state], array_slice($rows, 0, 2)));
        self::assertContains('A1 reached 60 % of its current rating.', Say::voice()->each($judgement->findings));
    }

    public function test_the_highest_minute_and_the_highest_ten_are_each_their_own(): void
    {
        // Ten minutes at 200 A, then a minute at 400: the last ten are 9 × 200 and 1 × 400, but for the step of a second.
        $measured = self::judge([...array_map(static fn (int $s): Reading => new Reading($s * 1000, 30, 340, $s <= 600 ? 200.0 : 400.0), range(0, 661))])->measured;

        self::assertEqualsWithDelta([220.0, 400.0, 74.8, 136.0], [$measured->means->tenMinA, $measured->means->oneMinA, $measured->means->tenMinKw, $measured->means->oneMinKw], 0.4);
    }

    public function test_no_mean_runs_across_a_gap(): void
    {
        $flat = static fn (int $fromS, float $kw): array => array_map(static fn (int $s): Reading => new Reading(($fromS + $s) * 1000, kw: $kw), range(0, 360, 60));
        $gapped = self::judge([...$flat(0, 90.0), ...$flat(481, 90.0)])->measured;
        $whole = self::judge([...$flat(0, 90.0), ...$flat(480, 90.0)])->measured;

        self::assertSame([null, 90.0, 90.0], [$gapped->means->tenMinKw, $gapped->means->oneMinKw, $whole->means->tenMinKw]);
    }

    public function test_states_from_the_best_to_the_worst(): void
    {
        self::assertSame([0, 1, 2, 3], array_map(static fn (PlateState $s): int => $s->rank(), [PlateState::NotMeasured, PlateState::Within, PlateState::Close, PlateState::Over]));
    }

    public function test_one_reading_warms_nothing(): void
    {
        self::assertSame(0.0, self::amps(self::judge([new Reading(0, 30, 310, 480)]))->boost->thetaMax);
        self::assertSame([0.0, 0.0], [self::amps(self::judge([new Reading(0, 30, 310, 480)]))->boost->minutesOver, self::amps(self::judge([new Reading(0, 30, 310, 480)]))->boost->minutesUnread]);
    }

    public function test_means_over_thousands_of_readings_agree_with_every_window(): void
    {
        $random = new Randomizer(new Mt19937(7));
        $mean = new RollingMean(600, 60);
        $values = [];
        for ($t = 0; $t < 4000; $t++) {
            $values[$t] = (float) $random->getInt(0, 400);
            $mean->add($t, $values[$t]);
            // A second reading of the same moment says nothing.
            $mean->add($t, 9999.0);
        }
        foreach ([[0, 600], [1, 60]] as [$window, $length]) {
            $best = 0.0;
            $sum = [0.0];
            for ($t = 1; $t < 4000; $t++) {
                $sum[$t] = $sum[$t - 1] + ($values[$t - 1] + $values[$t]) / 2;
                $best = $t < $length ? $best : max($best, ($sum[$t] - $sum[$t - $length]) / $length);
            }
            // A window may begin between two readings: it is a little higher than any that begins at one.
            self::assertGreaterThanOrEqual($best - 1e-6, $mean->highest($window));
            self::assertLessThan($best + 400 / $length, $mean->highest($window));
        }
    }

    /**
     * Levels held for a while, at any distance between readings, gaps and rests among them.
     *
     * @return list<Reading>
     */
    private static function session(Randomizer $random): array
    {
        $readings = [];
        $t = 0;
        $levels = [0.0, 150.0, 299.0, 301.5, 303.0, 303.5, 340.0, 420.0, 500.0];
        foreach (range(1, 14) as $_) {
            $amps = $levels[$random->getInt(0, count($levels) - 1)];
            $step = [5, 20, 60, 119, 121, 240][$random->getInt(0, 5)];
            for ($until = $t + $random->getInt(120, 1500); $t < $until; $t += $step) {
                $readings[] = new Reading($t * 1000, null, 340, $amps);
            }
        }

        return $readings;
    }

    /**
     * @param  list<Reading>  $readings
     * @return array{read: float, unread: float, theta: float, kwh: float, bridged: float}
     */
    private static function plainly(array $readings): array
    {
        $tau = -self::ADAPTER['boost_minutes'] * 60 / log(1 - (self::ADAPTER['continuous_a'] / self::ADAPTER['boost_a']) ** 2);
        $theta = $thetaMax = $read = $unread = $mostRead = $mostUnread = $kwh = $bridged = 0.0;
        foreach (array_slice($readings, 1) as $i => $next) {
            $last = $readings[$i];
            $seconds = $next->tS() - $last->tS();
            $wasWarm = $theta >= Duty::RESTED;
            for ($s = self::STEP_S / 2; $s < $seconds; $s += self::STEP_S) {
                $a = (float) $last->amps + ((float) $next->amps - (float) $last->amps) * $s / $seconds;
                $theta += (($a / self::ADAPTER['continuous_a']) ** 2 - $theta) * self::STEP_S / $tau;
                $thetaMax = max($thetaMax, $theta);
                $isAbove = $a > 1.01 * self::ADAPTER['continuous_a'];
                $read += $isAbove && $seconds <= 120 ? self::STEP_S : 0.0;
                $unread += $isAbove && $seconds > 120 ? self::STEP_S : 0.0;
                $kwh += $a * 340 / 1000 * self::STEP_S / 3600;
                $bridged += $seconds > 120 ? $a * 340 / 1000 * self::STEP_S / 3600 : 0.0;
            }
            [$mostRead, $mostUnread] = [max($mostRead, $read), max($mostUnread, $unread)];
            if ($wasWarm && $theta < Duty::RESTED) {
                $read = $unread = 0.0;
            }
        }

        return ['read' => $mostRead, 'unread' => $mostUnread, 'theta' => $thetaMax, 'kwh' => $kwh, 'bridged' => $bridged];
    }

    /**
     * @param  list<Reading>  $readings
     * @param  array<string, mixed>|null  $file
     */
    private static function judge(array $readings, ?array $file = null): Judgement
    {
        $case = Cases::read($file ?? Cases::file(
            car: ['charge_curve_kw' => [[0, 300]], 'inlets.0.dc.max_a' => 900, 'inlets.0.dc.max_kw' => 300],
            outlet: ['coupler' => 'j3400', 'max_a' => 900, 'cable.continuous_a' => 900],
            adapters: [[]],
        ));
        $judge = new Judge($case->fitter()->answer($case->outlet, $case->vehicle)->best, $case->conditions);
        foreach ($readings as $reading) {
            $judge->add($reading);
        }

        return $judge->judgement();
    }

    private static function amps(Judgement $judgement): PlateRow
    {
        foreach ($judgement->plateCheck as $row) {
            if ($row->link->id === 'a1' && $row->quantity === Quantity::Amps) {
                return $row;
            }
        }
        throw new \LogicException('no row for the adapter');
    }
}
