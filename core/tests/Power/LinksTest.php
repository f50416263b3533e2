<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Power;

use Harmozon\Core\Equipment\Quantity;
use Harmozon\Core\Power\Link;
use Harmozon\Core\Power\LinkKind;
use Harmozon\Core\Tests\Cases;
use Harmozon\Core\Tests\Say;
use PHPUnit\Framework\TestCase;

final class LinksTest extends TestCase
{
    public function test_links_stand_from_the_station_to_the_pack_with_the_piece_they_belong_to(): void
    {
        $links = self::links(Cases::file(outlet: ['coupler' => 'j3400'], adapters: [[]]));

        self::assertSame(
            [['post', 'post'], ['cable', 'post'], ['a1', 'a1'], ['car#0', 'car'], ['pack', 'car']],
            array_map(static fn (Link $l): array => [$l->id, $l->piece], $links),
        );
        self::assertSame([LinkKind::Outlet, LinkKind::Cable, LinkKind::Adapter, LinkKind::Inlet, LinkKind::Pack], array_column($links, 'kind'));
        self::assertSame(
            ['Test post', "the station's cable", 'A1', "Test car's inlet", "Test car's battery"],
            array_map(static fn (Link $l): string => Say::it($l->name), $links),
        );
        self::assertSame(
            ['Test post', "The station's cable", 'A1', 'Test car, CCS1', "Test car's battery"],
            array_map(static fn (Link $l): string => Say::it($l->label), $links),
        );
        self::assertSame(
            ['1000 V · 500 A · 350 kW', '500 A', '1000 V · 300 A · 500 A 15 min', '500 V · 500 A · 150 kW', '310–380 V · 60 kWh'],
            array_map(static fn (Link $l): string => Say::it($l->plateLine), $links),
        );
    }

    public function test_a_link_is_only_there_when_the_piece_is(): void
    {
        $withoutCable = self::links(Cases::file(outlet: ['cable' => null]));
        $steppedUp = self::links(Cases::file(
            [...Cases::HIGH_VOLTAGE, 'inlets.0.dc.boost_converter' => ['input_v' => 400, 'max_kw' => 50, 'max_input_a' => 125]],
            ['max_v' => 500],
        ));

        self::assertSame([LinkKind::Outlet, LinkKind::Inlet, LinkKind::Pack], array_column($withoutCable, 'kind'));
        self::assertSame([LinkKind::Outlet, LinkKind::Cable, LinkKind::Inlet, LinkKind::Converter, LinkKind::Pack], array_column($steppedUp, 'kind'));
        self::assertSame('400 V in · 125 A · 50 kW', Say::it($steppedUp[3]->plateLine));
        self::assertSame('converter', $steppedUp[3]->id);
    }

    public function test_only_cables_and_adapters_with_amps_carry_a_heat_load(): void
    {
        $heats = static fn (array $file): array => array_map(static fn (Link $l): bool => $l->heats(), self::links($file));
        $file = Cases::file(outlet: ['coupler' => 'j3400'], adapters: [[]]);

        self::assertSame([false, true, true, false, false], $heats($file));
        self::assertSame([false, false, false, false, false], $heats(Cases::changed($file, [
            'adapters.0.plate' => ['max_v' => 1000], 'outlet.cable.continuous_a' => null,
        ])));
    }

    public function test_a_peak_is_held_against_the_boost_amps_where_there_are_some(): void
    {
        [, $cable, $adapter, $inlet, $pack] = self::links(Cases::file(outlet: ['coupler' => 'j3400'], adapters: [[]]));
        $limits = static fn (Link $l): array => array_map($l->limit(...), Quantity::cases());

        self::assertSame([null, 500.0, null], $limits($cable));
        self::assertSame([1000.0, 500.0, null], $limits($adapter));
        self::assertSame([500.0, 500.0, 150.0], $limits($inlet));
        self::assertSame([null, null, null], $limits($pack));
    }

    public function test_the_volts_of_a_station_are_missed_and_every_other_figure_is_left_out(): void
    {
        $unread = self::links(Cases::file(outlet: ['max_v' => null, 'max_a' => null, 'max_kw' => null, 'cable.continuous_a' => null]));
        $ac = self::links(Cases::file(post: Cases::AC_POST));

        self::assertSame('? V', Say::it($unread[0]->plateLine));
        self::assertSame('rating not read', Say::it($unread[1]->plateLine));
        self::assertSame('240 V · 48 A', Say::it($ac[0]->plateLine));
        self::assertSame('250 V · 48 A · 11.5 kW', Say::it($ac[2]->plateLine));
    }

    /**
     * @param  array<string, mixed>  $file
     * @return list<Link>
     */
    private static function links(array $file): array
    {
        return Cases::answer($file)->best->links();
    }
}
