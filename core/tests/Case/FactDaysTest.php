<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Case;

use Harmozon\Core\Case\FactDays;
use Harmozon\Core\Chain\FactOwner;
use Harmozon\Core\Tests\Cases;
use PHPUnit\Framework\TestCase;

final class FactDaysTest extends TestCase
{
    private const DAY = '2026-05-02';

    private const READ = ['origin' => 'read', 'on' => self::DAY];

    public function test_what_is_typed_was_read_on_that_day(): void
    {
        $noted = FactDays::noted(FactOwner::Adapter, [], ['plate' => ['max_v' => 1000, 'continuous_a' => null, 'boost_a' => 500], 'note' => 'red'], self::DAY);

        self::assertSame(['plate.boost_a' => self::READ, 'plate.max_v' => self::READ], self::sorted($noted['origins']));
        self::assertSame('red', $noted['note']);
    }

    public function test_what_is_left_as_it_was_keeps_its_origin_and_what_is_emptied_loses_it(): void
    {
        $usual = ['origin' => 'typical'];
        $before = ['plate' => ['max_v' => 1000, 'continuous_a' => 300, 'boost_a' => 500], 'origins' => ['plate.max_v' => $usual, 'plate.continuous_a' => $usual, 'plate.boost_a' => $usual]];
        $after = ['plate' => ['max_v' => 1000, 'continuous_a' => 250, 'boost_a' => null], 'origins' => $before['origins']];

        self::assertSame(['plate.continuous_a' => self::READ, 'plate.max_v' => $usual], self::sorted(FactDays::noted(FactOwner::Adapter, $before, $after, self::DAY)['origins']));
        self::assertArrayNotHasKey('origins', FactDays::noted(FactOwner::Adapter, $before, ['plate' => []], self::DAY), 'nothing is known any more');
    }

    public function test_an_origin_that_somebody_names_gets_the_day_and_stays(): void
    {
        $estimated = ['origin' => 'estimated'];
        $before = ['usable_kwh' => 60, 'pack' => ['usable_kwh' => 60]];
        $named = FactDays::noted(FactOwner::Vehicle, $before, ['pack' => ['usable_kwh' => 61], 'origins' => ['pack.usable_kwh' => $estimated]], self::DAY);
        $again = FactDays::noted(FactOwner::Vehicle, $named, ['pack' => ['usable_kwh' => 61], 'origins' => ['pack.usable_kwh' => [...$estimated, 'on' => self::DAY]]], '2026-06-01');

        self::assertSame(['pack.usable_kwh' => [...$estimated, 'on' => self::DAY]], $named['origins']);
        self::assertSame($named['origins'], $again['origins'], 'no later day for what was not touched');
    }

    public function test_every_inlet_and_an_adapter_of_the_post_have_facts_of_their_own(): void
    {
        $vehicle = FactDays::noted(FactOwner::Vehicle, [], ['inlets' => [['dc' => ['max_v' => 500]], ['ac' => ['max_a' => 32]]]], self::DAY);
        $outlet = FactDays::noted(FactOwner::Outlet, [], ['max_a' => 500, 'attached_adapter' => ['plate' => ['max_v' => 1000]]], self::DAY);

        self::assertSame(['inlets.0.dc.max_v', 'inlets.1.ac.max_a'], array_keys(self::sorted($vehicle['origins'])));
        self::assertSame(['attached_adapter.plate.max_v', 'max_a'], array_keys(self::sorted($outlet['origins'])));
    }

    /** 500 A as the network says, 320 kW typed against its 350: only the first is the network's. */
    public function test_what_a_network_says_is_imported_and_what_somebody_typed_instead_is_not(): void
    {
        $imported = ['origin' => 'imported', 'on' => '2026-01-01'];
        $plate = ['max_a' => 500, 'max_kw' => 320, 'max_v' => 920, 'origins' => ['max_kw' => $imported, 'max_v' => $imported]];
        $told = FactDays::imported($plate, ['max_a' => 500, 'max_kw' => 350, 'max_v' => 920], self::DAY);

        self::assertSame(['max_a' => ['origin' => 'imported', 'on' => self::DAY], 'max_v' => $imported], self::sorted($told['origins']));
        self::assertSame(['max_kw' => self::READ], FactDays::imported(['max_kw' => 320, 'origins' => ['max_kw' => self::READ]], ['max_kw' => 350], self::DAY)['origins']);
    }

    public function test_a_usual_plate_says_that_nobody_has_read_it_and_leaves_out_what_a_standard_fixes(): void
    {
        $usual = FactDays::usual(FactOwner::Outlet, Cases::DC_POST);
        self::assertArrayNotHasKey('signalling', $usual);
        self::assertSame(['origin' => 'typical'], $usual['origins']['max_a'] ?? null);

        $socket = FactDays::usual(FactOwner::Outlet, Cases::AC_POST);
        self::assertSame(['volts' => 240, 'amps' => 48], $socket['supply'] ?? null, 'a Type 1 post has one phase by its standard');
        self::assertArrayNotHasKey('signalling', $socket);
        self::assertSame(3, Cases::changed(FactDays::usual(FactOwner::Outlet, Cases::changed(Cases::AC_POST, ['coupler' => 'type2', 'supply.phases' => 3])), [])['supply']['phases'] ?? null, 'one or three at a Type 2 post');
        self::assertSame(['can_legacy'], FactDays::usual(FactOwner::Outlet, Cases::changed(Cases::DC_POST, ['coupler' => 'j3400', 'signalling' => ['can_legacy']]))['signalling'] ?? null);
    }

    /** @return array<string, mixed> */
    private static function sorted(mixed $origins): array
    {
        self::assertIsArray($origins);
        ksort($origins);

        return $origins;
    }
}
