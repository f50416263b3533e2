<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Fit;

use Eris\Generators;
use Eris\TestTrait;
use Harmozon\Core\Fit\GateName;
use Harmozon\Core\Fit\Result;
use Harmozon\Core\Tests\Cases;
use PHPUnit\Framework\TestCase;

/** The voltage gate over whole ranges of stations, packs and converters. */
final class StepUpPropertiesTest extends TestCase
{
    use TestTrait;

    public function test_a_converter_never_passes_more_than_its_own_limits(): void
    {
        $this->forAll(Generators::choose(10, 150), Generators::choose(50, 400), Generators::choose(200, 590))
            ->then(static function (int $kw, int $inputA, int $stationV): void {
                $best = Cases::answer(Cases::file(
                    car: Cases::HIGH_VOLTAGE + ['inlets.0.dc.boost_converter' => ['max_kw' => $kw, 'max_input_a' => $inputA, 'input_v' => 400]],
                    outlet: ['max_v' => $stationV],
                ))->best;

                self::assertEqualsWithDelta(min($kw, $inputA * min(400, $stationV) / 1000, 500 * min(400, $stationV) / 1000, 150), $best->expectedPeakKw(), 1e-6);
                self::assertSame(Result::Caution, Cases::gate($best, GateName::Voltage)->result());
            });
    }

    public function test_without_a_way_to_step_up_only_the_ceiling_decides(): void
    {
        // 600 V at 10 %, 750 V at 80 %.
        $this->forAll(Generators::choose(200, 1000))->then(static function (int $stationV): void {
            $best = Cases::answer(Cases::file(car: Cases::HIGH_VOLTAGE, outlet: ['max_v' => $stationV]))->best;
            $expected = match (true) {
                $stationV < 600 => Result::Fail,
                $stationV < 750 => Result::Caution,
                default => Result::Pass,
            };

            self::assertSame($expected, Cases::gate($best, GateName::Voltage)->result(), "{$stationV} V");
            self::assertSame($expected !== Result::Fail, $best->outcome->mayFlow());
        });
    }

    public function test_a_lower_ceiling_never_lets_a_session_end_later(): void
    {
        $this->forAll(Generators::choose(600, 749), Generators::choose(0, 100))->then(static function (int $low, int $more): void {
            $stop = static fn (int $v): float => Cases::answer(Cases::file(car: Cases::HIGH_VOLTAGE, outlet: ['max_v' => $v]))->best->voltage->ceilingAtSoc ?? 80.0;

            self::assertLessThanOrEqual($stop($low + $more), $stop($low));
        });
    }

    public function test_a_piece_rated_below_the_session_is_always_a_hazard_and_above_never(): void
    {
        $this->forAll(Generators::choose(100, 1000))->then(static function (int $ratedV): void {
            $best = Cases::answer(Cases::file(outlet: ['coupler' => 'j3400'], adapters: [['plate.max_v' => $ratedV]]))->best;

            // The pack reaches 360 V at its target.
            self::assertSame($ratedV < 360, $best->outcome->value === 'hazard', "{$ratedV} V");
        });
    }
}
