<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Bench;

use Harmozon\Core\Bench\ExactInstruments;
use Harmozon\Core\Bench\Fault;
use Harmozon\Core\Bench\FoundInstruments;
use Harmozon\Core\Bench\InjectedFault;
use Harmozon\Core\Bench\Instant;
use Harmozon\Core\Bench\Phase;
use Harmozon\Core\Bench\PhaseSpan;
use Harmozon\Core\Bench\Remedy;
use Harmozon\Core\Bench\SimulatedSession;
use Harmozon\Core\Bench\Simulation;
use Harmozon\Core\Bench\SimulationOutcome;
use Harmozon\Core\Bench\StationVolts;
use Harmozon\Core\Bench\Witness;
use Harmozon\Core\Equipment\CurrentKind;
use Harmozon\Core\Record\Event;
use Harmozon\Core\Record\Reading;
use Harmozon\Core\Tests\Cases;
use Harmozon\Core\Tests\Say;
use Harmozon\Core\Words\Language;
use Harmozon\Core\Words\Message;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class PhasesTest extends TestCase
{
    private const DC = ['plugged', 'pilot', 'link', 'authorise', 'parameters', 'isolation', 'precharge', 'contactors', 'current', 'stop', 'welding_check', 'released'];

    private const AC = ['plugged', 'pilot', 'authorise', 'contactors', 'current', 'stop', 'released'];

    public function test_a_session_passes_every_phase_of_its_kind_without_a_gap(): void
    {
        foreach ([[self::DC, Cases::DC_POST, []], [self::AC, Cases::AC_POST, ['inlets.0.coupler' => 'type1']]] as [$phases, $post, $car]) {
            $session = self::session(null, Cases::file(car: $car, post: $post));
            self::assertSame($phases, array_map(static fn (PhaseSpan $s): string => $s->phase->value, $session->phases));
            foreach ($session->phases as $number => $span) {
                self::assertSame($number === 0 ? 0.0 : $session->phases[$number - 1]->toS, $span->fromS);
                self::assertGreaterThan($span->fromS, $span->toS);
            }
            $current = $session->phases[(int) array_search('current', $phases, true)];
            self::assertSame([45.0, $session->minutes * 60], [$current->fromS, $current->toS]);
            $ends = array_column(array_map(static fn (PhaseSpan $s): array => [$s->phase->value, (int) round(1000 * $s->toS)], $session->phases), 1, 0);
            self::assertSame([$ends['plugged'], $ends['authorise'], 45_000, $ends['current']], array_map(static fn (Event $e): int => $e->tMs, $session->events));
            self::assertSame(['plugged', 'authorised', 'current_flows', 'stopped_by_car'], array_map(static fn (Event $e): string => $e->code->value, $session->events));
        }
    }

    public function test_the_usual_phases_before_the_current_last_as_long_as_a_forecast_allows(): void
    {
        foreach (CurrentKind::cases() as $current) {
            self::assertEqualsWithDelta(45.0, array_sum(array_map(static fn (Phase $p): float => $p->usualS($current), Phase::before($current))), 1e-9);
        }
    }

    public function test_the_same_seed_gives_the_same_session_and_another_seed_other_phases(): void
    {
        self::assertEquals(self::session(null, seed: 4), self::session(null, seed: 4));
        self::assertNotEquals(self::session(null, seed: 4)->phases, self::session(null, seed: 5)->phases);
    }

    /** @return iterable<string, array{Fault}> */
    public static function startFaults(): iterable
    {
        foreach (Fault::cases() as $fault) {
            if ($fault->preventsStart()) {
                yield $fault->value => [$fault];
            }
        }
    }

    #[DataProvider('startFaults')]
    public function test_what_fails_before_the_current_ends_there_without_any(Fault $fault): void
    {
        $session = self::session(new InjectedFault($fault));
        $last = $session->phases[count($session->phases) - 1];

        self::assertSame([SimulationOutcome::NeverStarted, $fault->phase(), true, 180.0, 3.0, 0.0], [$session->outcome, $last->phase, $last->isFailing, $last->toS, $session->minutes, $session->plugKwh]);
        self::assertSame([0.0], array_values(array_unique(array_map(static fn (Reading $r): ?float => $r->kw, $session->readings))));
        self::assertSame(['failed_start', $fault->phase()->value], [$session->events[count($session->events) - 1]->code->value, $session->events[count($session->events) - 1]->detail]);
        self::assertSame([], array_filter(array_slice($session->phases, 0, -1), static fn (PhaseSpan $s): bool => $s->isFailing));
    }

    public function test_what_fails_in_the_middle_or_at_the_end_says_so(): void
    {
        $ends = static fn (Fault $fault, ?float $minute = null): array => [($s = self::session(new InjectedFault($fault, $minute)))->outcome, round($s->minutes, 4), $s->events[count($s->events) - 1]->code->value];
        $whole = round(self::session(null)->minutes, 4);

        self::assertSame([SimulationOutcome::Stopped, 5.0, 'stopped_by_station'], $ends(Fault::LinkLost, 5.0));
        self::assertSame([SimulationOutcome::Stopped, 4.5, 'stopped_by_station'], $ends(Fault::EmergencyStop, 4.5));
        self::assertSame([SimulationOutcome::Charged, $whole, 'latch_stuck'], $ends(Fault::LatchStuck));
        self::assertSame([SimulationOutcome::Charged, $whole, 'stopped_by_car'], $ends(Fault::Welding));
    }

    /** The battery is at 320 V: a good pre-charge ends within 20 V of it, a failing one does not. */
    public function test_the_station_comes_within_20_v_of_the_battery_or_the_contactors_stay_open(): void
    {
        foreach ([1, 2, 3, 4, 5] as $seed) {
            $off = static fn (?Fault $fault): float => abs(self::lastIn(Phase::Precharge, $fault, $seed)->output->stationV - 320.0);
            self::assertLessThanOrEqual(StationVolts::WITHIN_V, $off(null));
            self::assertGreaterThan(StationVolts::WITHIN_V, $off(Fault::Precharge));
        }
        self::assertSame([0.0, 0.0], [self::lastIn(Phase::Link, null, 1)->output->stationV, self::lastIn(Phase::Released, null, 1)->output->stationV]);
    }

    public function test_energy_is_what_the_power_adds_up_to_and_a_fault_never_brings_more(): void
    {
        $plain = self::session(null);
        $kwh = 0.0;
        foreach (array_slice($plain->readings, 1) as $number => $reading) {
            $kwh += ($reading->kw + $plain->readings[$number]->kw) / 2 * ($reading->tMs - $plain->readings[$number]->tMs) / 3_600_000;
        }
        self::assertEqualsWithDelta($plain->plugKwh, $kwh, 0.01 * $kwh);
        foreach ([Fault::Derated, Fault::CoolingFailed, Fault::LinkLost] as $fault) {
            $session = self::session(new InjectedFault($fault));
            self::assertGreaterThan($fault === Fault::LinkLost ? 0.0 : $plain->minutes, $session->minutes);
            self::assertLessThan($plain->plugKwh + 0.01, $session->plugKwh);
        }
    }

    /**
     * 150 kW without a fault. A derated stall gives 30 % of it, 45 kW; a dead pump a fifth of the current, 30 kW; beside a
     * neighbour half of 200 kW are left.
     */
    public function test_a_fault_leaves_what_it_should_from_its_own_moment(): void
    {
        $shared = Cases::file(outlet: ['cabinet' => ['kw' => 200, 'policy' => 'halves', 'partner_active' => false]]);
        foreach ([[Fault::Derated, 5.0, 45.0, Cases::file()], [Fault::CoolingFailed, 5.0, 30.0, Cases::file()], [Fault::Neighbour, 5.0, 100.0, $shared]] as [$fault, $minute, $kw, $file]) {
            $at = static fn (array $readings, float $tS): ?float => array_values(array_filter($readings, static fn (Reading $r): bool => abs($r->tS() - $tS) < 1e-6))[0]->kw ?? null;
            $readings = self::session(new InjectedFault($fault, $minute), $file)->readings;

            self::assertEqualsWithDelta(150.0, $at($readings, 60 * $minute - 5), 0.5, $fault->value);
            self::assertEqualsWithDelta($kw, $at($readings, 60 * $minute + 5), 0.5, $fault->value);
        }
    }

    /** A2 is rated 500 A for 15 minutes and 300 A continuous: its boost usually ends after 70 % of 15 minutes of current. */
    public function test_a_boost_ends_early_at_its_continuous_rating(): void
    {
        $file = Cases::file(outlet: ['coupler' => 'j3400', 'max_kw' => 400], adapters: [['holds_back' => true]], case: ['vehicle.charge_curve_kw' => [[0, 160], [100, 160]], 'vehicle.inlets.0.dc.max_kw' => 400, 'vehicle.pack.usable_kwh' => 110]);
        $simulation = self::simulation(new InjectedFault(Fault::BoostSpent), $file, 3);
        $minute = $simulation->fault()?->minute;
        $amps = [];
        foreach ($simulation->session(new ExactInstruments(Cases::answer($file)->best->chain), 5)->readings as $reading) {
            $amps[(string) $reading->tS()] = $reading->amps;
        }

        self::assertEqualsWithDelta(0.75 + 0.7 * 15, $minute, 1e-9);
        self::assertGreaterThan(400.0, $amps[(string) (60 * $minute - 5)]);
        self::assertEqualsWithDelta(300.0, $amps[(string) (60 * $minute + 5)], 0.5);
    }

    /** Whole percent and late, a little off in amps, to a kelvin; and the station counts what its cable loses. */
    public function test_instruments_as_found_are_off_a_little_and_in_their_own_ways(): void
    {
        $chain = Cases::answer(Cases::file())->best->chain;
        $simulation = self::simulation(null, Cases::file(), 3);
        $exact = $simulation->session(new ExactInstruments($chain), 5);
        $found = $simulation->session(new FoundInstruments($chain, 25.0, 3), 5);

        $off = [];
        foreach ($found->readings as $number => $reading) {
            $true = $exact->readings[$number];
            self::assertSame([floor((float) $reading->socPct), []], [$reading->socPct, $true->celsius]);
            self::assertLessThanOrEqual($true->socPct, $reading->socPct, 'a screen never runs ahead');
            self::assertGreaterThan($true->socPct - 2.0, $reading->socPct);
            self::assertArrayHasKey('handle', $reading->celsius);
            $off[] = ($true->amps ?? 0.0) > 100.0 ? $reading->amps / $true->amps - 1 : 0.0;
        }
        $off = array_values(array_filter($off, static fn (float $o): bool => $o !== 0.0));
        self::assertLessThan(0.015, max(array_map(abs(...), $off)));
        self::assertGreaterThan(0.0005, abs(array_sum($off) / count($off)), 'a logger is off as a whole, not only reading by reading');
        self::assertEqualsWithDelta($exact->plugKwh / (1 - 0.012), $found->stationKwh, 1e-6);
    }

    /** The screen is eight seconds late, whether somebody looks each second or once a minute. */
    public function test_a_screen_is_no_later_for_being_looked_at_seldom(): void
    {
        $chain = Cases::answer(Cases::file())->best->chain;
        $shown = static function (int $everyS) use ($chain): array {
            $readings = self::simulation(null, Cases::file(), 3)->session(new FoundInstruments($chain, 25.0, 3), $everyS)->readings;
            $minutes = array_filter($readings, static fn (Reading $r): bool => $r->tMs % 60_000 === 0);

            return array_combine(array_map(static fn (Reading $r): int => $r->tMs, $minutes), array_map(static fn (Reading $r): ?float => $r->socPct, $minutes));
        };

        self::assertSame($shown(1), $shown(60));
    }

    /** @return iterable<string, array{string, InjectedFault, array<string, mixed>}> */
    public static function impossible(): iterable
    {
        $ac = Cases::file(car: ['inlets.0.coupler' => 'type1'], post: Cases::AC_POST);
        yield 'no insulation test on AC' => ['an AC session has no such phase', new InjectedFault(Fault::Isolation), $ac];
        yield 'no data link on AC' => ['an AC session has no such phase', new InjectedFault(Fault::LinkLost), $ac];
        yield 'no cooled cable' => ["isn't cooled", new InjectedFault(Fault::CoolingFailed), Cases::file(outlet: ['cable.cooled' => false])];
        yield 'no cabinet' => ['this stall shares no cabinet', new InjectedFault(Fault::Neighbour), Cases::file()];
        yield 'a cabinet with enough' => ['about all the car takes', new InjectedFault(Fault::Neighbour), Cases::file(outlet: ['cabinet' => ['kw' => 700, 'policy' => 'halves']])];
        yield 'no boost' => ['no boost can end', new InjectedFault(Fault::BoostSpent), Cases::file()];
        yield 'a minute at the start' => ['Leave out the minute', new InjectedFault(Fault::Precharge, 3.0), Cases::file()];
        yield 'after the end' => ['current flows from minute 0.8 to minute', new InjectedFault(Fault::LinkLost, 300.0), Cases::file()];
        yield 'before the current' => ['current flows from minute 0.8 to minute', new InjectedFault(Fault::LinkLost, 0.2), Cases::file()];
    }

    /** @param  array<string, mixed>  $file */
    #[DataProvider('impossible')]
    public function test_what_cannot_happen_here_is_refused_with_its_reason(string $reason, InjectedFault $fault, array $file): void
    {
        $refused = Say::refusal(static fn () => self::session($fault, $file));

        self::assertStringStartsWith('fault: ', $refused);
        self::assertStringContainsString($reason, $refused);
    }

    public function test_a_chain_that_does_not_charge_is_not_played(): void
    {
        self::assertStringContainsString('this chain does not charge', Say::refusal(static fn () => self::session(null, Cases::file(outlet: ['coupler' => 'chademo']))));
        self::assertStringContainsString('vehicle.pack.usable_kwh: ', Say::refusal(static fn () => self::session(null, Cases::file(car: ['pack.usable_kwh' => null]))));
    }

    public function test_every_phase_fault_and_remedy_has_its_words_and_none_are_left_over(): void
    {
        $messages = [];
        foreach (CurrentKind::cases() as $current) {
            foreach (Phase::all($current) as $phase) {
                $messages = [...$messages, ...array_map(static fn (Witness $w): Message => $phase->sign($w, $current), Witness::cases())];
            }
        }
        foreach (Fault::cases() as $fault) {
            self::assertSame([], array_uintersect($fault->remedies(), $fault->wrong(), static fn (Remedy $a, Remedy $b): int => $a->value <=> $b->value), "{$fault->value}: what helps is not wrong");
            $messages = [...$messages, ...array_map($fault->sign(...), Witness::cases()), ...array_map($fault->whyNot(...), $fault->wrong()), ...array_map(static fn (Remedy $r): Message => $r->message(), [...$fault->remedies(), ...$fault->wrong()])];
        }
        foreach ($messages as $message) {
            self::assertStringEndsWith('.', Say::it($message));
        }
        $said = array_map(static fn (Message $m): string => $m->code, $messages);
        $known = preg_grep('/^(?:sign|fault_sign|why_not|remedy)\./', array_keys(Language::english()->patterns));

        self::assertSame([], array_values(array_diff((array) $known, $said)));
    }

    private static function lastIn(Phase $phase, ?Fault $fault, int $seed): Instant
    {
        $last = null;
        foreach (self::simulation($fault === null ? null : new InjectedFault($fault), Cases::file(), $seed)->instants() as $instant) {
            $last = $instant->phase === $phase ? $instant : $last;
        }

        return $last ?? throw new \LogicException('every phase is reached');
    }

    /** @param  array<string, mixed>|null  $file */
    private static function session(?InjectedFault $fault, ?array $file = null, int $seed = 3): SimulatedSession
    {
        $file ??= Cases::file();

        return self::simulation($fault, $file, $seed)->session(new ExactInstruments(Cases::answer($file)->best->chain), 5);
    }

    /** @param  array<string, mixed>  $file */
    private static function simulation(?InjectedFault $fault, array $file, int $seed): Simulation
    {
        return Simulation::of(Cases::answer($file)->best, $seed, $fault);
    }
}
