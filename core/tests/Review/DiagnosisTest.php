<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Review;

use Harmozon\Core\Case\FitCase;
use Harmozon\Core\Record\Event;
use Harmozon\Core\Record\EventCode;
use Harmozon\Core\Record\Judge;
use Harmozon\Core\Record\Reading;
use Harmozon\Core\Review\Diagnosis;
use Harmozon\Core\Review\LimitedSegment;
use Harmozon\Core\Tests\Cases;
use Harmozon\Core\Tests\Say;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * Every cause from readings written by hand. The car: 60 kWh, 320 V at 10 % to 360 V at 80 %, 150 kW up to 60 %, then 3.5 kW
 * less with every percent; the station: 500 A, 350 kW.
 */
final class DiagnosisTest extends TestCase
{
    private const EVERY_S = 30;

    /** @return iterable<string, array{array<string, mixed>, list<array{float, float}>, list<Event>, list<string>}> changes, minutes and kW, events, causes */
    public static function sessions(): iterable
    {
        yield 'as the car takes it' => [[], [[12, 150]], [], ['vehicle_curve']];
        // The last two minutes have room for two segments, none of them level for three minutes.
        yield 'the station has less' => [['outlet.max_kw' => 90], [[15, 90]], [], ['station_power']];
        yield 'the inlet has fewer amps' => [['vehicle.inlets.0.dc.max_a' => 200], [[15, -200]], [], ['vehicle_current']];
        yield 'the station has fewer amps' => [['outlet.max_a' => 250], [[15, -250]], [], ['station_current']];
        yield 'the cable has fewer amps' => [['outlet.cable.cooled' => false, 'outlet.cable.continuous_a' => 200], [[15, -200]], [], ['cable_current']];
        yield 'a station that gives half of what it says' => [[], [[15, 60]], [], ['derated_stall']];
        yield 'a station that gives 69 % of it' => [[], [[15, 103.5]], [], ['derated_stall']];
        yield 'a station that gives 72 % of it' => [[], [[15, 108]], [], ['unexplained']];
        yield 'a neighbour who came and left again, none of it at an end of the segment' => [[], [[15, 75]], [self::event(EventCode::NeighbourCame, 5), self::event(EventCode::NeighbourLeft, 8)], ['sharing']];
        yield 'a neighbour who came after it' => [[], [[6, 75], [8, 150]], [self::event(EventCode::NeighbourCame, 10)], ['derated_stall', 'vehicle_curve']];
        yield 'a neighbour noted all along' => [['outlet.cabinet' => ['kw' => 150, 'policy' => null, 'partner_active' => true]], [[15, 75]], [], ['sharing']];
        yield 'a neighbour who comes' => [[], [[6, 150], [8, 75]], [self::event(EventCode::NeighbourCame, 6.5)], ['vehicle_curve', 'sharing']];
        yield 'a neighbour who leaves' => [[], [[8, 75], [6, 150]], [self::event(EventCode::NeighbourLeft, 8.6)], ['sharing', 'vehicle_curve']];
        yield 'a cabinet known to be halved' => [['outlet.cabinet' => ['kw' => 150, 'policy' => 'halves', 'partner_active' => true]], [[15, 75]], [], ['sharing']];
        yield 'dead cooling' => [[], [[1.5, 150], [14, 30]], [], ['cooling_failed']];
        // 29 % and 31 % of the reference.
        yield 'a fall to just below 30 %' => [[], [[1.5, 150], [14, 43.5]], [], ['cooling_failed']];
        yield 'a fall to just above 30 %' => [[], [[1.5, 150], [14, 46.5]], [], ['unexplained']];
        yield 'a fall within three minutes of the first power' => [[], [[2.5, 150], [12, 30]], [], ['vehicle_curve', 'cooling_failed']];
        yield 'a fall after 3.2 minutes' => [[], [[3.2, 150], [12, 30]], [], ['vehicle_curve', 'unexplained']];
        yield 'a fall later than that' => [[], [[4, 150], [12, 30]], [], ['vehicle_curve', 'unexplained']];
        yield 'a crawl without a fall' => [[], [[15, 30]], [], ['derated_stall']];
        yield 'a fall on an uncooled cable' => [['outlet.cable.cooled' => false], [[1.5, 150], [14, 30]], [], ['unexplained']];
        yield 'a fall that nobody noted' => [[], [[6, 150], [8, 105]], [], ['vehicle_curve', 'unexplained']];
    }

    /**
     * @param  array<string, mixed>  $changes
     * @param  list<array{float, float}>  $parts  minutes, and kW, or amps below 0
     * @param  list<Event>  $events
     * @param  list<string>  $causes
     */
    #[DataProvider('sessions')]
    public function test_every_cause(array $changes, array $parts, array $events, array $causes): void
    {
        $diagnosis = self::diagnosis($changes, self::readings($parts), $events);

        self::assertSame($causes, array_map(static fn (LimitedSegment $h): string => $h->finding->cause->value, $diagnosis->heldBackBy), self::told($diagnosis));
        foreach ($diagnosis->heldBackBy as $i => $held) {
            self::assertSame($diagnosis->heldBackBy[$i + 1]->fromS ?? $held->toS, $held->toS);
            self::assertGreaterThanOrEqual(0.0, $held->loss->kwh);
        }
    }

    /** 60 kW where 150 are expected, over what is read beyond the ramp. */
    public function test_what_it_cost_in_figures(): void
    {
        $held = self::diagnosis([], self::readings([[15, 60]]))->heldBackBy[0];

        // The ramp takes three readings, and the last one stands for no time: 26 of the 30 half minutes count.
        self::assertEqualsWithDelta(26 * 30 / 3600 * (150 - 60), $held->loss->kwh, 0.05);
        self::assertEqualsWithDelta(26 / 2 * (1 - 60 / 150), $held->loss->minutes, 0.03);
        self::assertSame(60.0, $held->levelKw);
        self::assertSame('low', $held->finding->confidence->value);
        self::assertSame('Steady at 60 kW from the start for 13 min: 40 % of forecast, and far below every rating.', Say::it($held->finding->evidence));
    }

    /** Against its own forecast a session at the station's plate loses nothing; against the car it does. */
    public function test_what_the_chain_was_known_to_cost_stands_apart(): void
    {
        $held = self::diagnosis(['outlet.max_kw' => 90], self::readings([[15, 90]]))->heldBackBy[0];

        self::assertEqualsWithDelta(0.0, $held->loss->minutes, 0.02);
        self::assertEqualsWithDelta(26 / 2 * (1 - 90 / 150), $held->loss->behindCarMinutes, 0.03);
        self::assertSame(['high', 'post'], [$held->finding->confidence->value, $held->finding->linkId]);
        self::assertSame('Steady at 90 kW for 13 min; Test post allows 90 kW.', Say::it($held->finding->evidence));
    }

    public function test_amps_that_follow_from_the_rest_are_of_medium_confidence(): void
    {
        $readings = array_map(static fn (Reading $r): Reading => new Reading($r->tMs, $r->socPct, null, null, $r->kw), self::readings([[15, 90]]));

        self::assertSame('medium', self::diagnosis(['outlet.max_kw' => 90], $readings)->heldBackBy[0]->finding->confidence->value);
    }

    /** At a figure for three minutes beyond the ramp it is that figure's; shorter than that it is only as expected. */
    public function test_how_long_a_level_is_one(): void
    {
        $told = static fn (array $changes, float $minutes, float $level): string => (static fn (LimitedSegment $h): string => "{$h->finding->cause->value} {$h->finding->confidence->value} {$h->finding->linkId} ".json_encode($h->finding->limit))(self::diagnosis($changes, self::readings([[$minutes, $level]]))->heldBackBy[0]);

        self::assertSame('station_power high post 90', $told(['outlet.max_kw' => 90], 5, 90));
        self::assertSame('station_power low post null', $told(['outlet.max_kw' => 90], 4.5, 90));
        self::assertSame('station_current high post 250', $told(['outlet.max_a' => 250], 5, -250));
        self::assertSame('station_current low post null', $told(['outlet.max_a' => 250], 4.5, -250));
        self::assertSame('vehicle_current high car#0 200', $told(['vehicle.inlets.0.dc.max_a' => 200], 12, -200));
    }

    /** @return iterable<string, array{float, string}> kW read at a station of 90 kW, the confidence or the cause */
    public static function nearPlates(): iterable
    {
        yield 'at 2.9 % below' => [87.4, 'station_power high'];
        yield 'at 2.9 % above' => [92.6, 'station_power high'];
        yield 'at 3.2 % below it is as expected' => [87.1, 'station_power low'];
        yield 'at 9 % below it is at no plate' => [81.9, 'unexplained low'];
        yield 'at 9 % above it is at no plate' => [98.1, 'unexplained low'];
    }

    #[DataProvider('nearPlates')]
    public function test_how_near_to_a_plate(float $kw, string $told): void
    {
        $held = self::diagnosis(['outlet.max_kw' => 90], self::readings([[15, $kw]]))->heldBackBy[0];

        self::assertSame($told, "{$held->finding->cause->value} {$held->finding->confidence->value}");
    }

    /** @return iterable<string, array{array<string, mixed>, list<array{float, float}>, list<string>}> */
    public static function boosts(): iterable
    {
        yield 'the boost and what comes after it' => [[], [[8, -400], [8, -250]], ['adapter_current', 'adapter_current']];
        yield 'after less than half of its minutes' => [[], [[3.5, -400], [8, -260]], ['adapter_current', 'unexplained']];
        yield 'after half of its minutes' => [[], [[5, -400], [8, -250]], ['adapter_current', 'adapter_current']];
        yield 'after nine twentieths of them' => [[], [[4.5, -400], [8, -260]], ['adapter_current', 'unexplained']];
        yield 'to 7 % above its continuous amps' => [[], [[8, -400], [8, -267]], ['adapter_current', 'adapter_current']];
        yield 'to 9 % above' => [[], [[8, -400], [8, -273]], ['adapter_current', 'unexplained']];
        yield 'by less than 15 %' => [['adapters.0.plate.continuous_a' => 345], [[8, -400], [8, -365]], ['adapter_current', 'unexplained', 'adapter_current']];
    }

    /**
     * @param  array<string, mixed>  $changes
     * @param  list<array{float, float}>  $parts
     * @param  list<string>  $causes
     */
    #[DataProvider('boosts')]
    public function test_a_boost_and_its_end(array $changes, array $parts, array $causes): void
    {
        $diagnosis = self::boosted($changes, $parts);

        self::assertSame($causes, self::causes($diagnosis), self::told($diagnosis));
    }

    public function test_the_evidence_of_a_spent_boost(): void
    {
        [$boost, $after] = self::boosted([], [[8, -400], [8, -250]])->heldBackBy;

        self::assertSame(['a1', 'high', 400.0, 'Steady at 400 A for 6.5 min; A1 allows 400 A.'], [$boost->finding->linkId, $boost->finding->confidence->value, $boost->finding->limit, Say::it($boost->finding->evidence)]);
        self::assertSame(['a1', 'high', 250.0, "400 A fell to 250 A at once, after 8 min above A1's continuous 250 A."], [$after->finding->linkId, $after->finding->confidence->value, $after->finding->limit, Say::it($after->finding->evidence)]);
    }

    /** Both the cable and the adapter fall to 250 A: the thermometer names the one that is warmer. */
    public function test_of_two_spent_boosts_the_warmer_link_is_named(): void
    {
        $cable = ['outlet.cable' => ['length_m' => 5.0, 'cooled' => false, 'continuous_a' => 250, 'boost_a' => 400, 'boost_minutes' => 10]];
        $readings = static fn (string $hot): array => array_map(static fn (Reading $r): Reading => new Reading($r->tMs, $r->socPct, $r->volts, $r->amps, $r->kw, ['adapter' => 40.0, 'cable' => 40.0, $hot => 55.0]), self::readings([[8, -400], [8, -250]]));
        foreach (['adapter' => 'adapter_current', 'cable' => 'cable_current'] as $hot => $cause) {
            $diagnosis = self::diagnosis([...self::ADAPTED, ...$cable], $readings($hot));
            self::assertSame($cause, $diagnosis->heldBackBy[count($diagnosis->heldBackBy) - 1]->finding->cause->value, self::told($diagnosis));
        }
    }

    /** A neighbour whom the forecast has come at minute 5 takes half of 150 kW: from then on his share is a figure of the chain. */
    public function test_a_share_that_the_forecast_knew_of_from_later_on(): void
    {
        $changes = ['outlet.cabinet' => ['kw' => 150, 'policy' => 'halves', 'partner_active' => false], 'conditions.faults' => ['neighbour_at_minute' => 5]];
        $held = self::diagnosis($changes, self::readings([[5, 150], [10, 75]]))->heldBackBy;
        $last = $held[count($held) - 1];

        self::assertSame(['sharing', 75.0, 'high'], [$last->finding->cause->value, $last->finding->limit, $last->finding->confidence->value]);
        self::assertEqualsWithDelta(0.0, $last->loss->minutes, 0.1);
    }

    public function test_a_cold_pack_that_was_said_to_be_warm(): void
    {
        $rising = array_map(static fn (int $i): array => [1.0, 50.0 + 2 * $i], range(0, 19));

        self::assertSame(['cold_pack'], self::causes(self::diagnosis(['conditions.ambient_c' => 5], self::readings($rising))));
        self::assertSame(['unexplained'], array_values(array_unique(self::causes(self::diagnosis(['conditions.ambient_c' => 15], self::readings($rising))))));
    }

    public function test_a_cold_pack_that_the_forecast_knew_of(): void
    {
        // At 10 °C 61 % of 150 kW; every percent adds 0.24 K.
        $soc = 10.0;
        $readings = [new Reading(0, $soc, 320, 0, 0)];
        for ($tS = 50; $tS < 900; $tS += 25) {
            $kw = 150 * (0.35 + 0.65 * (10 + 0.24 * ($soc - 10)) / 25);
            $readings[] = new Reading($tS * 1000, $soc, 330, $kw * 1000 / 330, $kw);
            $soc += $kw * 25 / 3600 * 0.95 / 60 * 100;
        }
        $held = self::diagnosis(['conditions.pack_prepared' => false, 'conditions.pack_c' => 10], $readings)->heldBackBy;

        self::assertSame([['cold_pack', 'high']], array_map(static fn (LimitedSegment $h): array => [$h->finding->cause->value, $h->finding->confidence->value], $held));
        self::assertEqualsWithDelta(0.0, $held[0]->loss->minutes, 0.1);
    }

    /** @return iterable<string, array{list<array{float, float}>, list<string>}> minutes and amps on a 48 A post, causes */
    public static function alternating(): iterable
    {
        yield 'the full amps' => [[[30, 48]], ['onboard_charger']];
        yield 'a lower step first' => [[[8, 16], [30, 48]], ['settling', 'onboard_charger']];
        yield 'a lower step for eleven minutes, clocks and screens round' => [[[11, 16], [30, 48]], ['settling', 'onboard_charger']];
        yield 'a lower step for twelve' => [[[12, 16], [30, 48]], ['derated_stall', 'onboard_charger']];
        yield 'a lower step, and then 42 of 48 A' => [[[8, 16], [30, 42]], ['derated_stall', 'unexplained']];
        yield 'a lower step for good' => [[[30, 16]], ['derated_stall']];
        yield 'a lower step for too long' => [[[15, 16], [30, 48]], ['derated_stall', 'onboard_charger']];
    }

    /**
     * @param  list<array{float, float}>  $parts
     * @param  list<string>  $causes
     */
    #[DataProvider('alternating')]
    public function test_alternating_current(array $parts, array $causes): void
    {
        $case = Cases::read(Cases::file(post: Cases::AC_POST));
        $readings = [new Reading(0, 20, 240, 0, 0)];
        $tS = 30;
        foreach ($parts as [$minutes, $amps]) {
            for ($end = $tS + 60 * $minutes; $tS < $end; $tS += 60) {
                $readings[] = new Reading($tS * 1000, null, 240, $amps, $amps * 0.24);
            }
        }

        self::assertSame($causes, self::causes(self::of($case, $readings)), self::told(self::of($case, $readings)));
    }

    /** @return iterable<string, array{list<Reading>, list<Event>, float|null, string|null}> handshake, and the evidence where it held the session back */
    public static function starts(): iterable
    {
        $flowing = array_map(static fn (int $i): Reading => new Reading((200 + 30 * $i) * 1000, 10 + $i, 330, 450, 148.5), range(0, 8));
        $idle = static fn (int ...$tS): array => array_map(static fn (int $t): Reading => new Reading($t * 1000, 10, 320, 0, 0), $tS);

        yield 'read without current until then' => [[...$idle(0, 60, 120, 180), ...$flowing], [], 200.0, 'No current for 3.3 min after plugging in.'];
        yield 'nobody read for too long' => [[...$idle(0), ...$flowing], [], null, null];
        yield 'nobody read before' => [$flowing, [], null, null];
        yield 'as noted' => [$flowing, [self::event(EventCode::Plugged, 0.5), self::event(EventCode::CurrentFlows, 3.3)], 168.0, 'No current for 2.8 min after plugging in.'];
        yield 'short enough' => [$flowing, [self::event(EventCode::Plugged, 1.4), self::event(EventCode::CurrentFlows, 3.3)], 114.0, null];
        yield 'plugged in anew' => [[...$idle(0, 60, 120, 180), ...$flowing], [self::event(EventCode::Plugged, 1.0)], 140.0, 'No current for 2.3 min after plugging in.'];
        yield 'with the last phase' => [[...$idle(0, 60, 120, 180), ...$flowing], [new Event(EventCode::FailedStart, 90_000, 'isolation test')], 200.0, 'No current for 3.3 min after plugging in. Last seen: isolation test'];
        yield 'never' => [$idle(0, 60, 120, 180, 240), [], null, 'No current at all in 4 min.'];
        yield 'not yet' => [$idle(0, 30, 60, 90), [], null, null];
    }

    /**
     * @param  list<Reading>  $readings
     * @param  list<Event>  $events
     */
    #[DataProvider('starts')]
    public function test_the_handshake(array $readings, array $events, ?float $seconds, ?string $evidence): void
    {
        $diagnosis = self::diagnosis([], $readings, $events);
        $first = $diagnosis->heldBackBy[0] ?? null;

        self::assertSame($seconds, $diagnosis->handshakeS);
        self::assertSame($evidence, $first?->finding->cause->value === 'handshake' ? Say::it($first->finding->evidence) : null);
    }

    public function test_a_handshake_whose_end_was_read_or_that_never_ended_is_known_for_certain(): void
    {
        $confidence = static fn (string $case): string => self::diagnosis([], ...array_slice(iterator_to_array(self::starts())[$case], 0, 2))->heldBackBy[0]->finding->confidence->value;

        self::assertSame(['high', 'high', 'high'], array_map($confidence, ['read without current until then', 'as noted', 'never']));
        // Idle at 180 s, flowing at 400 s: between them nobody looked.
        $late = array_map(static fn (Reading $r): Reading => new Reading($r->tMs + 200_000, $r->socPct, $r->volts, $r->amps, $r->kw), array_slice(self::readings([[8, 150]]), 7));
        $held = self::diagnosis([], [new Reading(0, 10, 320, 0, 0), new Reading(180_000, 10, 320, 0, 0), ...$late])->heldBackBy[0];
        self::assertSame(['handshake', 'medium', 2.25], [$held->finding->cause->value, $held->finding->confidence->value, $held->loss->minutes]);
    }

    public function test_a_long_handshake_costs_what_is_beyond_a_usual_one(): void
    {
        [$readings] = self::starts()->current();
        $held = self::diagnosis([], $readings)->heldBackBy[0];

        self::assertEqualsWithDelta((200 - 45) / 60, $held->loss->minutes, 1e-9);
        self::assertEqualsWithDelta(150 * (200 - 45) / 3600, $held->loss->kwh, 1e-6);
        self::assertSame([0.0, 200.0], [$held->fromS, $held->toS]);
    }

    public function test_too_few_readings(): void
    {
        $two = self::diagnosis([], [new Reading(0, 10, 320, 0, 0), new Reading(60_000, 12, 325, 400, 130)]);
        $without = self::diagnosis([], array_map(static fn (int $i): Reading => new Reading(60_000 * $i, 10 + $i, null, null, null), range(0, 9)));

        self::assertSame(['not_enough_readings', '2 readings; it takes 3.'], [self::causes($two)[0], Say::it($two->heldBackBy[0]->finding->evidence)]);
        self::assertSame(['not_enough_readings', "Neither current nor power was read, and they can't be calculated."], [self::causes($without)[0], Say::it($without->heldBackBy[0]->finding->evidence)]);
    }

    public function test_without_a_forecast_it_says_so(): void
    {
        $held = self::diagnosis(['vehicle.pack.usable_kwh' => null, 'vehicle.charge_curve_kw' => null], self::readings([[12, 120]]))->heldBackBy;

        self::assertSame(['unexplained'], array_map(static fn (LimitedSegment $h): string => $h->finding->cause->value, $held));
        self::assertSame(['120 kW; there is no forecast for this chain to compare it with.', null], [Say::it($held[0]->finding->evidence), $held[0]->loss->minutes]);
    }

    public function test_a_break_in_the_middle(): void
    {
        $readings = [...self::readings([[6, 150]]), ...array_map(static fn (int $i): Reading => new Reading((390 + 30 * $i) * 1000, 33, 330, 0, 0), range(0, 5)), ...array_map(static fn (Reading $r): Reading => new Reading($r->tMs + 600_000, $r->socPct, $r->volts, $r->amps, $r->kw), array_slice(self::readings([[6, 150]], 33), 1))];

        self::assertSame(['vehicle_curve', 'unexplained', 'vehicle_curve'], self::causes(self::diagnosis([], $readings)));
        self::assertSame('No current for 4 min in between.', Say::it(self::diagnosis([], $readings)->heldBackBy[1]->finding->evidence));
    }

    /** The forecast took 45 s to begin, the session 30; then 90 kW for 14.5 minutes where 150 were forecast. */
    public function test_the_forecast_is_graded_over_the_charge_that_was_recorded(): void
    {
        $grade = self::diagnosis([], self::readings([[15, 90]]))->grade;
        $kwh = 90 * 14.5 / 60;

        self::assertEqualsWithDelta(15.0, $grade?->measuredMinutes, 1e-9);
        self::assertEqualsWithDelta(0.75 + 7.5 / 60 + 60 * $kwh / 150, $grade?->minutes, 0.03);
        self::assertEqualsWithDelta(60.0, $grade?->meanErrorKw, 0.2);
        self::assertEqualsWithDelta(-60.0, $grade?->biasKw, 0.2);
    }

    public function test_a_session_as_forecast_is_graded_well(): void
    {
        $grade = self::diagnosis([], self::readings([[12, 150]]))->grade;

        self::assertEqualsWithDelta(0.0, $grade?->errorMinutes(), 0.4);
        self::assertLessThan(1.0, $grade?->meanErrorKw);
        self::assertNull(self::diagnosis([], array_map(static fn (Reading $r): Reading => new Reading($r->tMs, null, $r->volts, $r->amps, $r->kw), self::readings([[12, 150]])))->grade);
    }

    private const ADAPTED = ['outlet.coupler' => 'j3400', 'adapters' => [['id' => 'a1', 'name' => 'A1', 'input' => 'j3400', 'output' => 'ccs1', 'current' => 'dc', 'certification' => 'certified', 'holds_back' => true,
        'plate' => ['max_v' => 1000, 'continuous_a' => 250, 'boost_a' => 400, 'boost_minutes' => 10]]]];

    /**
     * @param  array<string, mixed>  $changes
     * @param  list<array{float, float}>  $parts
     */
    private static function boosted(array $changes, array $parts): Diagnosis
    {
        return self::diagnosis([...self::ADAPTED, ...$changes], self::readings($parts));
    }

    /** @return list<string> */
    private static function causes(Diagnosis $diagnosis): array
    {
        return array_map(static fn (LimitedSegment $h): string => $h->finding->cause->value, $diagnosis->heldBackBy);
    }

    public function test_a_crawl_is_dead_cooling_below_60_percent_only(): void
    {
        $causes = static fn (float $soc): array => self::causes(self::diagnosis(['conditions.soc_from' => $soc, 'conditions.soc_to' => 100], self::readings([[1.5, 150], [9, 20]], $soc)));

        self::assertContains('cooling_failed', $causes(50));
        self::assertNotContains('cooling_failed', $causes(62));
    }

    /** A cable of 300 A with a boost: 15 % below it are 255 A. */
    public function test_how_far_below_the_plates_a_derated_stall_is(): void
    {
        $cable = ['outlet.cable' => ['length_m' => 5.0, 'cooled' => false, 'continuous_a' => 300, 'boost_a' => 500, 'boost_minutes' => 30]];

        self::assertSame('derated_stall', self::causes(self::diagnosis($cable, self::readings([[15, -254]])))[0]);
        self::assertNotSame('derated_stall', self::causes(self::diagnosis($cable, self::readings([[15, -257]])))[0]);
    }

    private static function told(Diagnosis $diagnosis): string
    {
        return implode("\n", array_map(static fn (LimitedSegment $h): string => "{$h->fromS}-{$h->toS} {$h->finding->cause->value} ".Say::it($h->finding->evidence), $diagnosis->heldBackBy));
    }

    private static function event(EventCode $code, float $minute): Event
    {
        return new Event($code, (int) (60_000 * $minute));
    }

    /**
     * First power after 30 s; the charge follows from the energy.
     *
     * @param  list<array{float, float}>  $parts
     * @return list<Reading>
     */
    private static function readings(array $parts, float $soc = 10.0): array
    {
        $readings = [new Reading(0, $soc, 320, 0, 0)];
        $tS = self::EVERY_S;
        foreach ($parts as [$minutes, $level]) {
            for ($end = $tS + 60 * $minutes; $tS < $end; $tS += self::EVERY_S) {
                $volts = 320 + ($soc - 10) * 4 / 7;
                $kw = $level < 0 ? -$level * $volts / 1000 : $level;
                $kw = min($kw, $soc <= 60 ? 150.0 : 150 - ($soc - 60) * 3.5);
                $readings[] = new Reading((int) ($tS * 1000), round($soc, 1), round($volts, 1), round($kw * 1000 / $volts, 1), round($kw, 1));
                $soc += $kw * self::EVERY_S / 3600 * 0.95 / 60 * 100;
            }
        }

        return $readings;
    }

    /**
     * @param  array<string, mixed>  $changes
     * @param  list<Reading>  $readings
     * @param  list<Event>  $events
     */
    private static function diagnosis(array $changes, array $readings, array $events = []): Diagnosis
    {
        return self::of(Cases::read(Cases::file(case: $changes)), $readings, $events);
    }

    /**
     * @param  list<Reading>  $readings
     * @param  list<Event>  $events
     */
    private static function of(FitCase $case, array $readings, array $events = []): Diagnosis
    {
        $answer = $case->fitter()->answer($case->outlet, $case->vehicle)->best;
        $judge = new Judge($answer, $case->conditions);
        foreach ($readings as $reading) {
            $judge->add($reading);
        }

        return Diagnosis::of($answer, $case->conditions, $judge->judgement()->measured, $events);
    }
}
