<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Power;

use Eris\Generators;
use Eris\TestTrait;
use Harmozon\Core\Equipment\Curve;
use Harmozon\Core\Power\AmpLimit;
use Harmozon\Core\Power\BindingCode;
use Harmozon\Core\Power\CurveLimit;
use Harmozon\Core\Power\KwLimit;
use Harmozon\Core\Power\LimitSet;
use Harmozon\Core\Power\PeakFinder;
use PHPUnit\Framework\TestCase;

final class PeakFinderTest extends TestCase
{
    use TestTrait;

    public function test_amps_rise_and_the_curve_falls_until_they_cross(): void
    {
        // 400 A × (300 V + s) = 120 + 0.4 s kW; the curve is 200 − s kW: equal at s = 80/1.4 = 57.14 %, 142.86 kW.
        $peak = (new PeakFinder)->find(self::limits(400, 1000, [[0, 200], [100, 100]]), 0, 100);

        self::assertNotNull($peak);
        self::assertEqualsWithDelta(142.857, $peak->kw, 0.001);
        self::assertEqualsWithDelta(57.143, $peak->soc, 0.001);
        self::assertSame(BindingCode::StationCurrent, $peak->binding);
    }

    public function test_a_constant_limit_below_everything_binds(): void
    {
        $peak = (new PeakFinder)->find(self::limits(400, 90, [[0, 200], [100, 100]]), 10, 80);

        self::assertNotNull($peak);
        self::assertSame([90.0, BindingCode::StationPower], [$peak->kw, $peak->binding]);
    }

    public function test_of_limits_that_bind_at_once_the_one_that_could_be_changed_is_named(): void
    {
        $codes = BindingCode::cases();
        usort($codes, static fn (BindingCode $a, BindingCode $b): int => $a->precedence() <=> $b->precedence());

        self::assertSame([
            'station_power', 'station_current', 'sharing', 'cable_current', 'adapter_current', 'adapter_power', 'converter_power', 'converter_current', 'supply_current',
            'vehicle_curve', 'cold_pack', 'vehicle_current', 'onboard_charger', 'ramp', 'handshake',
        ], array_map(static fn (BindingCode $c): string => $c->value, $codes));
        self::assertCount(count($codes), array_unique(array_map(static fn (BindingCode $c): int => $c->precedence(), $codes)));
    }

    public function test_without_any_limit_nothing_is_claimed(): void
    {
        self::assertNull((new PeakFinder)->find(new LimitSet(Curve::level(400), 1, [], [], null), 0, 100));
    }

    /** One finder is asked about many cars: what it keeps of one span or curve says nothing of another. */
    public function test_a_finder_that_was_asked_before_says_the_same(): void
    {
        $first = self::limits(400, 1000, [[0, 200], [100, 100]]);
        $other = new LimitSet($first->plugV, 1, $first->amps, $first->kw, self::limits(400, 1000, [[0, 90], [50, 130], [100, 20]])->curve);
        $none = new LimitSet($first->plugV, 1, $first->amps, [], null);
        $finder = new PeakFinder;
        foreach ([[$first, 0, 100], [$first, 0, 40], [$first, 20, 40], [$first, 20, 100], [$other, 20, 100], [$none, 20, 100], [$first, 0, 100]] as [$limits, $from, $to]) {
            self::assertEquals((new PeakFinder)->find($limits, $from, $to), $finder->find($limits, $from, $to), "from {$from} to {$to}");
        }
    }

    public function test_agrees_with_trying_every_hundredth_of_a_percent(): void
    {
        $this->limitTo(40)->forAll(Generators::choose(50, 600), Generators::choose(20, 300), Generators::vector(4, Generators::choose(5, 300)), Generators::choose(0, 90))
            ->then(static function (int $amps, int $kw, array $c, int $from): void {
                $limits = self::limits($amps, $kw, [[0, $c[0]], [30, $c[1]], [70, $c[2]], [100, $c[3]]]);
                $tried = 0.0;
                for ($i = 0; $i <= 1000; $i++) {
                    $soc = $from + (100 - $from) * $i / 1000;
                    $tried = max($tried, min($amps * $limits->kwPerAmp($soc), $kw, $limits->curve?->kw->at($soc) ?? INF));
                }
                $found = (new PeakFinder)->find($limits, $from, 100)?->kw;

                self::assertGreaterThanOrEqual($tried - 1e-9, $found);
                self::assertEqualsWithDelta($tried, $found, 1.1);
            });
    }

    /** @param  list<array{int|float, int|float}>  $curve */
    private static function limits(float $amps, float $kw, array $curve): LimitSet
    {
        return new LimitSet(
            Curve::through([[0.0, 300.0], [100.0, 400.0]]), 1,
            [new AmpLimit(BindingCode::StationCurrent, 'post', $amps)],
            [new KwLimit(BindingCode::StationPower, 'post', $kw)],
            new CurveLimit(BindingCode::VehicleCurve, 'pack', Curve::through(array_map(static fn (array $p): array => [(float) $p[0], (float) $p[1]], $curve))),
        );
    }
}
