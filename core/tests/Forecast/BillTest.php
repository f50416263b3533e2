<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Forecast;

use Harmozon\Core\Equipment\Membership;
use Harmozon\Core\Equipment\MinuteBand;
use Harmozon\Core\Equipment\Tariff;
use Harmozon\Core\Forecast\Bill;
use Harmozon\Core\Forecast\Usage;
use Harmozon\Core\Tests\Say;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class BillTest extends TestCase
{
    public function test_the_price_of_energy_is_rounded_once_at_the_end(): void
    {
        // 51.9 × 0.45 = 23.355, 51.9 × 0.34 = 17.646.
        $bill = self::bill(['perKwh' => '0.45', 'membership' => new Membership('7.00', '0.34')], 51.9);

        self::assertSame(['23.36', '17.65', 'USD'], [$bill?->amount(), $bill?->withMembership(), $bill?->currency()]);
        $member = Bill::of(new Tariff('USD', '0.45', '0', '0', null, null, new Membership('7.00', '0.34')), new Usage(51.9, []), isMember: true);
        self::assertSame(['17.65', '23.36'], [$member?->amount(), $member?->withoutMembership()]);
        self::assertSame('23.36', Bill::of(new Tariff('USD', '0.45', '0', '0', null, null, null), new Usage(51.9, []), isMember: true)?->amount());
    }

    public function test_tenths_that_floats_cannot_hold_add_up(): void
    {
        // 0.1 × 0.7 + 0.005: a float would make 0.07499…; in decimals it is 0.075 and rounds up.
        self::assertSame('0.08', self::bill(['perKwh' => '0.1', 'sessionFee' => '0.005'], 0.7)?->amount());
    }

    public function test_minutes_fee_and_idle_time_after_the_grace(): void
    {
        $tariff = ['perKwh' => '0.30', 'perMinute' => '0.05', 'sessionFee' => '1.00', 'idlePerMinute' => '0.40', 'idleGraceMinutes' => 5.0];

        // 6.00 + 30 × 0.05 + 1.00; then 12 min idle, 7 of them charged.
        self::assertSame('8.50', self::bill($tariff, 20, [[30.0, 40.0, 40.0]])?->amount());
        self::assertSame('8.50', self::bill($tariff, 20, [[30.0, 40.0, 40.0]], 5.0)?->amount());
        self::assertSame('11.30', self::bill($tariff, 20, [[30.0, 40.0, 40.0]], 12.0)?->amount());
        self::assertSame('2.80', self::bill($tariff, 20, [[30.0, 40.0, 40.0]], 12.0)?->idleFee());
        self::assertSame('7.50', self::bill($tariff, 20, [[30.0, 40.0, 40.0]], 12.0)?->runningAmount());
    }

    public function test_minutes_by_power_band(): void
    {
        $bands = [new MinuteBand(0, '0.20'), new MinuteBand(60, '0.40'), new MinuteBand(120, '0.60')];

        // 2 min below 60 kW, 10 min below 120 kW, 5 min above.
        self::assertSame('7.40', self::bill(['minuteBands' => $bands, 'perKwh' => '0'], 25, [[2.0, 30.0, 30.0], [10.0, 60.0, 60.0], [5.0, 150.0, 150.0]])?->amount());
    }

    public function test_a_changing_power_is_split_where_it_passes_a_band(): void
    {
        // From 40 to 100 kW in 6 minutes: 2 below 60 kW, 4 above; falling back the same. The handshake is below every band.
        $bands = [new MinuteBand(10, '0.20'), new MinuteBand(60, '0.40')];

        self::assertSame('4.15', self::bill(['minuteBands' => $bands, 'perKwh' => '0'], 25, [[0.75, 0.0, 0.0], [6.0, 40.0, 100.0], [6.0, 100.0, 40.0]])?->amount());
        // A flat price of minutes stands beside them.
        self::assertSame('16.90', self::bill(['minuteBands' => $bands, 'perKwh' => '0', 'perMinute' => '1.00'], 25, [[0.75, 0.0, 0.0], [6.0, 40.0, 100.0], [6.0, 100.0, 40.0]])?->amount());
    }

    public function test_amounts_are_computed_from_unrounded_energy(): void
    {
        // 100.0495 kWh × 10: a meter rounded to the watt-hour would make it 1000.50.
        self::assertSame('1000.49', self::bill(['perKwh' => '10'], 100.0494)?->amount());
        self::assertSame('1000.50', self::bill(['perKwh' => '10'], 100.0495)?->amount());
    }

    /**
     * @param  array<string, mixed>  $tariff
     * @param  list<string>  $unread
     */
    #[DataProvider('unreadPrices')]
    public function test_what_is_known_of_a_price_is_told_as_at_least(array $tariff, float $idleMinutes, ?string $amount, ?string $running, array $unread): void
    {
        $bill = self::bill(['perKwh' => '0.30', ...$tariff], 20, [[30.0, 40.0, 40.0]], $idleMinutes);
        self::assertSame($unread !== [], $bill?->isAtLeast());

        self::assertSame([$amount, $running, $unread], [$bill?->amount(), $bill?->runningAmount(), array_map(Say::it(...), $bill?->unread() ?? [])]);
    }

    /** @return iterable<string, array{array<string, mixed>, float, string|null, string|null, list<string>}> */
    public static function unreadPrices(): iterable
    {
        yield 'all that counts is read' => [[], 0.0, '6.00', '6.00', []];
        yield 'energy' => [['perKwh' => null], 0.0, '0.00', null, ['the price per kWh']];
        yield 'minutes' => [['perMinute' => null], 0.0, '6.00', null, ['the price per minute']];
        yield 'none of it' => [['perKwh' => null, 'perMinute' => null, 'sessionFee' => null, 'idlePerMinute' => null], 0.0, null, null, ['the price per kWh', 'the price per minute', 'the session fee']];
        yield 'minutes by power' => [['perMinute' => null, 'minuteBands' => [new MinuteBand(0, '0.10')]], 0.0, '9.00', '9.00', []];
        yield 'the fee' => [['sessionFee' => null], 0.0, '6.00', '6.00', ['the session fee']];
        yield 'idle minutes that nobody spends' => [['idlePerMinute' => null], 0.0, '6.00', '6.00', []];
        yield 'idle minutes' => [['idlePerMinute' => null, 'idleGraceMinutes' => 5.0], 5.1, '6.00', '6.00', ['the idle fee and when it starts']];
        yield 'idle minutes within the grace' => [['idlePerMinute' => null, 'idleGraceMinutes' => 5.0], 5.0, '6.00', '6.00', []];
        yield 'the grace' => [['idlePerMinute' => '0.40'], 5.0, '6.00', '6.00', ['the idle fee and when it starts']];
        yield 'the grace of minutes that cost nothing' => [['idlePerMinute' => '0'], 5.0, '6.00', '6.00', []];
    }

    /** @param  array<string, mixed>  $tariff */
    #[DataProvider('memberships')]
    public function test_when_a_membership_pays(array $tariff, float $kwh, ?string $perMonth, ?int $sessions): void
    {
        $bill = self::bill($tariff, $kwh);

        self::assertSame([$perMonth, $sessions], [$bill?->breakEvenKwhPerMonth(), $bill?->breakEvenSessionsPerMonth()]);
    }

    /** @return iterable<string, array{array<string, mixed>, float, string|null, int|null}> */
    public static function memberships(): iterable
    {
        // 7.00 / 0.12 = 58.33 kWh; 25 kWh save 3.00 a time, so the third session pays it; 7.00 / 0.07 = 100 kWh are two of 50 exactly.
        yield 'from the third session' => [['perKwh' => '0.48', 'membership' => new Membership('7.00', '0.36')], 25.0, '58.33', 3];
        yield 'exactly two' => [['perKwh' => '0.43', 'membership' => new Membership('7.00', '0.36')], 50.0, '100.00', 2];
        yield 'one large session' => [['perKwh' => '0.48', 'membership' => new Membership('7.00', '0.36')], 90.0, '58.33', 1];
        yield 'dearer for members' => [['perKwh' => '0.36', 'membership' => new Membership('7.00', '0.36')], 25.0, null, null];
        yield 'no membership' => [['perKwh' => '0.36'], 25.0, null, null];
        yield 'nothing charged' => [['perKwh' => '0.48', 'membership' => new Membership('7.00', '0.36')], 0.0, '58.33', null];
    }

    public function test_a_coin_of_the_currency_and_a_price_nobody_read(): void
    {
        self::assertSame('1234', self::bill(['currency' => 'JPY', 'perKwh' => '55.5'], 22.23)?->amount());
        self::assertNull(Bill::of(null, new Usage(10, [])));
        self::assertSame('0.00', self::bill(['perKwh' => '0'], 10)?->amount());
    }

    /**
     * @param  array<string, mixed>  $tariff  by property
     * @param  list<array{float, float, float}>  $minutes, and the kW with which they begin and end
     */
    private static function bill(array $tariff, float $kwh, array $minutes = [], float $idle = 0.0): ?Bill
    {
        return Bill::of(new Tariff(...[
            'currency' => 'USD', 'perKwh' => null, 'perMinute' => '0', 'sessionFee' => '0', 'idlePerMinute' => null, 'idleGraceMinutes' => null, 'membership' => null, ...$tariff,
        ]), new Usage($kwh, $minutes, $idle));
    }
}
