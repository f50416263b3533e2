<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Review;

use Harmozon\Core\Answers\StepsWriter;
use Harmozon\Core\Answers\VisitWriter;
use Harmozon\Core\Equipment\Tariff;
use Harmozon\Core\Forecast\Forecast;
use Harmozon\Core\Forecast\Forecaster;
use Harmozon\Core\Review\ExpectedReadings;
use Harmozon\Core\Review\Reminders;
use Harmozon\Core\Steps\StepList;
use Harmozon\Core\Tests\Cases;
use Harmozon\Core\Tests\Say;
use PHPUnit\Framework\TestCase;

final class ExpectedTest extends TestCase
{
    /** 150 kW flat to 60 %: a stall that gives less than 105 is worth leaving, from 138 to 162 is near. */
    public function test_a_reading_is_held_against_the_forecast(): void
    {
        $expected = ExpectedReadings::of(self::forecast(Cases::file()));
        $flat = array_values(array_filter($expected->points, static fn ($p): bool => $p->soc > 30 && $p->soc < 60))[0];

        self::assertEqualsWithDelta(150.0, $flat->flow->kw, 0.01);
        self::assertEqualsWithDelta(['leaveBelowKw' => 105.0, 'nearFromKw' => 138.0, 'nearToKw' => 162.0], $expected->marks($flat), 0.01);
        self::assertGreaterThan(0.0, $expected->points[0]->flow->kw);
    }

    public function test_no_ac_post_is_worth_leaving_for_another(): void
    {
        $expected = ExpectedReadings::of(self::forecast(Cases::file(['inlets.0.coupler' => 'type1', 'inlets.0.dc' => null], post: Cases::AC_POST)));

        self::assertNotSame([], $expected->points);
        self::assertNull($expected->marks($expected->points[0])['leaveBelowKw']);
    }

    /** The least of 350 kW, 500 A × 374 V at the end of the curve, the car's 150 kW: 1.2 × 150. */
    public function test_a_visit_tells_what_an_entry_can_hardly_be(): void
    {
        $forecast = self::forecast(Cases::file());
        $visit = (new VisitWriter(new StepsWriter(Say::voice()), Say::voice()))->visit(StepList::of($forecast->answer), $forecast, Cases::read(Cases::file())->conditions);

        self::assertSame(['phases' => 1, 'most_kw' => 180.0, 'most_a' => 600.0, 'ask_from_c' => 60.0], $visit['entries']);
        self::assertSame("This stall gives so little that it's worth leaving.", $visit['expected']['words']['leave']);
        self::assertCount(count(ExpectedReadings::of($forecast)->points), $visit['expected']['points']);
    }

    public function test_when_an_idle_fee_begins_is_told_only_where_there_is_one(): void
    {
        $after = static fn (?string $fee, ?float $grace): ?float => (new Tariff('USD', '0.45', null, null, $fee, $grace, null))->idleFeeAfterMinutes();

        self::assertSame([5.0, 0.0, null, null, null], [$after('0.40', 5.0), $after('0.40', 0.0), $after('0.40', null), $after('0.00', 5.0), $after(null, 5.0)]);
    }

    /** @param  array<string, mixed>  $file */
    private static function forecast(array $file): Forecast
    {
        $case = Cases::read($file);

        return Forecaster::sparing()->forecast($case->fitter()->answer($case->outlet, $case->vehicle)->best, $case->conditions);
    }

    public function test_reminders_lie_within_the_session_and_before_a_boost_is_spent(): void
    {
        $file = Cases::file(['charge_curve_kw' => [[0, 150], [100, 150]]], ['coupler' => 'j3400'], [['plate.boost_minutes' => 5, 'holds_back' => true]]);
        $forecast = self::forecast($file);
        $told = array_map(Say::it(...), Reminders::of($forecast));
        $spent = array_values(array_filter(array_map(static fn ($h): ?float => $h->fullAtMinute, $forecast->course->heat)))[0];

        self::assertSame('Take the first temperatures.', $told[60]);
        self::assertSame('Ten minutes: take the temperatures.', $told[600]);
        self::assertStringContainsString('two minutes of boost left', $told[(int) round($spent * 60) - 120]);
        self::assertSame((int) round((float) $forecast->totals->minutes * 60) - 120, array_key_last($told));
        $unheld = self::forecast(Cases::changed($file, ['adapters.0.holds_back' => null, 'adapters.0.plate.boost_minutes' => 8]));
        self::assertNotNull($unheld->advice->passed);
        self::assertStringContainsString('may not limit the current itself', array_map(Say::it(...), Reminders::of($unheld))[(int) round($unheld->advice->passed->minute * 60) - 120]);
        $none = self::forecast(Cases::file([], ['min_v' => 400]));
        self::assertSame([], Reminders::of($none));
    }
}
