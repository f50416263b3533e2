<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Review;

use Harmozon\Core\Answers\ReviewWriter;
use Harmozon\Core\Record\Judge;
use Harmozon\Core\Record\Reading;
use Harmozon\Core\Review\RecordedSession;
use Harmozon\Core\Review\Windows;
use Harmozon\Core\Tests\Cases;
use PHPUnit\Framework\TestCase;

/** Averages as people quote them: 90 kW at the plug are 85.5 kW into a pack of 60 kWh, 2.375 % a minute. */
final class WindowsTest extends TestCase
{
    private const CURVE = ['charge_curve_kw' => [[0, 120], [100, 120]], 'km_per_kwh' => 5];

    public function test_means_to_a_charge_and_what_minutes_added(): void
    {
        $windows = self::windows(self::steady(40, 12));

        self::assertSame([50, 60], array_keys($windows->toCharge));
        [$read, $forecast] = $windows->toCharge[60];
        self::assertEqualsWithDelta([90.0, 20 / 2.375, 90 * 20 / 2.375 / 60], [$read->meanKw(), $read->minutes, $read->kwh], 0.01);
        // As forecast: 120 kW, 114 kW into the pack, after a ramp of 12 s that costs 6 s.
        self::assertEqualsWithDelta([12 / 114 * 60 + 0.1, 12 / 0.95], [$forecast?->minutes, $forecast?->kwh], 0.01);
        self::assertSame([5, 10], array_keys($windows->added));
        [$read, $forecast] = $windows->added[10];
        self::assertEqualsWithDelta([23.75, 23.75 * 0.6 * 5], [$read->percent, $read->km], 0.01);
        self::assertEqualsWithDelta(9.9 * 114 / 60 / 0.6, $forecast?->percent, 0.05);
        self::assertFalse($read->hasGap);
    }

    public function test_a_part_that_nobody_read_is_said(): void
    {
        $readings = array_values(array_filter(self::steady(40, 12), static fn (Reading $r): bool => $r->tS() < 60 + 300 || $r->tS() > 60 + 300 + 150));
        $windows = self::windows($readings);

        self::assertSame([false, true], [$windows->toCharge[50][0]->hasGap, $windows->toCharge[60][0]->hasGap]);
        self::assertEqualsWithDelta(90.0, $windows->toCharge[60][0]->meanKw(), 0.1);
    }

    public function test_without_a_charge_nothing_is_made_up(): void
    {
        $windows = self::windows(array_map(static fn (Reading $r): Reading => new Reading($r->tMs, null, $r->volts, $r->amps, $r->kw), self::steady(40, 12)), ['vehicle.pack.usable_kwh' => null]);

        self::assertSame([[], null, null], [$windows->toCharge, $windows->added[5][0]->percent, $windows->added[5][1]]);
        self::assertEqualsWithDelta(7.5, $windows->added[5][0]->kwh, 0.01);
        self::assertSame([], self::windows([])->added);
    }

    public function test_how_it_is_written(): void
    {
        $written = ReviewWriter::windows(self::windows(self::steady(40, 6)));

        self::assertSame(['soc', 'mean_kw', 'kwh', 'minutes', 'gap', 'forecast'], array_keys($written['to_charge'][0]));
        self::assertSame([50, 90.0, 4.21, false], [$written['to_charge'][0]['soc'], $written['to_charge'][0]['mean_kw'], $written['to_charge'][0]['minutes'], $written['to_charge'][0]['gap']]);
        self::assertSame([5, 11.9, 35.6], [$written['added'][0]['after_minutes'], $written['added'][0]['percent'], $written['added'][0]['km']]);
    }

    /** @return list<Reading> plugged in a minute before the first current */
    private static function steady(float $soc, int $minutes): array
    {
        return array_map(static fn (int $i): Reading => new Reading(($i + 6) * 10_000, $soc + 2.375 * $i / 6, 340, 90_000 / 340, 90.0), range(0, 6 * $minutes));
    }

    /**
     * @param  list<Reading>  $readings
     * @param  array<string, mixed>  $changes
     */
    private static function windows(array $readings, array $changes = []): Windows
    {
        $case = Cases::read(Cases::file(car: self::CURVE, outlet: ['max_a' => 900, 'max_kw' => 300, 'cable.continuous_a' => 900], case: ['conditions.soc_from' => 40, ...$changes]));
        $answer = $case->fitter()->answer($case->outlet, $case->vehicle)->best;
        $judge = new Judge($answer, $case->conditions);
        foreach ($readings as $reading) {
            $judge->add($reading);
        }

        return Windows::of(RecordedSession::of($answer, $case->conditions, $judge->judgement())->diagnosis);
    }
}
