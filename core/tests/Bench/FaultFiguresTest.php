<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Bench;

use Harmozon\Core\Bench\ExactInstruments;
use Harmozon\Core\Bench\Fault;
use Harmozon\Core\Bench\Frames;
use Harmozon\Core\Bench\InjectedFault;
use Harmozon\Core\Bench\Instant;
use Harmozon\Core\Bench\Phase;
use Harmozon\Core\Bench\Simulation;
use Harmozon\Core\Record\Reading;
use Harmozon\Core\Tests\Cases;
use Harmozon\Core\Tests\Say;
use PHPUnit\Framework\TestCase;

/** When a fault happens unless somebody names a minute, what it takes to show, and the volts before the current. */
final class FaultFiguresTest extends TestCase
{
    /** A cabinet of 260 kW leaves 130 of 150 kW, one of 280 kW leaves 140: less than a tenth is taken, and nobody would see it. */
    public function test_a_neighbour_has_to_take_a_tenth(): void
    {
        $shared = static fn (int $kw): array => Cases::file(outlet: ['cabinet' => ['kw' => $kw, 'policy' => 'halves', 'partner_active' => false]]);
        $neighbour = self::played($shared(260), Fault::Neighbour)->fault()?->minute;
        $endS = self::endS(self::played($shared(260)));

        self::assertEqualsWithDelta(0.75 + 0.3 * ($endS / 60 - 0.75), $neighbour, 1 / 60, 'after three tenths of the session');
        self::assertStringContainsString('about all the car takes', Say::refusal(static fn () => self::played($shared(280), Fault::Neighbour)));
    }

    /** The adapter is rated 300 A continuous; beside a cable of 400 it is further above its rating, beside one of 250 it is not. */
    public function test_of_two_boosts_the_one_that_is_further_above_its_rating_ends(): void
    {
        foreach ([[400, 'a1', 300.0], [250, 'cable', 250.0]] as [$cableA, $linkId, $amps]) {
            $file = Cases::file(
                outlet: ['coupler' => 'j3400', 'max_kw' => 400, 'cable' => ['length_m' => 5, 'cooled' => false, 'continuous_a' => $cableA, 'boost_a' => 500, 'boost_minutes' => 10]],
                adapters: [['holds_back' => true, 'plate.boost_minutes' => 10]],
                case: ['vehicle.charge_curve_kw' => [[0, 160], [100, 160]], 'vehicle.inlets.0.dc.max_kw' => 400, 'vehicle.pack.usable_kwh' => 110],
            );
            $simulation = self::played($file, Fault::BoostSpent);
            $minute = (float) $simulation->fault()?->minute;
            $after = self::at($simulation, 60 * $minute + 5);

            self::assertEqualsWithDelta(0.75 + 0.7 * 10, $minute, 1e-6);
            self::assertSame($linkId, $after->output->linkId);
            self::assertEqualsWithDelta($amps, $after->output->amps, 0.5);
        }
    }

    public function test_a_minute_may_be_any_from_the_first_current_to_the_last(): void
    {
        self::assertSame(0.75, self::played(Cases::file(), Fault::LinkLost, 0.75)->fault()?->minute);
        $last = (self::endS(self::played(Cases::file())) + 1) / 60;
        self::assertStringContainsString('current flows from minute 0.8', Say::refusal(static fn () => self::played(Cases::file(), Fault::LinkLost, $last)));
        self::assertSame(0.75 + 1.5, self::played(Cases::file(), Fault::CoolingFailed)->fault()?->minute, 'cooling fails while the cable warms up');
    }

    /** The battery is at 320 V. The test of the insulation goes up to it and back, the pre-charge up to it, and stays. */
    public function test_the_volts_rise_and_fall_within_their_phases(): void
    {
        foreach ([1, 2, 3] as $seed) {
            $v = static fn (Phase $phase, ?Fault $fault = null): array => array_map(static fn (Instant $i): float => $i->output->stationV, self::in($phase, self::played(Cases::file(), $fault, null, $seed)));
            $insulation = $v(Phase::Isolation);
            self::assertGreaterThan(250.0, max($insulation));
            self::assertLessThanOrEqual(320.0 + 1e-9, max($insulation));
            self::assertLessThan(max($insulation), $insulation[0]);
            self::assertLessThan(max($insulation), $insulation[count($insulation) - 1]);

            $precharge = $v(Phase::Precharge);
            self::assertSame($precharge, self::ascending($precharge));
            self::assertEqualsWithDelta(316.0, $precharge[count($precharge) - 1], 4.0 + 1e-9, 'at most 8 V below the battery');
            self::assertEqualsWithDelta(320.0, min($v(Phase::Contactors)), 1e-9, 'closed, the two sides have one voltage');
            self::assertLessThan(320.0, max($v(Phase::Contactors, Fault::Contactor)), 'open, they keep their own');
            $failing = $v(Phase::Precharge, Fault::Precharge);
            self::assertEqualsWithDelta(370.0, $failing[count($failing) - 1], 20.0 + 1e-9, '30 to 70 V above it');
        }
    }

    /** On DC the output empties within two seconds of the stop; on AC the post has switched off. */
    public function test_the_output_empties_after_the_stop(): void
    {
        $v = static fn (array $file): array => array_map(static fn (Instant $i): float => round($i->output->stationV / $i->output->plugV, 6), array_slice(array_filter(self::in(Phase::Stop, self::played($file)), static fn (Instant $i): bool => $i->output->plugV > 0.0), 1, 3));

        self::assertSame([1.0, 0.5, 0.0], $v(Cases::file()));
        self::assertSame([0.0, 0.0, 0.0], $v(Cases::file(car: ['inlets.0.coupler' => 'type1'], case: ['conditions.soc_to' => 12], post: Cases::AC_POST)));
    }

    /** 42 kWh through 10 A take 17 hours, through 48 A less than one for the first 10 %. */
    public function test_only_a_long_level_session_is_walked_in_longer_steps_unless_each_second_is_wanted(): void
    {
        $instants = static fn (int $amps, int $socTo, bool $isEachSecond = false): array => [
            count($all = iterator_to_array(self::played(Cases::file(car: ['inlets.0.coupler' => 'type1'], outlet: ['supply.amps' => $amps], case: ['conditions.soc_to' => $socTo], post: Cases::AC_POST))->instants($isEachSecond), false)),
            end($all) === false ? 0.0 : end($all)->tS,
        ];
        foreach ([[48, 20, false, 1.0], [10, 80, false, 10.0], [10, 80, true, 1.0]] as [$amps, $socTo, $isEachSecond, $stepS]) {
            [$count, $endS] = $instants($amps, $socTo, $isEachSecond);
            self::assertEqualsWithDelta($endS / $stepS, $count, 0.02 * $count, "{$amps} A");
        }
    }

    /** A station gives up after three minutes, which is read whatever the interval. */
    public function test_the_last_moment_of_a_failed_start_is_read(): void
    {
        $chain = Cases::answer(Cases::file())->best->chain;
        $readings = self::played(Cases::file(), Fault::Precharge)->session(new ExactInstruments($chain), 50)->readings;

        self::assertSame([0, 50_000, 100_000, 150_000, 180_000], array_map(static fn (Reading $r): int => $r->tMs, $readings));
    }

    /** Every second in which much happens, and no more than a drawing needs of the rest. */
    public function test_frames_keep_each_second_where_much_happens(): void
    {
        $simulation = self::played(Cases::file(), Fault::CoolingFailed, 6.0);
        $all = iterator_to_array($simulation->instants(), false);
        $frames = Frames::of($simulation);
        $seconds = array_map(static fn (Instant $i): float => $i->tS, $frames);

        self::assertSame([$all[0]->tS, $all[count($all) - 1]->tS], [$seconds[0], $seconds[count($seconds) - 1]]);
        self::assertSame($seconds, self::ascending($seconds));
        $kept = static fn (float $from, float $to): int => count(array_filter($seconds, static fn (float $s): bool => $s >= $from && $s <= $to));
        self::assertSame(76, $kept(0.0, 75.0), 'until half a minute of current');
        self::assertSame(7, $kept(359.0, 365.0), 'from the second before the cooling fails to five seconds after it');
        $end = max(array_map(static fn (Instant $i): float => $i->phase === Phase::Current ? $i->tS : 0.0, $all));
        self::assertSame(count(array_filter($all, static fn (Instant $i): bool => $i->phase->isAfterCurrent())), count(array_filter($frames, static fn (Instant $i): bool => $i->phase->isAfterCurrent())));
        $between = array_values(array_filter($seconds, static fn (float $s): bool => $s > 400.0 && $s < $end));
        $gaps = array_map(static fn (float $a, float $b): float => $b - $a, array_slice($between, 0, -1), array_slice($between, 1));
        self::assertLessThanOrEqual(ceil(($end - 45.0) / 200) + 1, max($gaps));
        self::assertLessThan(200 + 76 + 7 + 60, count($frames));
    }

    /** @param  array<string, mixed>  $file */
    private static function played(array $file, ?Fault $fault = null, ?float $minute = null, int $seed = 3): Simulation
    {
        return Simulation::of(Cases::answer($file)->best, $seed, $fault === null ? null : new InjectedFault($fault, $minute));
    }

    private static function endS(Simulation $simulation): float
    {
        $current = self::in(Phase::Current, $simulation);

        return $current[count($current) - 1]->tS;
    }

    private static function at(Simulation $simulation, float $tS): Instant
    {
        foreach ($simulation->instants() as $instant) {
            if ($instant->tS >= $tS) {
                return $instant;
            }
        }
        throw new \LogicException('the session is over');
    }

    /** @return non-empty-list<Instant> */
    private static function in(Phase $phase, Simulation $simulation): array
    {
        $found = array_values(array_filter(iterator_to_array($simulation->instants(), false), static fn (Instant $i): bool => $i->phase === $phase));

        return $found === [] ? throw new \LogicException('it has that phase') : $found;
    }

    /**
     * @param  list<float>  $values
     * @return list<float>
     */
    private static function ascending(array $values): array
    {
        sort($values);

        return $values;
    }
}
