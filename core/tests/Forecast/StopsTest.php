<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Forecast;

use Harmozon\Core\Case\EquipmentReader;
use Harmozon\Core\Chain\Conditions;
use Harmozon\Core\Fit\Fitter;
use Harmozon\Core\Forecast\AdvertisedPower;
use Harmozon\Core\Forecast\Ranking;
use Harmozon\Core\Forecast\RankOrder;
use Harmozon\Core\Forecast\Stop;
use Harmozon\Core\Json\Node;
use Harmozon\Core\Tests\Cases;
use Harmozon\Core\Tests\Say;
use PHPUnit\Framework\TestCase;

/** Stops for one car in their three orders, and stickers against plates. */
final class StopsTest extends TestCase
{
    private const FREE = ['per_minute' => '0', 'session_fee' => '0'];

    private const PRICE = self::FREE + ['currency' => 'USD', 'per_kwh' => '0.40'];

    public function test_three_orders_and_their_reasons(): void
    {
        $ranking = self::ranking([
            ['id' => 'fast', 'name' => 'Fast', 'tariff' => self::FREE + ['currency' => 'USD', 'per_kwh' => '0.60']],
            ['id' => 'cheap', 'name' => 'Cheap', 'max_kw' => 75, 'tariff' => self::PRICE],
            ['id' => 'unread', 'name' => 'Unread', 'max_kw' => 120, 'max_v' => null],
            ['id' => 'broken', 'name' => 'Broken', 'max_kw' => 100, 'tariff' => self::PRICE, 'known_fault' => 'latch sticks'],
            ['id' => 'foreign', 'name' => 'Foreign', 'coupler' => 'gbt_dc'],
        ]);

        self::assertSame(['fast', 'unread', 'broken', 'cheap', 'foreign'], self::ids($ranking->by(RankOrder::Time)));
        self::assertSame(['broken', 'cheap', 'fast', 'unread', 'foreign'], self::ids($ranking->by(RankOrder::Money)));
        self::assertSame(['fast', 'cheap', 'unread', 'broken', 'foreign'], self::ids($ranking->by(RankOrder::Risk)));

        $reason = static fn (string $id, RankOrder $order): string => Say::all($ranking->reasons(self::stop($ranking, $id), $order));
        self::assertSame("Quickest: 20 min, limited by the car's charge curve for 19 min of that.", $reason('fast', RankOrder::Time));
        self::assertStringContainsString("16 min more than Fast: limited by the station's maximum power", $reason('cheap', RankOrder::Time));
        // 44.211 kWh × 0.40 = 17.68; × 0.60 = 26.53.
        self::assertSame('None is cheaper: 17.68 USD for 44.2 kWh.', $reason('broken', RankOrder::Money));
        self::assertSame('17.68 USD for 44.2 kWh, the same as Broken.', $reason('cheap', RankOrder::Money));
        self::assertSame('26.53 USD for 44.2 kWh, 8.85 USD more than Broken.', $reason('fast', RankOrder::Money));
        self::assertStringStartsWith('Price not read', $reason('unread', RankOrder::Money));
        self::assertSame('Nothing in doubt: access and ratings are read, no fault is known.', $reason('fast', RankOrder::Risk));
        self::assertSame('Known fault: latch sticks.', $reason('broken', RankOrder::Risk));
        self::assertSame("Not read: the station's maximum voltage.", $reason('unread', RankOrder::Risk));
        self::assertStringContainsString('GB/T DC', $reason('foreign', RankOrder::Risk));
    }

    public function test_a_stop_that_ends_early_stands_behind_those_that_do_not(): void
    {
        $ranking = self::ranking([['id' => 'ceiling', 'name' => 'Ceiling', 'max_v' => 350], ['id' => 'slow', 'name' => 'Slow', 'max_kw' => 30]]);

        self::assertSame(['slow', 'ceiling'], self::ids($ranking->by(RankOrder::Time)));
        self::assertStringEndsWith("The station can't go above 350 V; the battery reaches that at 63 %.", Say::all($ranking->reasons(self::stop($ranking, 'ceiling'), RankOrder::Time)));
    }

    public function test_two_currencies_are_not_compared(): void
    {
        $ranking = self::ranking([['id' => 'home', 'tariff' => self::PRICE], ['id' => 'away', 'tariff' => self::FREE + ['currency' => 'EUR', 'per_kwh' => '0.90']]]);

        self::assertSame('17.68 USD for 44.2 kWh. Not compared: it is in another currency.', Say::all($ranking->reasons(self::stop($ranking, 'home'), RankOrder::Money)));
    }

    public function test_what_cannot_be_compared_is_not(): void
    {
        $ranking = self::ranking([
            // It ends before the target: neither quicker nor cheaper than one that gets there.
            ['id' => 'short', 'name' => 'Short', 'max_v' => 350, 'tariff' => self::FREE + ['currency' => 'USD', 'per_kwh' => '0.10']],
            ['id' => 'slow', 'name' => 'Slow', 'max_kw' => 30],
            ['id' => 'half', 'name' => 'Half read', 'max_kw' => 25, 'tariff' => ['currency' => 'USD', 'per_kwh' => '0.01']],
        ]);
        $reason = static fn (string $id, RankOrder $order): string => Say::all($ranking->reasons(self::stop($ranking, $id), $order));

        self::assertSame(['slow', 'half', 'short'], self::ids($ranking->by(RankOrder::Time)));
        self::assertStringStartsWith('Quickest: 89 min, limited by', $reason('slow', RankOrder::Time));
        self::assertStringStartsWith("14 min: limited by the car's charge curve", $reason('short', RankOrder::Time));
        self::assertStringStartsWith("3.32 USD for 33.2 kWh. The station can't go above", $reason('short', RankOrder::Money));
        self::assertStringStartsWith('Price not read', $reason('slow', RankOrder::Money));
        self::assertSame("At least 0.44 USD. Not read: the price per minute, the session fee. Check the sign at the stall or the network's app.", $reason('half', RankOrder::Money));
    }

    public function test_access_is_counted_and_said_once(): void
    {
        $ranking = self::ranking([['id' => 'closed', 'access' => ['kind' => null], 'max_v' => null]]);
        $stop = self::stop($ranking, 'closed');

        self::assertSame(3, $stop->risk, 'two for access, one for the volts');
        self::assertSame("Access not confirmed: who may start a session here; not read: the station's maximum voltage.", Say::all($ranking->reasons($stop, RankOrder::Risk)));
        self::assertStringEndsWith("Check first: who may start a session here, the station's maximum voltage.", Say::all($ranking->reasons($stop, RankOrder::Time)));
    }

    public function test_a_place_counts_as_faulty_only_when_no_stall_of_it_is_sound(): void
    {
        $dead = ['label' => '2', 'fault' => 'out of order'];
        $ranking = self::ranking([
            ['id' => 'dead', 'name' => 'Dead', 'stalls' => [$dead]],
            ['id' => 'half', 'name' => 'Half', 'stalls' => [['label' => '1'], $dead]],
        ]);

        self::assertSame(['half', 'dead'], self::ids($ranking->by(RankOrder::Risk)));
        self::assertSame([10, 0], [self::stop($ranking, 'dead')->risk, self::stop($ranking, 'half')->risk]);
        self::assertSame('Every stall has a known fault.', Say::all($ranking->reasons(self::stop($ranking, 'dead'), RankOrder::Risk)));
    }

    /** 44.211 kWh at 50 kW take 53.05 min and the handshake; half a minute more is more, less is none. */
    public function test_less_than_half_a_minute_is_no_difference(): void
    {
        $time = static fn (float $kw): string => Say::all(($ranking = self::ranking([['id' => 'one', 'name' => 'One', 'max_kw' => 50], ['id' => 'two', 'name' => 'Two', 'max_kw' => $kw]]))->reasons(self::stop($ranking, 'two'), RankOrder::Time));

        self::assertStringContainsString('the same as One', $time(49.57));
        self::assertStringContainsString('more than One', $time(49.5));
    }

    public function test_minutes_of_a_forecast_are_paid_as_they_were_planned(): void
    {
        // 45 s, then 44.211 kWh at 50 kW: 53.80 min and the ramp; at 0.10 that is 5.38.
        $ranking = self::ranking([['id' => 'clock', 'max_kw' => 50, 'tariff' => ['currency' => 'USD', 'per_kwh' => '0', 'per_minute' => '0.10', 'session_fee' => '0']]]);
        $stop = self::stop($ranking, 'clock');

        self::assertEqualsWithDelta(53.85, $stop->forecast->totals->minutes, 0.05);
        self::assertSame(number_format(round((float) $stop->forecast->totals->minutes, 6) * 0.1, 2), $stop->price);
    }

    public function test_ties(): void
    {
        $ranking = self::ranking([['id' => 'one', 'name' => 'One', 'tariff' => self::PRICE], ['id' => 'two', 'name' => 'Two', 'tariff' => self::PRICE]]);
        $told = static fn (string $id, RankOrder $order): string => strtok(Say::all($ranking->reasons(self::stop($ranking, $id), $order)), ',:') ?: '';

        self::assertSame(['None is quicker', '20 min'], [$told('one', RankOrder::Time), $told('two', RankOrder::Time)]);
        self::assertStringContainsString('20 min, the same as One', Say::all($ranking->reasons(self::stop($ranking, 'two'), RankOrder::Time)));
        self::assertSame(['None is cheaper', '17.68 USD for 44.2 kWh'], [$told('one', RankOrder::Money), $told('two', RankOrder::Money)]);
        self::assertSame('17.68 USD for 44.2 kWh, the same as One.', Say::all($ranking->reasons(self::stop($ranking, 'two'), RankOrder::Money)));
    }

    public function test_one_stop_alone_is_neither_the_quickest_nor_the_cheapest(): void
    {
        $ranking = self::ranking([['id' => 'only', 'tariff' => self::PRICE]]);
        $stop = self::stop($ranking, 'only');

        self::assertStringStartsWith('20 min: limited by', Say::all($ranking->reasons($stop, RankOrder::Time)));
        self::assertSame('17.68 USD for 44.2 kWh.', Say::all($ranking->reasons($stop, RankOrder::Money)));
    }

    public function test_a_full_car_is_held_by_nothing(): void
    {
        $case = Cases::read(Cases::file(case: ['conditions.soc_from' => 80]));
        $ranking = Ranking::of([self::outlet([])], $case->vehicle, new Fitter([], $case->conditions));

        self::assertSame('0.8 min: nothing to charge.', Say::all($ranking->reasons($ranking->by(RankOrder::Time)[0], RankOrder::Time)));
    }

    public function test_a_member_pays_the_members_price(): void
    {
        $outlets = [['id' => 'club', 'tariff' => self::FREE + ['currency' => 'USD', 'per_kwh' => '0.50', 'membership' => ['monthly_fee' => '5', 'per_kwh' => '0.30']]], ['id' => 'plain', 'tariff' => self::PRICE]];

        self::assertSame(['plain', 'club'], self::ids(self::ranking($outlets)->by(RankOrder::Money)));
        self::assertSame(['club', 'plain'], self::ids(self::ranking($outlets, member: true)->by(RankOrder::Money)));
    }

    public function test_a_350_sticker_gives_a_400_v_car_140_kw(): void
    {
        $sticker = new AdvertisedPower(self::outlet(['max_a' => 350, 'max_kw' => 350, 'max_v' => 920, 'min_v' => 150]));

        self::assertSame([105.0, 122.5, 140.0, 210.0, 245.0, 280.0], array_map($sticker->plateKwAt(...), AdvertisedPower::VOLTS));
        self::assertSame(0.0, $sticker->plateKwAt(921));
        self::assertSame(0.0, $sticker->plateKwAt(149));
        $car = $sticker->forCar(Cases::read(Cases::file())->vehicle, new Conditions);
        // Whatever the plate gives, the car's own curve takes 150 kW at the most.
        self::assertEqualsWithDelta(['leastV' => 320.0, 'mostV' => 360.0, 'leastKw' => 112.0, 'mostKw' => 126.0, 'takesKw' => 150.0, 'isAbout' => false], $car, 1e-9);
        $small = Cases::read(Cases::file(car: ['inlets.0.dc.max_a' => 200, 'origins' => ['inlets.0.dc.max_a' => ['origin' => 'typical']]]))->vehicle;
        // 200 A at the 360 V at the end of the charge.
        self::assertEqualsWithDelta([72.0, true], array_slice(array_values($sticker->forCar($small, new Conditions) ?? []), 4), 1e-9);
    }

    public function test_a_sticker_over_plates_nobody_read(): void
    {
        self::assertNull((new AdvertisedPower(self::outlet(['max_a' => null, 'max_kw' => null])))->plateKwAt(400));
        self::assertSame(150.0, (new AdvertisedPower(self::outlet(['max_a' => null, 'max_kw' => 150])))->plateKwAt(400));
        self::assertNull((new AdvertisedPower(self::outlet([])))->forCar(Cases::read(Cases::file(car: ['pack.voltage_by_soc' => null]))->vehicle, new Conditions));
    }

    /** @param  list<array<string, mixed>>  $outlets  changes to the standard post */
    private static function ranking(array $outlets, bool $member = false): Ranking
    {
        $case = Cases::read(Cases::file(case: ['conditions.member' => $member]));

        return Ranking::of(array_map(self::outlet(...), $outlets), $case->vehicle, new Fitter([], $case->conditions));
    }

    private static function outlet(array $changes): \Harmozon\Core\Equipment\Outlet
    {
        return (new EquipmentReader)->outlet(Node::of(Cases::changed(Cases::DC_POST, $changes)));
    }

    private static function stop(Ranking $ranking, string $id): Stop
    {
        foreach ($ranking->by(RankOrder::Time) as $stop) {
            if ($stop->outletId() === $id) {
                return $stop;
            }
        }
        self::fail("{$id} is not ranked");
    }

    /** @param  list<Stop>  $stops */
    private static function ids(array $stops): array
    {
        return array_map(static fn (Stop $s): string => $s->outletId(), $stops);
    }
}
