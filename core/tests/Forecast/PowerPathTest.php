<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Forecast;

use Eris\Generators;
use Eris\TestTrait;
use Harmozon\Core\Forecast\PowerPath;
use PHPUnit\Framework\TestCase;

/** The exact solution of one stretch. 1 kW brings 0.0005 % a second here (50 kWh at 90 %). */
final class PowerPathTest extends TestCase
{
    use TestTrait;

    private const SOC_PER_KW_S = 0.0005;

    public function test_level_power_is_a_straight_line(): void
    {
        $path = PowerPath::line(100, 0, self::SOC_PER_KW_S);

        self::assertSame([100.0, 3.0, 60.0], [$path->kwAfter(60), $path->percentAfter(60), $path->secondsTo(3)]);
    }

    public function test_falling_power_nears_its_end_and_never_passes_it(): void
    {
        // 100 kW falling 5 kW a percent: nothing is left after 20 %. Half is left after 10 %, at t = ln 2 / 0.0025 s.
        $path = PowerPath::line(100, -5, self::SOC_PER_KW_S);

        self::assertEqualsWithDelta(log(2) / 0.0025, $path->secondsTo(10), 1e-9);
        self::assertEqualsWithDelta(50.0, $path->kwAfter(log(2) / 0.0025), 1e-9);
        self::assertSame([INF, INF], [$path->secondsTo(20), $path->secondsTo(30)]);
        self::assertEqualsWithDelta(20.0, $path->percentAfter(1e6), 1e-9);
    }

    public function test_a_ramp_rises_with_the_time(): void
    {
        // 10 kW/s for 6 s: 60 kW, and 180 kWs.
        $path = PowerPath::ramp(0, 10, self::SOC_PER_KW_S);

        self::assertEqualsWithDelta([60.0, 0.09, 6.0], [$path->kwAfter(6), $path->percentAfter(6), $path->secondsTo(0.09)], 1e-9);
    }

    public function test_time_and_charge_are_each_others_inverse(): void
    {
        $this->forAll(Generators::choose(1, 400), Generators::choose(-30, 30), Generators::choose(1, 2000))
            ->then(static function (int $kw, int $tenthsPerPercent, int $seconds): void {
                $path = PowerPath::line($kw, $tenthsPerPercent / 10, self::SOC_PER_KW_S);
                $percent = $path->percentAfter($seconds);

                self::assertEqualsWithDelta($seconds, $path->secondsTo($percent), 1e-6 * $seconds);
                // Along the line the power is what the charge says.
                self::assertEqualsWithDelta($kw + $tenthsPerPercent / 10 * $percent, $path->kwAfter($seconds), 1e-6 * $kw + 1e-9);
            });
    }

    public function test_two_halves_are_the_whole(): void
    {
        $this->forAll(Generators::choose(1, 400), Generators::choose(-30, 30), Generators::choose(1, 1000))
            ->then(static function (int $kw, int $tenthsPerPercent, int $seconds): void {
                $whole = PowerPath::line($kw, $tenthsPerPercent / 10, self::SOC_PER_KW_S);
                $rest = PowerPath::line($whole->kwAfter($seconds), $tenthsPerPercent / 10, self::SOC_PER_KW_S);

                self::assertEqualsWithDelta($whole->percentAfter(2 * $seconds), $whole->percentAfter($seconds) + $rest->percentAfter($seconds), 1e-9 + 1e-9 * $whole->percentAfter(2 * $seconds));
            });
    }
}
