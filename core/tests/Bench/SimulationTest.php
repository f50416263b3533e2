<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Bench;

use Harmozon\Core\Bench\ExactInstruments;
use Harmozon\Core\Bench\Simulation;
use Harmozon\Core\Bench\SimulationOutcome;
use Harmozon\Core\Fit\Flow;
use Harmozon\Core\Forecast\Forecaster;
use Harmozon\Core\Record\Judge;
use Harmozon\Core\Record\PlateState;
use Harmozon\Core\Record\Verdict;
use Harmozon\Core\Tests\Cases;
use Harmozon\Core\Tests\Say;
use PHPUnit\Framework\TestCase;

final class SimulationTest extends TestCase
{
    private const CHAINS = 200;

    /** 69 kWh through a socket of 230 V and 10 A take more than a day. However often it is read, it ends when the forecast says. */
    public function test_a_session_of_more_than_a_day_lasts_as_long_as_its_forecast(): void
    {
        $case = Cases::read(Cases::file(car: ['inlets.0.coupler' => 'type1', 'pack.usable_kwh' => 99], outlet: ['supply.volts' => 230, 'supply.amps' => 10], post: Cases::AC_POST));
        $answer = $case->fitter()->answer($case->outlet, $case->vehicle)->best;
        $forecast = (new Forecaster)->forecast($answer, $case->conditions)->totals;
        self::assertGreaterThan(30 * 60, $forecast->minutes);
        $found = [];
        foreach ([1, 60, 3600] as $everyS) {
            $session = Simulation::of($answer, 3)->session(new ExactInstruments($answer->chain), $everyS);
            self::assertSame(SimulationOutcome::Charged, $session->outcome);
            self::assertEqualsWithDelta($forecast->minutes, $session->minutes, 0.02 * $forecast->minutes, "every {$everyS} s");
            self::assertEqualsWithDelta((int) ceil(60 * $session->minutes / $everyS) + 1, count($session->readings), 1);
            $found[] = round($session->plugKwh, 3);
        }
        self::assertSame([$found[0]], array_values(array_unique($found)));
        self::assertEqualsWithDelta($forecast->plugKwh, $found[0], 0.02 * $forecast->plugKwh);
    }

    /** Nothing goes wrong: the session lasts as long as forecast, carries the same energy and stays within every rating. */
    public function test_a_session_without_a_fault_agrees_with_its_forecast_and_passes(): void
    {
        $played = 0;
        for ($seed = 1; $played < self::CHAINS; $seed++) {
            [$case, $answer] = SeededChains::chain($seed);
            if ($answer->outcome->flow() !== Flow::Yes) {
                continue;
            }
            $played++;
            $forecast = (new Forecaster)->forecast($answer, $case->conditions)->totals;
            $simulation = Simulation::of($answer, $seed);
            $session = $simulation->session(new ExactInstruments($answer->chain), [1, 10, 60, 30, 20][$seed % 5]);
            $judge = new Judge($answer, $case->conditions);
            foreach ($session->readings as $reading) {
                $judge->add($reading);
            }
            $judgement = $judge->judgement();

            self::assertSame($forecast->socEnd >= $case->conditions->charge->socTo - 1e-6, $session->outcome === SimulationOutcome::Charged, "seed {$seed}");
            self::assertEqualsWithDelta($forecast->minutes, $session->minutes, 0.02 * (float) $forecast->minutes, "seed {$seed}");
            self::assertEqualsWithDelta($forecast->plugKwh, $session->plugKwh, 0.02 * $forecast->plugKwh, "seed {$seed}");
            self::assertSame(Verdict::Passed, $judgement->verdict, "seed {$seed}: ".Say::all($judgement->findings));
            foreach ($judgement->plateCheck as $row) {
                self::assertNotSame(PlateState::Over, $row->state, "seed {$seed}");
            }
        }
    }
}
