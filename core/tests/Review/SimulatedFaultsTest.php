<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Review;

use Harmozon\Core\Bench\Script;
use Harmozon\Core\Bench\StandIn;
use Harmozon\Core\Case\FitCase;
use Harmozon\Core\Record\Event;
use Harmozon\Core\Record\EventCode;
use Harmozon\Core\Record\Judge;
use Harmozon\Core\Review\Diagnosis;
use Harmozon\Core\Review\LimitedSegment;
use Harmozon\Core\Tests\Cases;
use Harmozon\Core\Tests\Say;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The stand-in acts out a fault that the one who judges does not know of; however often it is read, its cause is found. */
final class SimulatedFaultsTest extends TestCase
{
    private const ADAPTED = ['outlet.coupler' => 'j3400', 'adapters' => [['id' => 'a1', 'name' => 'A1', 'input' => 'j3400', 'output' => 'ccs1', 'current' => 'dc', 'certification' => 'certified', 'holds_back' => true,
        'plate' => ['max_v' => 1000, 'continuous_a' => 250, 'boost_a' => 400, 'boost_minutes' => 10]]]];

    /** @return iterable<string, array{array<string, mixed>, array<string, mixed>, list<array{EventCode, float}>, list<string>}> the case, what really was, events, the causes that take most of the time */
    private static function faults(): iterable
    {
        $cabinet = ['outlet.cabinet' => ['kw' => 160, 'policy' => 'halves', 'partner_active' => false]];
        yield 'none' => [[], [], [], ['vehicle_curve']];
        yield 'a weak station' => [['outlet.max_kw' => 80], [], [], ['station_power']];
        yield 'a thin cable' => [['outlet.cable.cooled' => false, 'outlet.cable.continuous_a' => 180], [], [], ['cable_current']];
        yield 'a boost that is spent' => [self::ADAPTED, [], [], ['adapter_current']];
        yield 'a derated stall' => [[], ['conditions.faults.derated_kw' => 50], [], ['derated_stall']];
        yield 'a neighbour who comes' => [$cabinet, ['conditions.faults.neighbour_at_minute' => 8], [[EventCode::NeighbourCame, 8.0]], ['vehicle_curve', 'sharing']];
        yield 'a neighbour who leaves' => [['outlet.cabinet' => ['kw' => 160, 'policy' => 'halves']], ['outlet.cabinet.partner_active' => true, 'conditions.faults.neighbour_leaves_at_minute' => 10], [[EventCode::NeighbourLeft, 10.0]], ['sharing', 'vehicle_curve']];
        yield 'a cold pack, known' => [['conditions.pack_prepared' => false, 'conditions.pack_c' => 0], [], [], ['cold_pack']];
        yield 'a cold pack, not known' => [['conditions.ambient_c' => 0], ['conditions.pack_prepared' => false, 'conditions.pack_c' => 0, 'vehicle.pack.heater_kw' => 8], [], ['cold_pack', 'vehicle_curve']];
    }

    /** @return iterable<string, array{array<string, mixed>, array<string, mixed>, list<array{EventCode, float}>, list<string>, int}> */
    public static function sampled(): iterable
    {
        foreach (self::faults() as $name => $fault) {
            foreach ([1, 7, 30, 60] as $everyS) {
                yield "{$name}, every {$everyS} s" => [...$fault, $everyS];
            }
        }
    }

    /**
     * @param  array<string, mixed>  $known
     * @param  array<string, mixed>  $real
     * @param  list<array{EventCode, float}>  $events
     * @param  list<string>  $causes
     */
    #[DataProvider('sampled')]
    public function test_its_cause_is_found(array $known, array $real, array $events, array $causes, int $everyS): void
    {
        foreach ([3, 4, 5] as $seed) {
            $told = Cases::read(Cases::file(case: $known));
            $acted = Cases::read(Cases::file(case: [...$known, ...$real]));
            $diagnosis = self::diagnosis($told, $acted, $everyS, $seed, array_map(static fn (array $e): Event => new Event($e[0], (int) (60_000 * $e[1])), $events));
            $minutes = [];
            foreach ($diagnosis->heldBackBy as $held) {
                $minutes[$held->finding->cause->value] = ($minutes[$held->finding->cause->value] ?? 0.0) + ($held->toS - $held->fromS) / 60;
            }
            $most = array_keys(array_filter($minutes, static fn (float $m): bool => $m > 0.12 * array_sum($minutes)));

            self::assertSame($causes, $most, self::told($diagnosis));
        }
    }

    /** @param  list<Event>  $events */
    private static function diagnosis(FitCase $told, FitCase $acted, int $everyS, int $seed, array $events): Diagnosis
    {
        $really = $acted->fitter()->answer($acted->outlet, $acted->vehicle)->best;
        $answer = $told->fitter()->answer($told->outlet, $told->vehicle)->best;
        $judge = new Judge($answer, $told->conditions);
        foreach (StandIn::noted($really->chain, $really->voltage, $acted->conditions, new Script($seed, $everyS))->readings as $reading) {
            $judge->add($reading);
        }

        return Diagnosis::of($answer, $told->conditions, $judge->judgement()->measured, $events);
    }

    private static function told(Diagnosis $diagnosis): string
    {
        return implode("\n", array_map(static fn (LimitedSegment $h): string => "{$h->fromS}-{$h->toS} {$h->finding->cause->value} ".Say::it($h->finding->evidence), $diagnosis->heldBackBy));
    }
}
