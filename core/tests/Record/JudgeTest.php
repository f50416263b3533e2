<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Record;

use Harmozon\Core\Equipment\Quantity;
use Harmozon\Core\Record\FlagCode;
use Harmozon\Core\Record\Judge;
use Harmozon\Core\Record\Judgement;
use Harmozon\Core\Record\PlateRow;
use Harmozon\Core\Record\PlateState;
use Harmozon\Core\Record\Provenance;
use Harmozon\Core\Record\Reading;
use Harmozon\Core\Record\TemperatureState;
use Harmozon\Core\Record\Verdict;
use Harmozon\Core\Tests\Cases;
use Harmozon\Core\Tests\Say;
use PHPUnit\Framework\TestCase;

/** One car through a 300 A adapter with 500 A for 15 minutes, and what its readings say. */
final class JudgeTest extends TestCase
{
    public function test_steady_current_within_every_plate_passes(): void
    {
        $judgement = self::judge(self::steady(250, 1200));

        self::assertSame(Verdict::Passed, $judgement->verdict);
        self::assertSame(PlateState::Within, self::row($judgement, 'a1', Quantity::Amps)->state);
        self::assertEqualsWithDelta(0.5, self::row($judgement, 'a1', Quantity::Amps)->utilisation(), 1e-9);
        self::assertEqualsWithDelta(250.0, self::row($judgement, 'a1', Quantity::Amps)->margin(), 1e-9);
        self::assertEqualsWithDelta(250.0, $judgement->measured->means->tenMinA, 1e-6);
        self::assertEqualsWithDelta(250 / 300, $judgement->proven[0]->ofContinuous, 1e-9);
        self::assertEqualsWithDelta(0.5, $judgement->proven[0]->ofBoost, 1e-9);
        self::assertNotSame([], $judgement->findings);
        self::assertSame([], $judgement->unread());
    }

    public function test_without_amps_the_minutes_of_a_boost_are_not_known_either(): void
    {
        $judgement = self::judge(array_map(static fn (int $i): Reading => new Reading(10_000 * $i, 20, 340), range(0, 60)));
        $row = self::row($judgement, 'a1', Quantity::Amps);

        self::assertSame([PlateState::NotMeasured, PlateState::NotMeasured, 15.0], [$row->state, $row->minutesState(), $row->allowedMinutes()]);
        // Its volts were within, its amps nobody read.
        self::assertSame(PlateState::Within, self::row($judgement, 'a1', Quantity::Volts)->state);
        self::assertSame(PlateState::NotMeasured, $judgement->pieces()['a1']);
        self::assertSame([Quantity::Amps, Quantity::Kw], $judgement->unread());
    }

    public function test_a_piece_is_as_its_worst_plate_says(): void
    {
        [$within, $close, $over, $unread] = [PlateState::Within, PlateState::Close, PlateState::Over, PlateState::NotMeasured];

        self::assertSame([$within, $unread, $close, $over], [
            PlateState::together([$within, $within]), PlateState::together([$within, $unread]), PlateState::together([$unread, $close, $within]), PlateState::together([$close, $over, $unread]),
        ]);
    }

    public function test_energy_is_the_trapezoid_of_kw_and_implies_the_pack(): void
    {
        // 340 V × 250 A = 85 kW for an hour; 40 points gained at 95 %: 85 × 0.95 / 0.40 = 201.9 kWh.
        $judgement = self::judge([new Reading(0, 20, 340, 250), new Reading(1_800_000, 40, 340, 250), new Reading(3_600_000, 60, 340, 250)]);

        self::assertEqualsWithDelta(85.0, $judgement->measured->energy->kwh, 1e-9);
        self::assertEqualsWithDelta(201.875, $judgement->impliedUsableKwh, 1e-6);
        self::assertCount(2, $judgement->measured->irregularities->gaps);
        self::assertNull($judgement->measured->means->tenMinA, 'no mean is taken across a gap');
    }

    public function test_boost_minutes_are_counted_and_judged_against_the_plate(): void
    {
        $nine = self::judge([...self::steady(480, 552), ...self::steady(290, 600, 553)]);
        $row = self::row($nine, 'a1', Quantity::Amps);

        self::assertEqualsWithDelta(9.2, $row->boost->minutesOver, 0.02);
        self::assertSame(PlateState::Close, $row->state);
        self::assertSame(Verdict::Passed, $nine->verdict);

        $twenty = self::judge(self::steady(440, 1200));
        self::assertSame(PlateState::Over, self::row($twenty, 'a1', Quantity::Amps)->state);
        self::assertSame(Verdict::Failed, $twenty->verdict);
        self::assertStringContainsString('20 min', Say::it($twenty->findings[0]));
    }

    public function test_one_minute_past_the_boost_is_still_rounding(): void
    {
        self::assertNotSame(PlateState::Over, self::row(self::judge(self::steady(440, 950)), 'a1', Quantity::Amps)->state);
        self::assertSame(PlateState::Over, self::row(self::judge(self::steady(440, 970)), 'a1', Quantity::Amps)->state);
    }

    public function test_readings_noted_by_hand_every_two_minutes_count_as_time_above(): void
    {
        $noted = static fn (int $minutes): array => array_map(static fn (int $m): Reading => new Reading($m * 60_000, 30, 340, 440), range(0, $minutes, 2));

        // One sampling gap, two minutes, is allowed beyond the plate's fifteen.
        self::assertEqualsWithDelta(16.0, self::row(self::judge($noted(16)), 'a1', Quantity::Amps)->boost->minutesOver, 1e-9);
        self::assertNotSame(PlateState::Over, self::row(self::judge($noted(16)), 'a1', Quantity::Amps)->state);
        self::assertSame(PlateState::Over, self::row(self::judge($noted(18)), 'a1', Quantity::Amps)->state);
    }

    public function test_minutes_above_that_nobody_read_are_counted_apart_and_fail_nothing(): void
    {
        $noted = static fn (int $minutes): array => array_map(static fn (int $m): Reading => new Reading($m * 60_000, 30, 340, 440), range(0, $minutes, 4));

        // Sixteen minutes in four gaps: within the fifteen and one sampling gap of four.
        $row = self::row(self::judge($noted(16)), 'a1', Quantity::Amps);
        self::assertEqualsWithDelta([0.0, 16.0], [$row->boost->minutesOver, $row->boost->minutesUnread], 1e-9);
        self::assertFalse($row->boost->mayBeOverrun);

        $twenty = self::judge($noted(20));
        self::assertNotSame(PlateState::Over, self::row($twenty, 'a1', Quantity::Amps)->state);
        self::assertSame(Verdict::Caution, $twenty->verdict);
        self::assertSame('A1 may have carried more than its continuous 300 A for 20 min, 20 min of that unread; it is rated for 15 min.', Say::it($twenty->findings[0]));

        // What was read decides alone: 17 minutes of it fail, whatever lies in the gap.
        $mixed = self::judge([...self::steady(440, 1020), new Reading(1_320_000, 30, 340, 440)]);
        $row = self::row($mixed, 'a1', Quantity::Amps);
        self::assertEqualsWithDelta([17.0, 5.0], [$row->boost->minutesOver, $row->boost->minutesUnread], 1e-9);
        self::assertSame([PlateState::Over, Verdict::Failed, false], [$row->state, $mixed->verdict, $row->boost->mayBeOverrun]);

        // 10 min read and 300 s of gap, of which the straight line from 440 A down to 0 A lies above 303 A for 93.4 s.
        $part = self::row(self::judge([...self::steady(440, 600), new Reading(900_000, 30, 340, 0)]), 'a1', Quantity::Amps);
        self::assertEqualsWithDelta([10.0, 300 * (440 - 303) / 440 / 60], [$part->boost->minutesOver, $part->boost->minutesUnread], 1e-9);
    }

    public function test_measured_and_possible_minutes_are_said_together(): void
    {
        $said = static fn (array $readings): ?string => ($message = self::row(self::judge($readings), 'a1', Quantity::Amps)->minutesSaid()) === null ? null : Say::it($message);
        $everyThreeMinutes = static fn (array $amps): array => array_map(static fn (int $i): Reading => new Reading($i * 180_000, 30, 340, $amps[$i]), array_keys($amps));

        // Above 303 A for 180 × 97/150 s, the 180 s between, and 180 × 97/147 s: 116.4 + 180 + 118.8 s.
        self::assertSame('0 of 15 min measured, up to 6.9 with the gaps', $said($everyThreeMinutes([250, 400, 400, 253])));
        self::assertSame('10 of 15 min measured, up to 11.6 with the gaps', $said([...self::steady(440, 600), new Reading(900_000, 30, 340, 0)]));
        self::assertSame('9.2 of 15 min', $said([...self::steady(480, 552), ...self::steady(290, 600, 553)]));
        self::assertSame('0 of 15 min', $said(self::steady(290, 600)));
        self::assertNull($said([new Reading(0, 30, 340), new Reading(180_000, 30, 340)]), 'no amps were read');
    }

    public function test_a_typical_limit_that_is_passed_is_a_caution_and_no_failure(): void
    {
        $file = self::file();
        $outlet = $file['outlet'];
        $read = self::judge(self::steady(290, 600), [...$file, 'outlet' => [...$outlet, 'max_a' => 200]]);
        self::assertSame([Verdict::Failed, false], [$read->verdict, self::row($read, $outlet['id'], Quantity::Amps)->isAboutLimit()]);

        $typical = self::judge(self::steady(290, 600), [...$file, 'outlet' => [...$outlet, 'max_a' => 200, 'origins' => ['max_a' => ['origin' => 'typical']]]]);
        $row = self::row($typical, $outlet['id'], Quantity::Amps);
        self::assertSame([Verdict::Caution, PlateState::Over, true], [$typical->verdict, $row->state, $row->isAboutLimit()]);
        self::assertStringContainsString('saw 290 A, above 200 A, which is only typical for its kind. Read its rating plate.', Say::all($typical->findings));
        self::assertFalse(self::row($typical, $outlet['id'], Quantity::Kw)->isAboutLimit());
    }

    public function test_the_minutes_of_a_boost_can_be_what_decides(): void
    {
        // Estimated volts stand at 0.68 of their limit; 12 of 15 minutes at amps that were read stand beyond.
        $held = static fn (int $seconds): array => array_map(static fn (int $s): Reading => new Reading($s * 1000, 45, amps: 310), range(0, $seconds, 60));

        self::assertSame(Verdict::PassedIndicative, self::judge($held(540))->verdict);
        self::assertSame(Verdict::Passed, self::judge($held(720))->verdict);
    }

    public function test_a_gap_begins_above_two_minutes(): void
    {
        foreach ([[120, 2.0, 0.0], [121, 0.0, 121 / 60]] as [$seconds, $read, $unread]) {
            $row = self::row(self::judge([new Reading(0, 30, 340, 440), new Reading($seconds * 1000, 30, 340, 440)]), 'a1', Quantity::Amps);
            self::assertEqualsWithDelta([$read, $unread], [$row->boost->minutesOver, $row->boost->minutesUnread], 1e-9);
        }
    }

    public function test_two_runs_at_the_rating_are_two_where_the_amps_fell_between_them(): void
    {
        $six = static fn (int $fromS): array => array_map(static fn (int $s): Reading => new Reading(($fromS + $s) * 1000, 30, 340, 303), range(0, 360, 30));
        $low = [new Reading(390_000, 30, 340, 100), new Reading(420_000, 30, 340, 100), new Reading(450_000, 30, 340, 100)];

        self::assertSame(PlateState::Within, self::row(self::judge([...$six(0), ...$low, ...$six(480)]), 'a1', Quantity::Amps)->state);
        self::assertSame(PlateState::Close, self::row(self::judge([...$six(0), ...$six(361)]), 'a1', Quantity::Amps)->state);
        // The longest counts, whatever comes after it.
        self::assertSame(PlateState::Close, self::row(self::judge([...$six(0), ...$six(361), new Reading(760_000, 30, 340, 100), new Reading(790_000, 30, 340, 100), ...$six(820)]), 'a1', Quantity::Amps)->state);
    }

    public function test_the_air_may_be_noted_before_the_pieces(): void
    {
        foreach ([['ambient' => 20.0, 'adapter' => 41.0], ['adapter' => 41.0, 'ambient' => 20.0]] as $celsius) {
            $row = self::judge([new Reading(0, 30, 340, 200, null, $celsius)])->temperatures[0];

            self::assertSame([41.0, 21.0], [$row->maxC, $row->riseK]);
        }
    }

    public function test_ten_minutes_at_the_rating_itself_are_close(): void
    {
        $state = static fn (array $readings): PlateState => self::row(self::judge($readings), 'a1', Quantity::Amps)->state;

        // Of 500 A for 15 min, 303 A is not close; ten minutes of it are, as 300 A lies within the tolerance.
        self::assertSame(PlateState::Within, $state(self::steady(303, 599)));
        self::assertSame(PlateState::Close, $state(self::steady(303, 600)));
        self::assertSame(PlateState::Within, $state(self::steady(300, 1200)), 'at its rating it is not above');
        self::assertSame(PlateState::Within, $state(self::steady(304, 800)), 'above the tolerance it counts as boost');
        // Each run counts for itself: two of six minutes are none of ten.
        self::assertSame(PlateState::Within, $state([...self::steady(303, 360), ...self::steady(290, 10, 361), ...self::steady(303, 360, 372)]));
        self::assertSame(PlateState::Within, $state([...self::steady(303, 360), ...self::steady(400, 10, 361), ...self::steady(303, 360, 372)]));
        // Nor is a gap that nobody read part of one.
        self::assertSame(PlateState::Within, $state([...self::steady(303, 360), ...self::steady(303, 360, 600)]));
    }

    public function test_runs_add_up_until_the_piece_has_rested(): void
    {
        // Two runs of 10 min with 2 min at 100 A between: the load falls from 0.55 to 0.53, so 20 min count.
        $warm = self::judge([...self::steady(440, 600), ...self::steady(100, 120, 601), ...self::steady(440, 600, 722)]);
        self::assertGreaterThan(19.5, self::row($warm, 'a1', Quantity::Amps)->boost->minutesOver);

        // After an hour without current it has rested: the longer run alone counts.
        $rested = self::judge([...self::steady(440, 600), ...self::steady(0, 3600, 601), ...self::steady(440, 600, 4202)]);
        self::assertEqualsWithDelta(10.0, self::row($rested, 'a1', Quantity::Amps)->boost->minutesOver, 0.1);
    }

    public function test_states_at_their_edges(): void
    {
        foreach ([[449.0, PlateState::Within], [450.0, PlateState::Close], [505.0, PlateState::Close], [505.1, PlateState::Over]] as [$amps, $state]) {
            self::assertSame($state, self::row(self::judge(self::steady($amps, 60)), 'a1', Quantity::Amps)->state, "{$amps} A of 500 A");
        }
    }

    public function test_the_third_of_volts_amps_and_power_is_derived(): void
    {
        $judgement = self::judge([new Reading(0, kw: 85, volts: 340), new Reading(1000, kw: 85, amps: 250), new Reading(2000, volts: 340, amps: 250)]);

        self::assertSame(Provenance::Derived, $judgement->measured->peak(Quantity::Amps)?->provenance);
        self::assertEqualsWithDelta(250.0, $judgement->measured->peak(Quantity::Amps)->value, 1e-9);
        self::assertSame(Verdict::Passed, $judgement->verdict);
    }

    public function test_values_from_the_pack_curve_make_the_verdict_indicative(): void
    {
        // At 45 % the pack is at 340 V: 68 kW are 200 A.
        $judgement = self::judge([new Reading(0, 45, kw: 68), new Reading(60_000, 45, kw: 68), new Reading(120_000, 45, kw: 68)]);

        self::assertSame(Provenance::Estimated, $judgement->measured->peak(Quantity::Amps)?->provenance);
        self::assertEqualsWithDelta(200.0, $judgement->measured->peak(Quantity::Amps)->value, 1e-9);
        self::assertSame(Verdict::PassedIndicative, $judgement->verdict);
        self::assertStringContainsString('the verdict is indicative', Say::all($judgement->findings));
    }

    public function test_a_verdict_that_read_values_decide_is_not_indicative(): void
    {
        // 460 A read are 92 % of the boost; the estimated 200 A of the other readings decide nothing.
        $judgement = self::judge([new Reading(0, 45, kw: 68), new Reading(60_000, 45, volts: 340, amps: 460), new Reading(120_000, 45, kw: 68)]);

        self::assertSame(Verdict::Passed, $judgement->verdict);
        // Volts estimated at 340 V of 500 V stand beyond 200 A of 500 A that were read.
        $judgement = self::judge([new Reading(0, 45, amps: 200), new Reading(60_000, 45, amps: 200), new Reading(120_000, 45, amps: 200)]);
        self::assertSame(Verdict::PassedIndicative, $judgement->verdict);
        // Volts read a little above them.
        $judgement = self::judge([new Reading(0, 45, amps: 200), new Reading(60_000, 45, volts: 340.1, amps: 300), new Reading(120_000, 45, amps: 200)]);
        self::assertSame(Verdict::Passed, $judgement->verdict);
    }

    public function test_too_little_is_incomplete_and_says_what_was_missing(): void
    {
        self::assertSame(Verdict::Incomplete, self::judge([])->verdict);
        self::assertSame(Verdict::Incomplete, self::judge(self::steady(250, 1))->verdict);
        $noAmps = self::judge([new Reading(0, kw: 60), new Reading(1000, kw: 60), new Reading(2000, kw: 60)]);
        self::assertSame(Verdict::Incomplete, $noAmps->verdict);
        self::assertStringContainsString('Current was neither read', Say::it($noAmps->findings[0]));
        self::assertSame(PlateState::NotMeasured, self::row($noAmps, 'a1', Quantity::Amps)->state);
        self::assertStringContainsString('No current flowed', Say::it(self::judge(self::steady(0, 60))->findings[0]));
    }

    public function test_doubtful_readings_are_flagged_and_kept(): void
    {
        $judgement = self::judge([
            new Reading(0, 20, 340, 250, 85.0),
            new Reading(10_000, 20, 340, 250, 95.0),
            new Reading(20_000, 19, 340, 250, 85.0),
            new Reading(15_000, 19, 340, 250, 85.0),
            new Reading(30_000, 40, 340, 250, 85.0, ['adapter' => 300.0]),
            new Reading(40_000, 40, 240, 250),
            new Reading(50_000, 40, 340, 700),
        ]);
        $codes = array_map(static fn ($f) => $f->code, $judgement->measured->irregularities->flags);

        foreach (FlagCode::cases() as $code) {
            self::assertContains($code, $codes, $code->value);
        }
        self::assertSame(7, $judgement->measured->count->all);
        self::assertSame(700.0, $judgement->measured->peak(Quantity::Amps)?->value);
    }

    public function test_a_charge_is_looked_at_beside_the_last_one_that_was_read(): void
    {
        $codes = static fn (Reading ...$readings): array => array_map(static fn ($f): string => $f->code->value.'@'.$f->tMs / 1000, self::judge($readings)->measured->irregularities->flags);
        $between = new Reading(5_000, null, 340, 250);

        self::assertSame(['soc_fell@10'], $codes(new Reading(0, 30, 340, 250), $between, new Reading(10_000, 29, 340, 250)));
        self::assertSame(['jump@10'], $codes(new Reading(0, 30, 340, 250), $between, new Reading(10_000, 45, 340, 250)));
        self::assertSame([], $codes(new Reading(0, 30, 340, 250), $between, new Reading(10_000, 30, 340, 250)));
        // 170 kW × 1.2 bring 60 kWh 0.0944 points a second; rounding 2 more.
        self::assertSame([], $codes(new Reading(0, 30), new Reading(10_000, 32)));
        self::assertSame(['jump@10'], $codes(new Reading(0, 30), new Reading(10_000, 34)));
    }

    public function test_a_row_out_of_time_is_flagged_and_left_out_of_energy_means_and_minutes(): void
    {
        $good = self::steady(440, 900);
        $stray = new Reading(300_000, 30, 340, 480);
        $with = self::judge([...array_slice($good, 0, 700), $stray, ...array_slice($good, 700)]);
        $without = self::judge($good);

        self::assertSame(['time_reversed'], array_map(static fn ($f): string => $f->code->value, $with->measured->irregularities->flags));
        self::assertSame(902, $with->measured->count->all);
        self::assertSame(480.0, $with->measured->peak(Quantity::Amps)?->value);
        $sums = static fn ($judged): array => [$judged->measured->energy->kwh, $judged->measured->means->tenMinA, $judged->measured->means->oneMinKw];
        self::assertEqualsWithDelta($sums($without), $sums($with), 1e-9);
        self::assertEqualsWithDelta(15.0, self::row($with, 'a1', Quantity::Amps)->boost->minutesOver, 1e-9);
        self::assertEqualsWithDelta(self::row($without, 'a1', Quantity::Amps)->boost->thetaMax, self::row($with, 'a1', Quantity::Amps)->boost->thetaMax, 1e-9);
    }

    public function test_a_clock_set_back_takes_nothing_away(): void
    {
        // 85 kW for 60 s, the clock goes back by 30 s, 85 kW for 60 s more: the seconds between the clocks are not known.
        $judgement = self::judge([...self::steady(250, 60), ...self::steady(250, 60, 30)]);

        self::assertEqualsWithDelta(85 * 119 / 3600, $judgement->measured->energy->kwh, 1e-9);
    }

    public function test_gaps_without_end_are_counted_and_the_first_told(): void
    {
        $measured = self::judge(array_map(static fn (int $i): Reading => new Reading($i * 121_000, kw: 10), range(0, 300)));

        self::assertSame([200, 100], [count($measured->measured->irregularities->gaps), $measured->measured->irregularities->gapsLeftOut]);
        self::assertStringContainsString('300 gaps without readings', Say::all($measured->findings));
    }

    /** What nobody asked for is remembered on as it was written. */
    public function test_a_course_outlives_being_remembered_twice(): void
    {
        $case = Cases::read(self::file());
        $answer = $case->fitter()->answer($case->outlet, $case->vehicle)->best;
        [$first, $second, $third] = [new Judge($answer, $case->conditions), new Judge($answer, $case->conditions), new Judge($answer, $case->conditions)];
        foreach (self::steady(440, 1500) as $reading) {
            $first->add($reading);
        }
        $second->recall($first->remember());
        $third->recall($second->remember());
        $moments = $first->judgement()->measured->course->moments();

        self::assertGreaterThan(600, count($moments));
        self::assertEquals($moments, $third->judgement()->measured->course->moments());
        self::assertEquals($first->judgement()->measured->means->tenMinA, $third->judgement()->measured->means->tenMinA);
    }

    public function test_a_judge_goes_on_from_what_another_remembered(): void
    {
        $case = Cases::read(self::file());
        $answer = $case->fitter()->answer($case->outlet, $case->vehicle)->best;
        [$whole, $first, $second] = [new Judge($answer, $case->conditions), new Judge($answer, $case->conditions), new Judge($answer, $case->conditions)];
        $readings = [...self::steady(440, 700), new Reading(900_000, 20, 340, 250, 95.0, ['adapter' => 61.0, 'ambient' => 20.0]), ...self::steady(303, 700, 901)];
        foreach ($readings as $i => $reading) {
            $whole->add($reading);
            if ($i === 650) {
                $second->recall($first->remember());
            }
            ($i < 650 ? $first : $second)->add($reading);
        }

        self::assertEquals($whole->judgement(), $second->judgement());
        $this->expectException(\LogicException::class);
        $second->recall(serialize('nothing of the kind'));
    }

    public function test_rounding_of_a_screen_is_no_jump(): void
    {
        $codes = static fn (float $to): array => array_map(static fn ($f): string => $f->code->value, self::judge([new Reading(0, 30.0), new Reading(0, $to)])->measured->irregularities->flags);

        self::assertSame([[], ['jump'], [], ['soc_fell']], [$codes(32.0), $codes(32.1), $codes(30.0), $codes(29.9)]);
    }

    public function test_energy_names_its_bridged_share(): void
    {
        // 100 s and 300 s of 85 kW: three quarters of it in a gap.
        $judgement = self::judge([new Reading(0, 30, 340, 250), new Reading(100_000, 30, 340, 250), new Reading(400_000, 30, 340, 250)]);

        self::assertEqualsWithDelta(0.75, $judgement->measured->energy->bridgedShare, 1e-9);
        self::assertSame(0.0, self::judge(self::steady(250, 60))->measured->energy->bridgedShare);
        self::assertSame(0.0, self::judge(self::steady(0, 60))->measured->energy->bridgedShare);
        self::assertNull(self::judge([new Reading(0, 30)])->measured->energy->bridgedShare);
    }

    public function test_a_doubtful_charge_spoils_only_what_was_estimated_from_it(): void
    {
        $unread = static fn (Reading ...$more): bool => str_contains(Say::all(self::judge([...self::steady(250, 10), ...$more])->findings), 'comes from a reading that looks wrong');

        self::assertFalse($unread(new Reading(20_000, 20, 340, 260)), 'read beside a charge that fell');
        self::assertTrue($unread(new Reading(20_000, 20, kw: 95)), 'estimated from a charge that fell');
        self::assertFalse($unread(new Reading(20_000, 30, 340, 260, celsius: ['adapter' => 300.0])), 'beside a temperature that cannot be');
    }

    public function test_a_peak_that_rests_on_a_doubtful_reading_asks_for_care(): void
    {
        $judgement = self::judge([...self::steady(250, 300), new Reading(310_000, 30, 340, 260, 120.0)]);

        self::assertSame(Verdict::Caution, $judgement->verdict);
        self::assertStringContainsString('comes from a reading that looks wrong', Say::all($judgement->findings));
    }

    public function test_surfaces_that_are_held_have_limits_and_rise_needs_an_ambient(): void
    {
        foreach ([
            [['adapter' => 45.0, 'ambient' => 20.0], TemperatureState::Within, Verdict::Passed],
            [['adapter' => 51.0, 'ambient' => 30.0], TemperatureState::Caution, Verdict::Caution],
            [['adapter' => 40.0, 'ambient' => 8.0], TemperatureState::Caution, Verdict::Caution],
            [['adapter' => 60.0, 'ambient' => 40.0], TemperatureState::Over, Verdict::Failed],
            [['inlet' => 62.0, 'ambient' => 40.0], TemperatureState::Caution, Verdict::Caution],
            [['inlet' => 49.0, 'ambient' => 19.1], TemperatureState::Within, Verdict::Passed],
            [['inlet' => 49.0, 'ambient' => 19.0], TemperatureState::Caution, Verdict::Caution],
            [['inlet' => 50.0, 'ambient' => 40.0], TemperatureState::Caution, Verdict::Caution],
            [['adapter' => 50.0], TemperatureState::Caution, Verdict::Caution],
            [['adapter' => 49.9], TemperatureState::NotMeasured, Verdict::Passed],
            [['adapter' => 60.0], TemperatureState::Over, Verdict::Failed],
            [['adapter' => 59.9, 'ambient' => 40.0], TemperatureState::Caution, Verdict::Caution],
            [['adapter' => 49.9, 'ambient' => 0.0], TemperatureState::Caution, Verdict::Caution],
            [['adapter' => 49.9, 'ambient' => -0.1], TemperatureState::Over, Verdict::Failed],
            [['adapter' => 49.9, 'ambient' => 20.0], TemperatureState::Within, Verdict::Passed],
            [['inlet' => 49.0, 'ambient' => -1.0], TemperatureState::Over, Verdict::Failed],
            [['adapter' => 40.0], TemperatureState::NotMeasured, Verdict::Passed],
        ] as [$celsius, $state, $verdict]) {
            $judgement = self::judge([...self::steady(250, 300), new Reading(301_000, 30, 340, 250, celsius: $celsius)]);
            self::assertSame([$state, $verdict], [$judgement->temperatures[0]->state, $judgement->verdict], json_encode($celsius) ?: '');
        }
    }

    public function test_an_adapter_with_its_own_limits_is_judged_by_them(): void
    {
        $file = self::file(['derate_c' => 70, 'cutoff_c' => 85]);
        foreach ([
            [['adapter' => 65.0, 'ambient' => 40.0], 'within'], [['adapter' => 70.0, 'ambient' => 50.0], 'caution'], [['adapter' => 85.0, 'ambient' => 60.0], 'over'],
            // The limits on the rise stay, and a rise that nobody knows is not measured.
            [['adapter' => 65.0, 'ambient' => 35.0], 'caution'], [['adapter' => 65.0, 'ambient' => 15.0], 'over'], [['adapter' => 65.0], 'not_measured'],
            // They are the adapter's own: a handle keeps the general ones.
            [['handle' => 60.0, 'ambient' => 40.0], 'over'],
        ] as [$celsius, $state]) {
            $judgement = self::judge([...self::steady(250, 300), new Reading(301_000, 30, 340, 250, celsius: $celsius)], $file);
            self::assertSame($state, $judgement->temperatures[0]->state->value, json_encode($celsius) ?: '');
        }
    }

    public function test_too_hot_to_hold_is_said_of_what_is_held_and_hot(): void
    {
        $finding = static fn (array $celsius): string => Say::it(self::judge([...self::steady(250, 300), new Reading(301_000, 30, 340, 250, celsius: $celsius)])->findings[0]);

        self::assertStringContainsString('Adapter reached 61 °C: too hot to hold', $finding(['adapter' => 61.0, 'ambient' => 40.0]));
        self::assertStringContainsString('Inlet reached 49 °C, 50 K above ambient', $finding(['inlet' => 49.0, 'ambient' => -1.0]));
        self::assertStringContainsString('Handle reached 45 °C, 50 K above ambient', $finding(['handle' => 45.0, 'ambient' => -5.0]));
        self::assertStringContainsString('Handle reached 52 °C: keep an eye on it', $finding(['handle' => 52.0, 'ambient' => 30.0]));
    }

    public function test_the_ambient_is_carried_on_for_half_an_hour(): void
    {
        $rise = static fn (int $afterS): ?float => self::judge([
            new Reading(0, 30, 340, 250, celsius: ['ambient' => 20.0]), ...self::steady(250, $afterS - 1, 1), new Reading($afterS * 1000, 30, 340, 250, celsius: ['adapter' => 45.0]),
        ])->temperatures[0]->riseK;

        self::assertSame([25.0, null], [$rise(1800), $rise(1801)]);
        // From the last time it was read on, not from the first.
        $again = self::judge([
            new Reading(0, 30, 340, 250, celsius: ['ambient' => 20.0]), new Reading(1_200_000, 30, 340, 250, celsius: ['ambient' => 22.0]), new Reading(2_700_000, 30, 340, 250, celsius: ['adapter' => 45.0]),
        ]);
        self::assertSame(23.0, $again->temperatures[0]->riseK);
    }

    public function test_a_plain_pass_says_one_thing_and_estimates_that_decide_nothing_are_named(): void
    {
        self::assertSame(['Every value read stayed below 90 % of its rating.'], Say::voice()->each(self::judge(self::steady(250, 300))->findings));
        $some = self::judge([new Reading(0, 45, kw: 68), new Reading(60_000, 45, volts: 339, amps: 400), new Reading(120_000, 45, kw: 68)]);
        self::assertSame(['Some values are estimated from the battery voltage curve; the deciding one was read.'], Say::voice()->each($some->findings));
    }

    public function test_the_heat_load_goes_back_to_the_ambient_of_the_conditions_after_half_an_hour(): void
    {
        // At 65 °C 300 A become 186 A, and 250 A end at a load of 1.81; at the 25 °C of the conditions at 0.69.
        $hot = static fn (int $everyS): Judgement => self::judge(array_map(
            static fn (int $s): Reading => new Reading($s * 1000, 30, 340, 250, celsius: $s % $everyS === 0 ? ['ambient' => 65.0] : []), range(0, 10_800, 60),
        ));
        $theta = static fn (Judgement $j): float => self::row($j, 'a1', Quantity::Amps)->boost->thetaMax ?? 0.0;

        self::assertEqualsWithDelta((250 / 300) ** 2 / (25 / 65), $theta($hot(1800)), 0.05);
        self::assertEqualsWithDelta((250 / 300) ** 2 / (25 / 65) * (1 - exp(-31 / 33.6)), $theta($hot(20_000)), 0.05);
    }

    public function test_plates_stand_piece_by_piece_the_tested_one_first_and_its_worst_row_first(): void
    {
        $rows = array_map(static fn (PlateRow $r): string => $r->link->id.' '.$r->quantity->value, self::judge([...self::steady(480, 60), new Reading(61_000, 30, 640, 480)])->plateCheck);

        // 480 A are 96 % of 500 A; 640 V are 64 % of 1000 V; the car's 500 V are passed.
        self::assertSame(['a1 a', 'a1 v'], array_slice($rows, 0, 2));
        $links = array_values(array_unique(array_map(static fn (string $r): string => explode(' ', $r)[0], $rows)));
        self::assertSame(['a1', 'post', 'cable', 'car#0'], $links);
        self::assertSame('car#0 v', array_values(array_filter($rows, static fn (string $r): bool => str_starts_with($r, 'car#0')))[0]);
    }

    public function test_a_session_through_a_refused_chain_is_marked(): void
    {
        $judgement = self::judge(self::steady(250, 600), self::file(['recalled' => true]));

        self::assertSame(Verdict::Caution, $judgement->verdict);
        self::assertStringContainsString('recall', Say::all($judgement->findings));
    }

    public function test_heat_of_the_session_matches_the_duty_of_the_plate(): void
    {
        // 500 A for 15 minutes is exactly the plate's boost: the load reaches 1.
        self::assertEqualsWithDelta(1.0, self::row(self::judge(self::steady(500, 900)), 'a1', Quantity::Amps)->boost->thetaMax, 0.01);
    }

    /**
     * @param  iterable<Reading>  $readings
     * @param  array<string, mixed>|null  $file
     */
    private static function judge(iterable $readings, ?array $file = null): Judgement
    {
        $case = Cases::read($file ?? self::file());
        $judge = new Judge($case->fitter()->answer($case->outlet, $case->vehicle)->best, $case->conditions);
        foreach ($readings as $reading) {
            $judge->add($reading);
        }

        return $judge->judgement();
    }

    /**
     * @param  array<string, mixed>  $adapter
     * @return array<string, mixed>
     */
    private static function file(array $adapter = []): array
    {
        return Cases::file(
            car: ['charge_curve_kw' => [[0, 300]], 'inlets.0.dc.max_a' => 900, 'inlets.0.dc.max_kw' => 300],
            outlet: ['coupler' => 'j3400', 'max_a' => 900, 'cable.continuous_a' => 900],
            adapters: [$adapter],
        );
    }

    /** @return list<Reading> one a second at 340 V */
    private static function steady(float $amps, int $seconds, int $fromS = 0): array
    {
        return array_map(static fn (int $s): Reading => new Reading(($fromS + $s) * 1000, 30, 340, $amps), range(0, $seconds));
    }

    private static function row(Judgement $judgement, string $link, Quantity $quantity): PlateRow
    {
        foreach ($judgement->plateCheck as $row) {
            if ($row->link->id === $link && $row->quantity === $quantity) {
                return $row;
            }
        }
        throw new \LogicException("no row for {$link}");
    }
}
