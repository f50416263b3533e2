<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Review;

use Harmozon\Core\Equipment\Tariff;
use Harmozon\Core\Review\StationMeter;
use Harmozon\Core\Tests\Say;
use PHPUnit\Framework\TestCase;

final class CountedTest extends TestCase
{
    /** 0.45 a kWh, 0.10 a minute. */
    private static function tariff(?string $perKwh = '0.45'): Tariff
    {
        return new Tariff('USD', $perKwh, '0.10', '1.00', null, null, null);
    }

    private static function told(?float $station, ?float $read, ?string $paid = null, ?float $minutes = 20.0, string $currency = 'USD', ?Tariff $tariff = null): string
    {
        return Say::all((new StationMeter($tariff ?? self::tariff(), false, $station, $read, $minutes, $paid === null ? null : ['amount' => $paid, 'currency' => $currency]))->messages());
    }

    public function test_nothing_is_told_of_what_nobody_has_read(): void
    {
        self::assertSame('', self::told(null, 30.0));
        self::assertSame('', self::told(30.0, null));
        self::assertSame('', self::told(30.0, 0.0));
    }

    public function test_the_stations_energy_is_held_against_the_readings(): void
    {
        self::assertStringContainsString('5 % apart, as expected', self::told(31.5, 30.0));
        self::assertStringContainsString('10 % more', self::told(33.0, 30.0));
        self::assertStringContainsString(', 10 % less', self::told(27.0, 30.0));
        // 5.3 % are more than rounding.
        self::assertStringContainsString(', 5 % more', self::told(31.6, 30.0));
    }

    /** 30 kWh × 0.45 + 20 min × 0.10 + 1.00 = 16.50; 3 % of it are 0.495. */
    public function test_the_price_is_held_against_the_tariff_for_what_the_station_counted(): void
    {
        self::assertSame('16.50', (new StationMeter(self::tariff(), false, 30.0, 12.0, 20.0, null))->tariffAmount());
        self::assertSame('16.50', (new StationMeter(self::tariff(), false, null, 30.0, 20.0, null))->tariffAmount());
        self::assertNull((new StationMeter(null, false, null, 30.0, 20.0, null))->tariffAmount());
        self::assertStringContainsString('16.50 USD, as expected', self::told(30.0, null, '16.99'));
        self::assertStringContainsString('the tariff gives 16.50 USD. Look for an idle', self::told(30.0, null, '17.00'));
        self::assertStringContainsString('as expected', self::told(30.0, null, '16.01'));
        self::assertStringContainsString('the tariff gives 16.50 USD. If the price', self::told(30.0, null, '16.00'));
    }

    public function test_what_cannot_be_compared_is_said(): void
    {
        self::assertStringContainsString('the two are not compared', self::told(30.0, null, '16.50', currency: 'EUR'));
        self::assertStringContainsString("Can't be compared", self::told(null, null, '16.50'));
        self::assertStringContainsString("Can't be compared", self::told(30.0, null, '16.50', minutes: null));
        self::assertStringContainsString("Can't be compared", self::told(30.0, null, '16.50', tariff: self::tariff(null)));
    }
}
