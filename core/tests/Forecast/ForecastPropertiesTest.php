<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Forecast;

use Eris\Generator;
use Eris\Generators;
use Eris\TestTrait;
use Harmozon\Core\Chain\Conditions;
use Harmozon\Core\Fit\ChainAnswer;
use Harmozon\Core\Forecast\Forecast;
use Harmozon\Core\Forecast\Forecaster;
use Harmozon\Core\Power\AmpLimit;
use Harmozon\Core\Power\Limits;
use Harmozon\Core\Power\LimitSet;
use Harmozon\Core\Tests\Cases;
use PHPUnit\Framework\TestCase;

/** What the physics allows, whatever the plates. */
final class ForecastPropertiesTest extends TestCase
{
    use TestTrait;

    public function test_energy_is_power_integrated_and_the_pack_gets_no_more_than_the_plug_gives(): void
    {
        $this->forAll(self::plates(), Generators::choose(0, 60), Generators::choose(5, 40))
            ->then(static function (array $outlet, int $from, int $more): void {
                $forecast = self::forecast(self::file($outlet, ['conditions.soc_from' => $from, 'conditions.soc_to' => $from + $more]));
                $kwh = 0.0;
                foreach ($forecast->course->points as $i => $point) {
                    $next = $forecast->course->points[$i + 1] ?? $point;
                    self::assertLessThanOrEqual(30.0 + 1e-6, $next->tS - $point->tS);
                    self::assertEqualsWithDelta($point->flow->kw, $point->flow->volts * $point->flow->amps / 1000, 1e-6);
                    $kwh += ($point->flow->kw + $next->flow->kw) / 2 * ($next->tS - $point->tS) / 3600;
                }

                self::assertEqualsWithDelta($kwh, $forecast->totals->plugKwh, 0.002 * $forecast->totals->plugKwh + 0.005);
                self::assertGreaterThanOrEqual($forecast->totals->packKwh, $forecast->totals->plugKwh);
                self::assertEqualsWithDelta(60 * ($forecast->totals->socEnd - $from) / 100, $forecast->totals->packKwh, 1e-6);
                self::assertEqualsWithDelta($forecast->totals->minutes, 0.75 + array_sum($forecast->totals->minutesByBinding), 1e-6);
            });
    }

    public function test_a_tighter_limit_never_shortens_the_time(): void
    {
        $paths = ['outlet.max_a', 'outlet.max_kw', 'outlet.cable.continuous_a', 'vehicle.inlets.0.dc.max_a', 'vehicle.inlets.0.dc.max_kw'];
        $this->forAll(Generators::elements($paths), Generators::choose(20, 400), Generators::choose(0, 300), self::plates(boosts: false))
            ->then(static function (string $path, int $low, int $more, array $outlet): void {
                $minutes = static fn (int $value): float => self::forecast(self::file($outlet, [$path => $value]))->totals->minutes ?? INF;

                self::assertGreaterThanOrEqual($minutes($low + $more) - 1e-6, $minutes($low));
            });
    }

    public function test_a_smaller_continuous_rating_never_shortens_the_time(): void
    {
        $this->forAll(Generators::choose(100, 300), Generators::choose(0, 150), Generators::choose(3, 30))
            ->then(static function (int $low, int $more, int $boostMinutes): void {
                $minutes = static fn (int $continuousA): float => self::forecast(self::boosted($continuousA, 460, $boostMinutes))->totals->minutes ?? INF;

                self::assertGreaterThanOrEqual($minutes($low + $more) - 1e-6, $minutes($low));
            });
    }

    /**
     * The one exception to "a tighter limit never shortens the time", and it is the physics of the plate: warmth grows with
     * the square of the amps, so a warm adapter carries more in the long run when the station does not press it.
     */
    public function test_sparing_a_warm_adapter_may_be_quicker(): void
    {
        $minutes = static fn (int $stationA): float => self::forecast(Cases::changed(self::boosted(200, 480, 8), ['conditions.theta' => ['a1' => 0.99], 'outlet.max_a' => $stationA]))->totals->minutes ?? INF;

        self::assertLessThan($minutes(480), $minutes(210));
    }

    public function test_small_steps_and_large_ones_agree(): void
    {
        $this->limitTo(12)->forAll(self::plates(), Generators::choose(0, 45), Generators::elements([0.0, 0.8, 1.2]))
            ->then(static function (array $outlet, int $ambient, float $theta): void {
                // The first half of a session, where boosts end: a tenth of a second takes long to walk through.
                $file = Cases::changed(self::file($outlet, []), ['conditions.soc_to' => 45, 'conditions.ambient_c' => $ambient, 'conditions.theta' => ['cable' => $theta]]);
                $second = self::forecast($file, 1.0);
                foreach ([self::forecast($file, 0.1), self::forecast($file)] as $other) {
                    self::assertEqualsWithDelta($second->totals->minutes, $other->totals->minutes, 0.005 * $second->totals->minutes);
                    self::assertEqualsWithDelta($second->totals->plugKwh, $other->totals->plugKwh, 1e-6);
                    self::assertEqualsWithDelta($second->course->heat[0]->thetaEnd, $other->course->heat[0]->thetaEnd, 0.005);
                }
            });
    }

    /** Against a walk that knows nothing of exact solutions: the smallest limit now, a fifth of a second at a time. */
    public function test_a_plain_walk_in_small_steps_ends_at_the_same_minute(): void
    {
        $this->limitTo(12)->forAll(self::plates(), Generators::choose(0, 40), Generators::choose(10, 40))
            ->then(static function (array $outlet, int $from, int $more): void {
                $case = Cases::read(self::file($outlet, ['conditions.soc_from' => $from, 'conditions.soc_to' => $from + $more, 'conditions.ambient_c' => 40]));
                $answer = $case->fitter()->answer($case->outlet, $case->vehicle)->best;
                $forecast = (new Forecaster)->forecast($answer, $case->conditions);
                [$minutes, $theta] = self::plainWalk($answer, $case->conditions);

                self::assertEqualsWithDelta($minutes, $forecast->totals->minutes, 0.005 * $minutes);
                self::assertEqualsWithDelta($theta, $forecast->course->heat[0]->thetaEnd, 0.01);
            });
    }

    /** @return array{float, float} minutes, and the cable's heat load at the end */
    private static function plainWalk(ChainAnswer $answer, Conditions $conditions): array
    {
        $limits = Limits::ofChain($answer->chain, $answer->voltage, $conditions) ?? self::fail('the chain has volts');
        $cable = $limits->changing->heat[0];
        [$soc, $theta, $kw, $s, $stepS, $aboveS] = [$conditions->charge->socFrom, $cable->theta, 0.0, 45.0, 0.2, 0.0];
        $warm = $theta >= 0.5;
        while ($soc < $conditions->charge->socTo) {
            $others = new LimitSet($limits->plugV, 1, array_values(array_filter($limits->amps, static fn (AmpLimit $l): bool => $l->linkId !== $cable->linkId)), $limits->kw, $limits->curve);
            $volts = $limits->plugV->at($soc);
            $kw = min($kw + 10 * $stepS, $others->kwAt($soc) ?? INF, ($theta < 1 && $aboveS < 60 * ($cable->duty->boostMinutes ?? INF) ? $cable->duty->boostA : $cable->duty->effectiveA) * $volts / 1000);
            $theta += (($kw * 1000 / $volts / $cable->duty->effectiveA) ** 2 - $theta) / $cable->duty->tauMinutes * $stepS / 60;
            $aboveS = match (true) {
                $theta < 0.5 && $warm => 0.0,
                default => $aboveS + ($kw * 1000 / $volts > $cable->duty->continuousA * 1.0001 ? $stepS : 0.0),
            };
            $warm = $theta >= 0.5;
            $soc += $kw * 0.95 / 60 / 36 * $stepS;
            $s += $stepS;
        }

        return [$s / 60, $theta];
    }

    public function test_sparing_points_changes_no_total(): void
    {
        $this->limitTo(30)->forAll(self::plates(), Generators::elements([Cases::DC_POST, Cases::AC_POST]))
            ->then(static function (array $outlet, array $post): void {
                $case = Cases::read(Cases::file(outlet: $post === Cases::AC_POST ? [] : $outlet, post: $post));
                $answer = $case->fitter()->answer($case->outlet, $case->vehicle)->best;
                $full = (new Forecaster)->forecast($answer, $case->conditions);
                $spare = Forecaster::sparing()->forecast($answer, $case->conditions);

                self::assertEqualsWithDelta([$full->totals->minutes, $full->totals->plugKwh, $full->course->heat[0]->thetaEnd], [$spare->totals->minutes, $spare->totals->plugKwh, $spare->course->heat[0]->thetaEnd], 1e-6);
                self::assertLessThanOrEqual(count($full->course->points), count($spare->course->points));
            });
    }

    public function test_a_hotter_day_never_lengthens_a_boost(): void
    {
        $this->forAll(Generators::choose(-20, 55), Generators::choose(0, 30), Generators::choose(100, 400), Generators::choose(1, 30))
            ->then(static function (int $ambient, int $hotter, int $continuousA, int $minutes): void {
                $boost = static fn (int $c): ?float => self::forecast(Cases::changed(self::boosted($continuousA, 450, $minutes), ['conditions.ambient_c' => $c]))->course->heat[1]->boostMinutesToday();
                [$cool, $hot] = [$boost($ambient), $boost($ambient + $hotter)];

                self::assertLessThanOrEqual(($cool ?? INF) + 1e-9, $hot ?? INF);
            });
    }

    public function test_without_limits_the_car_follows_its_own_curve(): void
    {
        $this->forAll(Generators::choose(0, 70), Generators::choose(10, 30))
            ->then(static function (int $from, int $more): void {
                $forecast = self::forecast(Cases::file(
                    car: ['inlets.0.dc.max_a' => null, 'inlets.0.dc.max_kw' => null],
                    outlet: ['max_a' => 3000, 'max_kw' => 5000, 'cable' => null],
                    case: ['conditions.soc_from' => $from, 'conditions.soc_to' => $from + $more],
                ));
                $curve = Cases::read(Cases::file())->vehicle->chargeCurveKw;
                foreach ($forecast->course->points as $point) {
                    self::assertLessThanOrEqual($curve?->at($point->soc) + 0.05, $point->flow->kw);
                    if ($point->binding->value !== 'handshake' && $point->binding->value !== 'ramp') {
                        self::assertEqualsWithDelta($curve?->at($point->soc), $point->flow->kw, 1e-6);
                    }
                }
                self::assertSame(['ramp', 'vehicle_curve'], array_keys($forecast->totals->minutesByBinding));
            });
    }

    public function test_a_longer_way_takes_no_less_time_and_passes_through_the_shorter_one(): void
    {
        $this->forAll(self::plates(), Generators::choose(20, 60), Generators::choose(1, 30))
            ->then(static function (array $outlet, int $to, int $more): void {
                $short = self::forecast(self::file($outlet, ['conditions.soc_to' => $to]));
                $long = self::forecast(self::file($outlet, ['conditions.soc_to' => $to + $more]));

                self::assertGreaterThan($short->totals->minutes, $long->totals->minutes);
                foreach ($short->course->nextFive as $i => $marginal) {
                    if ($marginal->soc < $to) {
                        self::assertEqualsWithDelta($long->course->nextFive[$i]->minutesPer5, $marginal->minutesPer5, 1e-3);
                    }
                }
            });
    }

    private static function forecast(array $file, ?float $stepS = null): Forecast
    {
        $case = Cases::read($file);
        $forecaster = $stepS === null ? new Forecaster : new Forecaster($stepS);

        return $forecaster->forecast($case->fitter()->answer($case->outlet, $case->vehicle)->best, $case->conditions);
    }

    private static function file(array $outlet, array $changes): array
    {
        return Cases::changed(Cases::file(outlet: $outlet), $changes);
    }

    private static function boosted(int $continuousA, int $boostA, int $boostMinutes): array
    {
        return Cases::file(
            car: ['charge_curve_kw' => [[0, 150], [100, 150]]], outlet: ['coupler' => 'j3400'],
            adapters: [['plate.continuous_a' => $continuousA, 'plate.boost_a' => $boostA, 'plate.boost_minutes' => $boostMinutes]],
        );
    }

    /** Changes to an outlet: any amps and kW, its cable with or without a boost. */
    private static function plates(bool $boosts = true): Generator
    {
        return Generators::map(
            static fn (array $p): array => [
                'max_a' => $p[0], 'max_kw' => $p[1], 'cable.cooled' => false, 'cable.continuous_a' => $p[2],
                'cable.boost_a' => $boosts ? $p[2] + $p[3] : null, 'cable.boost_minutes' => $boosts ? 10 : null,
            ],
            Generators::tuple(Generators::choose(60, 500), Generators::choose(20, 350), Generators::choose(80, 400), Generators::choose(0, 200)),
        );
    }
}
