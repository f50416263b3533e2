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
        self::assertEqualsWithDelta(250.0, $judgement->measured->mean10MinA, 1e-6);
        self::assertEqualsWithDelta(250 / 300, $judgement->proven[0]->ofContinuous, 1e-9);
        self::assertEqualsWithDelta(0.5, $judgement->proven[0]->ofBoost, 1e-9);
        self::assertNotSame([], $judgement->findings);
    }

    public function test_energy_is_the_trapezoid_of_kw_and_implies_the_pack(): void
    {
        // 340 V × 250 A = 85 kW for an hour; 40 points gained at 95 %: 85 × 0.95 / 0.40 = 201.9 kWh.
        $judgement = self::judge([new Reading(0, 20, 340, 250), new Reading(1_800_000, 40, 340, 250), new Reading(3_600_000, 60, 340, 250)]);

        self::assertEqualsWithDelta(85.0, $judgement->measured->energyKwh, 1e-9);
        self::assertEqualsWithDelta(201.875, $judgement->impliedUsableKwh, 1e-6);
        self::assertCount(2, $judgement->measured->gaps);
        self::assertNull($judgement->measured->mean10MinA, 'no mean is taken across a gap');
    }

    public function test_boost_minutes_are_counted_and_judged_against_the_plate(): void
    {
        $nine = self::judge([...self::steady(480, 552), ...self::steady(290, 600, 553)]);
        $row = self::row($nine, 'a1', Quantity::Amps);

        self::assertEqualsWithDelta(9.2, $row->minutesOverContinuous, 0.02);
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

    public function test_readings_noted_by_hand_every_four_minutes_still_count_as_time_above(): void
    {
        $noted = static fn (int $minutes): array => array_map(static fn (int $m): Reading => new Reading($m * 60_000, 30, 340, 440), range(0, $minutes, 4));

        // One sampling gap, four minutes, is allowed beyond the plate's fifteen.
        self::assertEqualsWithDelta(16.0, self::row(self::judge($noted(16)), 'a1', Quantity::Amps)->minutesOverContinuous, 1e-9);
        self::assertNotSame(PlateState::Over, self::row(self::judge($noted(16)), 'a1', Quantity::Amps)->state);
        self::assertSame(PlateState::Over, self::row(self::judge($noted(20)), 'a1', Quantity::Amps)->state);
    }

    public function test_runs_add_up_until_the_piece_has_rested(): void
    {
        // Two runs of 10 min with 2 min at 100 A between: the load falls from 0.55 to 0.53, so 20 min count.
        $warm = self::judge([...self::steady(440, 600), ...self::steady(100, 120, 601), ...self::steady(440, 600, 722)]);
        self::assertGreaterThan(19.5, self::row($warm, 'a1', Quantity::Amps)->minutesOverContinuous);

        // After an hour without current it has rested: the longer run alone counts.
        $rested = self::judge([...self::steady(440, 600), ...self::steady(0, 3600, 601), ...self::steady(440, 600, 4202)]);
        self::assertEqualsWithDelta(10.0, self::row($rested, 'a1', Quantity::Amps)->minutesOverContinuous, 0.1);
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
    }

    public function test_too_little_is_incomplete_and_says_what_was_missing(): void
    {
        self::assertSame(Verdict::Incomplete, self::judge([])->verdict);
        self::assertSame(Verdict::Incomplete, self::judge(self::steady(250, 1))->verdict);
        $noAmps = self::judge([new Reading(0, kw: 60), new Reading(1000, kw: 60), new Reading(2000, kw: 60)]);
        self::assertSame(Verdict::Incomplete, $noAmps->verdict);
        self::assertStringContainsString('Amps were neither read', Say::it($noAmps->findings[0]));
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
        $codes = array_map(static fn ($f) => $f->code, $judgement->measured->flags);

        foreach (FlagCode::cases() as $code) {
            self::assertContains($code, $codes, $code->value);
        }
        self::assertSame(7, $judgement->measured->readings);
        self::assertSame(700.0, $judgement->measured->peak(Quantity::Amps)?->value);
    }

    public function test_a_peak_that_rests_on_a_doubtful_reading_asks_for_care(): void
    {
        $judgement = self::judge([...self::steady(250, 300), new Reading(310_000, 30, 340, 260, 120.0)]);

        self::assertSame(Verdict::Caution, $judgement->verdict);
        self::assertStringContainsString('rests on a reading that looks wrong', Say::all($judgement->findings));
    }

    public function test_surfaces_that_are_held_have_limits_and_rise_needs_an_ambient(): void
    {
        foreach ([
            [['adapter' => 45.0, 'ambient' => 20.0], TemperatureState::Within, Verdict::Passed],
            [['adapter' => 51.0, 'ambient' => 30.0], TemperatureState::Caution, Verdict::Caution],
            [['adapter' => 40.0, 'ambient' => 8.0], TemperatureState::Caution, Verdict::Caution],
            [['adapter' => 60.0, 'ambient' => 40.0], TemperatureState::Over, Verdict::Failed],
            [['inlet' => 62.0, 'ambient' => 40.0], TemperatureState::Caution, Verdict::Caution],
            [['adapter' => 40.0], TemperatureState::NotMeasured, Verdict::Passed],
        ] as [$celsius, $state, $verdict]) {
            $judgement = self::judge([...self::steady(250, 300), new Reading(301_000, 30, 340, 250, celsius: $celsius)]);
            self::assertSame([$state, $verdict], [$judgement->temperatures[0]->state, $judgement->verdict], json_encode($celsius) ?: '');
        }
    }

    public function test_an_adapter_with_its_own_limits_is_judged_by_them(): void
    {
        $file = self::file(['derate_c' => 70, 'cutoff_c' => 85]);
        foreach ([[65.0, TemperatureState::Within], [71.0, TemperatureState::Caution], [85.0, TemperatureState::Over]] as [$celsius, $state]) {
            $judgement = self::judge([...self::steady(250, 300), new Reading(301_000, 30, 340, 250, celsius: ['adapter' => $celsius, 'ambient' => 20.0])], $file);
            self::assertSame($state, $judgement->temperatures[0]->state);
        }
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
        self::assertEqualsWithDelta(1.0, self::row(self::judge(self::steady(500, 900)), 'a1', Quantity::Amps)->thetaMax, 0.01);
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
