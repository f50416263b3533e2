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
use Harmozon\Core\Tests\Say;
use PHPUnit\Framework\TestCase;

final class SimulationTest extends TestCase
{
    private const CHAINS = 200;

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
