<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Review;

use Harmozon\Core\Answers\ReviewWriter;
use Harmozon\Core\Case\FitCase;
use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Record\Event;
use Harmozon\Core\Record\EventCode;
use Harmozon\Core\Record\Judge;
use Harmozon\Core\Record\Reading;
use Harmozon\Core\Review\Comparison;
use Harmozon\Core\Review\DutyStrip;
use Harmozon\Core\Review\Memory\CarPace;
use Harmozon\Core\Review\Memory\Visit;
use Harmozon\Core\Review\RecordedSession;
use Harmozon\Core\Review\Trust\Used;
use Harmozon\Core\Tests\Cases;
use Harmozon\Core\Tests\Say;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Whatever is read, whatever is not known, however clocks jump: an answer in words, in the order of time, without a negative loss. */
final class AnySessionTest extends TestCase
{
    private const SESSIONS = 250;

    private const CHANGES = [
        'vehicle.pack.usable_kwh' => [null, 60, 1],
        'vehicle.charge_curve_kw' => [null, [[0, 150], [100, 10]], [[0, 0.2]]],
        'vehicle.pack.voltage_by_soc' => [null, [[0, 300], [100, 400]], [[0, 700], [100, 800]]],
        'vehicle.pack.heater_kw' => [null, 5],
        'vehicle.inlets.0.dc.max_a' => [null, 200],
        'vehicle.inlets.0.dc.max_kw' => [null, 90],
        'outlet.max_kw' => [null, 50, 350],
        'outlet.max_a' => [null, 100],
        'outlet.max_v' => [null, 500, 1000],
        'outlet.signalling' => [null, ['plc'], ['can_gbt']],
        'outlet.cable' => [null, ['cooled' => true, 'continuous_a' => 500], ['cooled' => false, 'continuous_a' => 200, 'boost_a' => 300, 'boost_minutes' => 10], ['cooled' => null]],
        'outlet.cabinet' => [null, ['kw' => 150, 'policy' => 'halves', 'partner_active' => true], ['kw' => null, 'policy' => 'modules', 'partner_active' => true]],
        'conditions.pack_prepared' => [null, true, false, 20],
        'conditions.pack_c' => [null, -20, 10, 30],
        'conditions.ambient_c' => [null, -10, 25, 60],
        'conditions.distance' => [null, ['km' => 100], ['km' => 900, 'reserve_soc' => 5]],
        'conditions.faults' => [null, ['neighbour_at_minute' => 3, 'neighbour_leaves_at_minute' => 6], ['cooling_failed' => true, 'derated_kw' => 40]],
    ];

    private Randomizer $random;

    public function test_any_session_gets_an_answer(): void
    {
        $this->random = new Randomizer(new Mt19937(12));
        $writer = new ReviewWriter(Say::voice());
        for ($session = 0; $session < self::SESSIONS; $session++) {
            $events = $this->events();
            $recorded = $this->recorded($this->case(), $events);
            $told = [
                $writer->diagnosis($recorded->diagnosis), $writer->told($recorded), $writer->warmth($recorded), $writer->expected($recorded->diagnosis), $writer->comparison(Comparison::of($recorded, $recorded)),
                array_map($writer->duty(...), DutyStrip::each($recorded->diagnosis)), CarPace::of($recorded)->kw, array_map(static fn (Visit $v): array => $v->toArray(), Visit::each($recorded, $events, '2026-01-01')), array_map(static fn (Used $u): array => $u->toArray(), Used::of($recorded, $events, 's', '2026-01-01')),
            ];
            self::assertJson((string) json_encode($told, JSON_THROW_ON_ERROR));
            $last = 0.0;
            foreach ($recorded->diagnosis->heldBackBy as $held) {
                self::assertGreaterThanOrEqual($last, $held->fromS);
                self::assertGreaterThanOrEqual($held->fromS, $held->toS);
                self::assertGreaterThanOrEqual(0.0, min($held->loss->kwh ?? 0.0, $held->loss->minutes ?? 0.0, $held->loss->behindCarMinutes ?? 0.0));
                $last = $held->toS;
            }
            self::assertNotSame([], $recorded->diagnosis->heldBackBy);
        }
    }

    private function case(): FitCase
    {
        while (true) {
            $changes = [];
            foreach (self::CHANGES as $path => $values) {
                if ($this->random->getInt(0, 2) === 0) {
                    $changes[$path] = $this->one($values);
                }
            }
            if ($this->random->getInt(0, 2) === 0) {
                $changes = [...$changes, 'outlet.coupler' => 'j3400', 'adapters' => [Cases::changed(Cases::ADAPTER, ['recalled' => $this->one([false, true, null]), 'holds_back' => $this->one([null, true])])]];
            }
            try {
                return Cases::read(Cases::file(case: $changes));
            } catch (FieldError) {
                // Not every pair of figures can stand on one plate.
            }
        }
    }

    /** @param  list<Event>  $events */
    private function recorded(FitCase $case, array $events): RecordedSession
    {
        $answer = $case->fitter()->answer($case->outlet, $case->vehicle)->best;
        $judge = new Judge($answer, $case->conditions);
        [$tS, $soc] = [0, $this->random->getInt(0, 90)];
        for ($left = $this->random->getInt(0, 60); $left > 0; $left--) {
            $tS = max(0, $tS + $this->one([1, 10, 60, 300, -5]));
            $soc = min(100, max(0, $soc + $this->random->getInt(-5, 15) / 10));
            $judge->add(new Reading(1000 * $tS, $this->maybe($soc), $this->maybe($this->random->getInt(0, 900)), $this->maybe($this->random->getInt(0, 600)), $this->maybe($this->random->getInt(0, 3000) / 10), $this->one([[], ['adapter' => 40.0, 'ambient' => 20.0]])));
        }

        return RecordedSession::of($answer, $case->conditions, $judge->judgement(), $events, $this->one([null, '1']));
    }

    /** @return list<Event> */
    private function events(): array
    {
        return array_map(fn (): Event => new Event($this->one(EventCode::cases()), $this->random->getInt(0, 3_600_000), $this->one([null, 'seen'])), array_fill(0, $this->random->getInt(0, 4), null));
    }

    private function maybe(float $value): ?float
    {
        return $this->random->getInt(0, 1) === 1 ? $value : null;
    }

    /**
     * @template T
     *
     * @param  non-empty-list<T>  $values
     * @return T
     */
    private function one(array $values): mixed
    {
        return $values[$this->random->getInt(0, count($values) - 1)];
    }
}
