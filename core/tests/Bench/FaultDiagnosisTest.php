<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Bench;

use Harmozon\Core\Bench\CannotActOut;
use Harmozon\Core\Bench\ExactInstruments;
use Harmozon\Core\Bench\Fault;
use Harmozon\Core\Bench\FoundInstruments;
use Harmozon\Core\Bench\InjectedFault;
use Harmozon\Core\Bench\SimulatedSession;
use Harmozon\Core\Bench\Simulation;
use Harmozon\Core\Fit\ChainAnswer;
use Harmozon\Core\Fit\Flow;
use Harmozon\Core\Power\HeatLink;
use Harmozon\Core\Record\Judge;
use Harmozon\Core\Review\Diagnosis;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What the stand-in acts out is found again in its readings, however often and with whatever instruments they are taken. */
final class FaultDiagnosisTest extends TestCase
{
    private const CHAINS = 60;

    /** A level this close below a rating can't be told from that rating (share). */
    private const NEAR_RATING = 1.3;

    /** @return iterable<string, array{Fault, list<string>, int}> with the fewest chains that have to allow it */
    public static function faults(): iterable
    {
        yield 'no link' => [Fault::NoLink, ['handshake'], 40];
        yield 'no current' => [Fault::NoCurrent, ['handshake'], 50];
        yield 'boost' => [Fault::BoostSpent, ['adapter_current', 'cable_current'], 8];
        yield 'cooling' => [Fault::CoolingFailed, ['cooling_failed'], 15];
        yield 'neighbour' => [Fault::Neighbour, ['sharing'], 3];
        yield 'derated' => [Fault::Derated, ['derated_stall'], 30];
    }

    /** @param  list<string>  $causes */
    #[DataProvider('faults')]
    public function test_a_fault_is_found_as_itself(Fault $fault, array $causes, int $fewest): void
    {
        $found = 0;
        for ($seed = 1; $seed <= self::CHAINS; $seed++) {
            [, $answer] = SeededChains::chain($seed);
            if ($answer->outcome->flow() !== Flow::Yes) {
                continue;
            }
            try {
                $simulation = Simulation::of($answer, $seed, new InjectedFault($fault));
            } catch (CannotActOut) {
                continue;
            }
            // Each interval with either sort of instrument, in turn.
            $everyS = [1, 10, 60][$seed % 3];
            $session = $simulation->session($seed % 2 === 0 ? new ExactInstruments($answer->chain) : new FoundInstruments($answer->chain, $simulation->ambientC(), $seed), $everyS);
            if ($fault === Fault::Derated && self::isNearRating($answer, $session)) {
                continue;
            }
            self::assertNotSame([], array_intersect($causes, self::causes($answer, $session)), "seed {$seed}, every {$everyS} s");
            $found++;
        }

        self::assertGreaterThanOrEqual($fewest, $found);
    }

    /** A screen of whole percents, late, and looked at once a minute: nothing is held against a session in which nothing goes wrong. */
    public function test_a_session_without_a_fault_has_nothing_unexplained(): void
    {
        $played = 0;
        for ($seed = 21; $seed <= 80; $seed++) {
            [, $answer] = SeededChains::chain($seed);
            if ($answer->outcome->flow() !== Flow::Yes) {
                continue;
            }
            $simulation = Simulation::of($answer, $seed);
            $causes = self::causes($answer, $simulation->session(new FoundInstruments($answer->chain, $simulation->ambientC(), $seed), 60));
            self::assertSame([], array_intersect(['unexplained', 'derated_stall', 'cooling_failed', 'handshake'], $causes), "seed {$seed}");
            $played++;
        }
        self::assertGreaterThan(40, $played);
    }

    /** @return list<string> */
    private static function causes(ChainAnswer $answer, SimulatedSession $session): array
    {
        $judge = new Judge($answer, $answer->conditions);
        foreach ($session->readings as $reading) {
            $judge->add($reading);
        }

        return array_map(static fn ($held): string => $held->finding->cause->value, Diagnosis::of($answer, $answer->conditions, $judge->judgement()->measured, $session->events)->heldBackBy);
    }

    private static function isNearRating(ChainAnswer $answer, SimulatedSession $session): bool
    {
        $amps = max(array_map(static fn ($r): float => $r->amps ?? 0.0, $session->readings));

        return array_filter($answer->limits->changing->heat ?? [], static fn (HeatLink $l): bool => $l->duty->effectiveA < self::NEAR_RATING * $amps) !== [];
    }
}
