<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Case;

use Harmozon\Core\Case\CarKindsReader;
use Harmozon\Core\Case\PackVolts;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A battery's voltage that is told as one figure. */
final class PackVoltsTest extends TestCase
{
    private const DAY = '2031-05-02';

    /** @return iterable<string, array{float, string}> */
    public static function nominal(): iterable
    {
        yield 'a small car' => [355.0, '350'];
        // Half way between 352 V and 394 V, and just above.
        yield 'below the middle' => [372.9, '350'];
        yield 'above the middle' => [373.1, '400'];
        yield '650 V' => [650.0, '650'];
        yield '800 V' => [800.0, '800'];
    }

    #[DataProvider('nominal')]
    public function test_the_nearest_class_is_scaled_to_the_nominal_voltage(float $nominalV, string $class): void
    {
        $volts = self::packVolts()->curve($nominalV, null);

        self::assertSame($class, self::packVolts()->classOf($nominalV));
        self::assertEqualsWithDelta($nominalV, $volts?->value->at(50), 1e-9);
    }

    /** 352 V at 50 % of its class: 370 V is 1.051 of it, at every charge and at both ends of the spread. */
    public function test_the_spread_of_the_class_is_kept(): void
    {
        $volts = self::packVolts()->curve(370.0, null);

        self::assertEqualsWithDelta([310 * 370 / 352, 288 * 370 / 352, 410 * 370 / 352], [$volts?->value->at(0), $volts?->low->at(0), $volts?->high->at(100)], 1e-9);
        self::assertSame([345.0, null], [self::packVolts()->curve(null, '400')?->value->at(0), self::packVolts()->curve(null, null)]);
    }

    public function test_a_figure_that_was_told_fills_in_the_curve_and_a_curve_that_was_typed_stays(): void
    {
        $told = static fn (array $before, array $after): array => self::packVolts()->completed(['pack' => $before], ['pack' => $after], self::DAY);
        $filled = $told(['usable_kwh' => 60], ['usable_kwh' => 60, 'nominal_v' => 352]);

        self::assertSame([[0.0, 310.0], [10.0, 325.0]], array_slice($filled['pack']['voltage_by_soc'], 0, 2));
        self::assertSame(['typical', self::DAY], [$filled['origins']['pack.voltage_by_soc']['origin'], $filled['origins']['pack.voltage_by_soc']['on']]);
        self::assertSame([0.0, 620.0], $told([], ['class' => '800'])['pack']['voltage_by_soc'][0]);
        // Typed together, told before, or a class that is none: the plate stays as it was typed.
        foreach ([[[], ['nominal_v' => 352, 'voltage_by_soc' => [[0, 300]]]], [['nominal_v' => 352], ['nominal_v' => 352, 'usable_kwh' => 70]], [[], ['class' => 'none']], [['nominal_v' => 352], ['nominal_v' => null]]] as [$before, $after]) {
            self::assertSame(['pack' => $after], $told($before, $after));
        }
        // One that was typed before stays; one that was only typical goes.
        $typed = ['voltage_by_soc' => [[0, 300]]];
        self::assertSame([[0, 300]], $told($typed, [...$typed, 'nominal_v' => 352])['pack']['voltage_by_soc']);
        $typical = self::packVolts()->completed(['pack' => $typed], ['pack' => [...$typed, 'nominal_v' => 352], 'origins' => ['pack.voltage_by_soc' => ['origin' => 'typical']]], self::DAY);
        self::assertSame([0.0, 310.0], $typical['pack']['voltage_by_soc'][0]);
    }

    private static function packVolts(): PackVolts
    {
        return new PackVolts((new CarKindsReader)->json((string) file_get_contents(__DIR__.'/../../catalogue/car-kinds.json')));
    }
}
