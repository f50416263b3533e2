<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Bench;

use Harmozon\Core\Bench\CannotActOut;
use Harmozon\Core\Bench\Fault;
use Harmozon\Core\Bench\InjectedFault;
use Harmozon\Core\Bench\Quirks;
use Harmozon\Core\Bench\Script;
use Harmozon\Core\Bench\StandIn;
use Harmozon\Core\Case\ScriptReader;
use Harmozon\Core\Equipment\Quantity;
use Harmozon\Core\Json\Node;
use Harmozon\Core\Record\Judge;
use Harmozon\Core\Record\Judgement;
use Harmozon\Core\Record\Reading;
use Harmozon\Core\Record\Verdict;
use Harmozon\Core\Tests\Cases;
use Harmozon\Core\Tests\Say;
use PHPUnit\Framework\TestCase;

final class StandInTest extends TestCase
{
    public function test_the_same_seed_gives_the_same_readings_and_another_seed_others(): void
    {
        self::assertEquals(self::readings(new Script(7)), self::readings(new Script(7)));
        self::assertNotEquals(self::readings(new Script(7)), self::readings(new Script(8)));
    }

    public function test_energy_is_conserved_through_noise_and_rounding(): void
    {
        // 10 to 80 % of 60 kWh are 42 kWh in the pack, 44.21 kWh at the plug.
        $judgement = self::judged(new Script(3, everyS: 5), adapter: ['plate.continuous_a' => 500]);

        self::assertEqualsWithDelta(42 / 0.95, $judgement->measured->energy->kwh, 0.4);
        self::assertEqualsWithDelta(60.0, $judgement->impliedUsableKwh, 0.8);
        self::assertSame(Verdict::Passed, $judgement->verdict);
        self::assertSame([], $judgement->measured->irregularities->flags);
    }

    public function test_it_obeys_the_adapters_heat_unless_told_otherwise(): void
    {
        $hungry = ['charge_curve_kw' => [[0, 300]], 'inlets.0.dc.max_kw' => 300, 'pack.usable_kwh' => 140];
        $obeys = self::judged(new Script(3), $hungry);
        $ignores = self::judged(new Script(3, quirks: new Quirks(ignoresHeat: true)), $hungry);

        self::assertSame(Verdict::Failed, $ignores->verdict);
        self::assertNotSame(Verdict::Failed, $obeys->verdict, Say::all($obeys->findings));
        self::assertGreaterThan($obeys->measured->means->tenMinA, $ignores->measured->means->tenMinA + 1);
    }

    public function test_it_ends_with_nothing_flowing_at_the_target_or_when_the_driver_leaves(): void
    {
        $whole = self::readings(new Script(3));
        $left = self::readings(new Script(3, longestMinutes: 4));
        [$end, $leaves] = [$whole[count($whole) - 1], $left[count($left) - 1]];

        self::assertSame([0.0, 0.0], [$end->kw, $leaves->kw]);
        self::assertEqualsWithDelta(80.0, $end->socPct, 0.6);
        self::assertEqualsWithDelta(241.0, $leaves->tS(), 1.0);
        self::assertGreaterThan(0.0, $left[count($left) - 2]->kw);
        self::assertSame([0, 10, 20], array_map(static fn (Reading $r): int => (int) $r->tS(), array_slice($whole, 0, 3)));
    }

    public function test_surfaces_warm_with_the_load_of_the_adapter_and_the_air_does_not(): void
    {
        $readings = self::readings(new Script(3, reads: ['a', 'adapter', 'inlet', 'ambient']));
        [$first, $last] = [$readings[0], $readings[count($readings) - 2]];
        $judgement = self::judged(new Script(3, reads: ['a', 'v', 'adapter', 'ambient']));
        $theta = max(array_map(static fn ($row): float => $row->boost->thetaMax ?? 0.0, $judgement->plateCheck));

        self::assertEqualsWithDelta([25.0, 25.0], [$first->celsius['adapter'], $last->celsius['ambient']], 1.5);
        // 65 K of allowed rise, 38 % of it on the surface.
        self::assertEqualsWithDelta(25 + 0.38 * 65 * $theta, $last->celsius['adapter'], 1.5);
        self::assertGreaterThan($last->celsius['inlet'], $last->celsius['adapter']);
        self::assertGreaterThan($last->celsius['ambient'] + 3, $last->celsius['inlet']);
    }

    public function test_a_piece_whose_plate_nobody_read_does_not_warm(): void
    {
        $case = Cases::read(Cases::file(outlet: ['coupler' => 'j3400', 'cable' => null], adapters: [['plate' => null]]));
        $answer = $case->fitter()->answer($case->outlet, $case->vehicle)->best;
        $readings = StandIn::noted($answer->chain, $answer->voltage, $case->conditions, new Script(3, 300, ['adapter', 'handle', 'cable', 'inlet']))->readings;

        foreach ($readings[count($readings) - 1]->celsius as $celsius) {
            self::assertEqualsWithDelta(25.0, $celsius, 1.5);
        }
        self::assertCount(4, $readings[0]->celsius);
    }

    public function test_a_car_that_settles_takes_half_on_ac_at_first_and_cannot_on_dc(): void
    {
        $case = Cases::read(Cases::file(post: Cases::AC_POST));
        $answer = $case->fitter()->answer($case->outlet, $case->vehicle)->best;
        $noted = static fn (float $settleMinutes): array => StandIn::noted($answer->chain, $answer->voltage, $case->conditions, new Script(3, 60, quirks: new Quirks(settleMinutes: $settleMinutes)))->readings;
        $kwAt = static fn (array $readings, int $minute): float => $readings[$minute]->kw ?? 0.0;
        [$full, $settling] = [$noted(0), $noted(8)];

        // 240 V × 48 A = 11.52 kW, of which the car takes 11.5; half of that for eight minutes.
        self::assertEqualsWithDelta([11.5, 11.5], [$kwAt($full, 5), $kwAt($full, 12)], 0.2);
        self::assertEqualsWithDelta([5.75, 11.5], [$kwAt($settling, 5), $kwAt($settling, 12)], 0.2);
        // Eight minutes at half the power are made up for in four more.
        self::assertEqualsWithDelta(count($full) + 4, count($settling), 1);
        $this->expectException(CannotActOut::class);
        self::readings(new Script(3, quirks: new Quirks(settleMinutes: 8)));
    }

    public function test_a_script_is_read_with_what_it_does_not_say(): void
    {
        $read = static fn (array $fields): Script => (new ScriptReader)->script(Node::of($fields));

        self::assertEquals(new Script(5), $read(['seed' => 5]));
        self::assertEquals(new Script(6, 20, ['kw'], 12.5, 'logger', new InjectedFault(Fault::Neighbour, 7.5), new Quirks(true, 1.4, 6)), $read(['seed' => 6, 'every_s' => 20, 'reads' => ['kw'], 'longest_minutes' => 12.5, 'ignores_heat' => true, 'source' => 'logger', 'fault' => 'neighbour@7.5', 'wear' => 1.4, 'settle_minutes' => 6]));
        self::assertSame(Script::SOURCE, $read(['seed' => 5])->source);
        self::assertStringContainsString('seed: is required', Say::refusal(static fn () => $read([])));
        self::assertStringContainsString('every_s: ', Say::refusal(static fn () => $read(['seed' => 5, 'every_s' => 0])));
    }

    public function test_a_failed_start_passes_no_power(): void
    {
        $judgement = self::judged(new Script(3, fault: new InjectedFault(Fault::NoLink)));

        self::assertSame(0.0, $judgement->measured->peak(Quantity::Kw)?->value);
        self::assertSame(Verdict::Incomplete, $judgement->verdict);
    }

    public function test_only_what_the_script_reads_is_noted(): void
    {
        foreach (self::readings(new Script(3, reads: ['soc', 'kw'])) as $reading) {
            self::assertNull($reading->volts);
            self::assertNull($reading->amps);
            self::assertNotNull($reading->kw);
        }
    }

    /**
     * @param  array<string, mixed>  $car
     * @param  array<string, mixed>  $adapter
     * @return list<\Harmozon\Core\Record\Reading>
     */
    private static function readings(Script $script, array $car = [], array $adapter = []): array
    {
        [$case, $answer] = self::chain($car, $adapter);

        return StandIn::noted($answer->chain, $answer->voltage, $case->conditions, $script)->readings;
    }

    /**
     * @param  array<string, mixed>  $car
     * @param  array<string, mixed>  $adapter
     */
    private static function judged(Script $script, array $car = [], array $adapter = []): Judgement
    {
        [$case, $answer] = self::chain($car, $adapter);
        $judge = new Judge($answer, $case->conditions);
        foreach (self::readings($script, $car, $adapter) as $reading) {
            $judge->add($reading);
        }

        return $judge->judgement();
    }

    /**
     * @param  array<string, mixed>  $car
     * @param  array<string, mixed>  $adapter
     * @return array{\Harmozon\Core\Case\FitCase, \Harmozon\Core\Fit\ChainAnswer}
     */
    private static function chain(array $car, array $adapter): array
    {
        $case = Cases::read(Cases::file(car: $car, outlet: ['coupler' => 'j3400'], adapters: [$adapter]));

        return [$case, $case->fitter()->answer($case->outlet, $case->vehicle)->best];
    }
}
