<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Ocpi;

use Harmozon\Core\Case\EquipmentReader;
use Harmozon\Core\Equipment\OutletGroup;
use Harmozon\Core\Json\Node;
use Harmozon\Core\Ocpi\AssignedTerms;
use Harmozon\Core\Ocpi\FileOutlet;
use Harmozon\Core\Ocpi\FilePlace;
use Harmozon\Core\Ocpi\ForeignTerm;
use Harmozon\Core\Ocpi\LocationsFile;
use Harmozon\Core\Ocpi\LocationsReader;
use Harmozon\Core\Ocpi\LocationsWriter;
use Harmozon\Core\Ocpi\TermKind;
use Harmozon\Core\Tests\Say;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class OcpiLocationsTest extends TestCase
{
    /**
     * @param  array<string, mixed>  $connector
     * @param  array<string, mixed>  $expected  some of the outlet's fields
     */
    #[DataProvider('connectors')]
    public function test_a_connector_becomes_an_outlet_the_core_can_read(array $connector, array $expected, OutletGroup $group): void
    {
        $outlet = self::read([$connector])->outlets[0];
        foreach ($expected as $path => $value) {
            $at = $outlet->spec;
            foreach (explode('.', $path) as $key) {
                self::assertIsArray($at);
                $at = $at[$key];
            }
            self::assertEquals($value, $at, $path);
        }
        $read = (new EquipmentReader)->outlet(Node::of($outlet->spec)->with(['id' => 'o', 'name' => $outlet->name]));

        self::assertSame($group, OutletGroup::of($read->coupler, $read->rating->current));
    }

    /** @return iterable<string, array{array<string, mixed>, array<string, mixed>, OutletGroup}> */
    public static function connectors(): iterable
    {
        $c = static fn (string $standard, string $power, int $v, int $a, ?int $w = null, string $format = 'CABLE'): array => array_filter(
            ['standard' => $standard, 'power_type' => $power, 'format' => $format, 'max_voltage' => $v, 'max_amperage' => $a, 'max_electric_power' => $w],
            static fn (mixed $x): bool => $x !== null,
        );
        yield 'combined DC: watts become kW, the language follows from the standard' => [
            $c('IEC_62196_T1_COMBO', 'DC', 920, 500, 350000), ['coupler' => 'ccs1', 'max_v' => 920, 'max_a' => 500, 'max_kw' => 350, 'signalling' => ['plc'], 'min_v' => null, 'access' => null], OutletGroup::CombinedDc,
        ];
        yield 'j3400 DC: which language is a matter of hardware, so it stays unknown' => [
            $c('SAE_J3400', 'DC', 500, 600), ['coupler' => 'j3400', 'signalling' => null, 'max_kw' => null], OutletGroup::Hubs,
        ];
        yield 'a three-phase socket: volts to neutral, no cable' => [
            $c('IEC_62196_T2', 'AC_3_PHASE', 230, 32, 22000, 'SOCKET'), ['coupler' => 'type2', 'supply.volts' => 230, 'supply.amps' => 32, 'supply.phases' => 3, 'cable' => null, 'signalling' => ['pwm']], OutletGroup::AcPosts,
        ];
        yield 'a wall socket' => [$c('NEMA_14_50', 'AC_1_PHASE', 240, 40), ['coupler' => 'socket:14-50', 'signalling' => [], 'supply.phases' => 1], OutletGroup::Sockets];
        yield 'the large round one' => [$c('CHADEMO', 'DC', 500, 125), ['signalling' => ['can_chademo']], OutletGroup::Other];
    }

    public function test_equal_stalls_become_one_outlet_that_keeps_their_names_and_what_is_against_them(): void
    {
        $same = ['standard' => 'CHADEMO', 'power_type' => 'DC', 'max_voltage' => 500, 'max_amperage' => 125];
        $place = self::location([
            ['uid' => 'E1', 'evse_id' => 'XX*ABC*E1', 'physical_reference' => '3', 'status' => 'OUTOFORDER', 'connectors' => [['id' => '1', ...$same], ['id' => '2', ...$same]]],
            ['uid' => 'E2', 'evse_id' => 'XX*ABC*E2', 'physical_reference' => '', 'status' => 'INOPERATIVE', 'connectors' => [$same]],
            ['uid' => 'E3', 'status' => 'CHARGING', 'connectors' => [['id' => '1', ...$same]]],
            ['status' => 'AVAILABLE', 'connectors' => [['id' => '1', ...$same]]],
            ['uid' => 'E5', 'status' => 'REMOVED', 'connectors' => [['id' => '1', ...$same]]],
            ['uid' => 'E3', 'connectors' => [['id' => '1', ...$same]]],
        ]);

        self::assertCount(1, $place->outlets);
        self::assertSame([
            ['3', 'XX*ABC*E1', 'out of order, says its network', 'E1', '1'],
            ['3', 'XX*ABC*E1', 'out of order, says its network', 'E1', '2'],
            ['XX*ABC*E2', 'XX*ABC*E2', 'not in service, says its network', 'E2', '#1'],
            ['E3', null, null, 'E3', '1'],
            ['#4', null, null, '#4', '1'],
        ], array_map(static fn (array $s): array => [$s['label'], $s['evse_id'], $s['fault'], $s['uid'], $s['connector']], $place->outlets[0]->spec['stalls']));
        self::assertSame([
            'stall E5 is planned or removed',
            'stall E3 is in the file twice; the first one is used',
        ], Say::voice()->each($place->notUnderstood));
    }

    public function test_words_that_a_network_made_up_are_asked_about_and_then_understood(): void
    {
        $c = static fn (string $standard): array => ['standard' => $standard, 'power_type' => 'DC', 'max_voltage' => 500];
        $evses = [['uid' => 'A', 'status' => 'WOBBLY', 'connectors' => [$c('PANTOGRAPH'), $c('CHADEMO')]], ['uid' => 'B', 'status' => 'WOBBLY', 'connectors' => [$c('PANTOGRAPH')]]];
        $terms = static fn (LocationsFile $file): array => array_map(static fn (ForeignTerm $t): array => [$t->kind->value, $t->theirs, $t->ours, $t->times], $file->foreign);
        $couplers = static fn (LocationsFile $file): array => array_map(static fn (FileOutlet $o): mixed => $o->spec['coupler'], $file->places[0]->outlets);

        $plain = self::file($evses);
        self::assertSame([['standard', 'PANTOGRAPH', null, 2], ['status', 'WOBBLY', null, 2]], $terms($plain));
        self::assertSame(['chademo'], $couplers($plain));
        self::assertSame([
            'stall A: connector "PANTOGRAPH" is not known here',
            'stall B: connector "PANTOGRAPH" is not known here',
        ], Say::voice()->each($plain->places[0]->notUnderstood));
        self::assertNull($plain->places[0]->outlets[0]->spec['stalls'][0]['fault'], 'a status that nobody has explained is held against no stall');

        $said = (new AssignedTerms)->with(TermKind::Standard, 'PANTOGRAPH', 'ccs2')->with(TermKind::Status, 'WOBBLY', 'out_of_order');
        $assigned = self::file($evses, $said);
        self::assertSame([['standard', 'PANTOGRAPH', 'ccs2', 2], ['status', 'WOBBLY', 'out_of_order', 2]], $terms($assigned));
        self::assertSame(['ccs2', 'chademo'], $couplers($assigned));
        self::assertSame([], $assigned->places[0]->notUnderstood);
        self::assertSame('out of order, says its network', $assigned->places[0]->outlets[0]->spec['stalls'][1]['fault']);

        // A word may be a number; one more word moves no other.
        $numbers = (new AssignedTerms)->with(TermKind::Standard, '7', 'ccs1')->with(TermKind::Standard, '5', 'ccs2')->with(TermKind::Status, '40', 'works')->with(TermKind::Status, '4', 'out_of_order');
        self::assertSame(['ccs1', 'ccs2', 'works', 'out_of_order', null], [
            $numbers->meaningOf(TermKind::Standard, '7'), $numbers->meaningOf(TermKind::Standard, '5'), $numbers->meaningOf(TermKind::Status, '40'), $numbers->meaningOf(TermKind::Status, '4'), $numbers->meaningOf(TermKind::Standard, '0'),
        ]);

        $leftOut = self::file($evses, $said->with(TermKind::Standard, 'PANTOGRAPH', AssignedTerms::LEFT_OUT));
        self::assertSame(['chademo'], $couplers($leftOut));
        self::assertSame('stall A: connector "PANTOGRAPH", left out as you chose', Say::it($leftOut->places[0]->notUnderstood[0]));
        self::assertSame([['standard', 'PANTOGRAPH', '', 2], ['status', 'WOBBLY', 'out_of_order', 2]], $terms($leftOut), 'it can be assigned otherwise');
    }

    public function test_a_power_type_that_nobody_knows_is_told(): void
    {
        self::assertSame(['stall E: power type "STEAM" is not known here'], Say::voice()->each(self::read([['standard' => 'CHADEMO', 'power_type' => 'STEAM']])->notUnderstood));
    }

    public function test_outlets_that_would_share_a_name_bear_more_of_their_plates(): void
    {
        $c = static fn (int $a, ?int $w): array => array_filter(['standard' => 'CHADEMO', 'power_type' => 'DC', 'max_voltage' => 500, 'max_amperage' => $a, 'max_electric_power' => $w], static fn (mixed $v): bool => $v !== null);

        self::assertSame(['CHAdeMO, 50 kW, 500 V, 125 A', 'CHAdeMO, 50 kW, 500 V, 200 A', 'CHAdeMO'], array_map(static fn (FileOutlet $o): string => $o->name, self::read([$c(125, 50000), $c(200, 50000), $c(200, null)])->outlets));
    }

    public function test_posts_of_the_mains_that_would_share_a_name_bear_their_supply(): void
    {
        $c = static fn (int $a): array => ['standard' => 'IEC_62196_T2', 'power_type' => 'AC_3_PHASE', 'max_voltage' => 230, 'max_amperage' => $a, 'max_electric_power' => 11000];

        self::assertSame(['Type 2, 11 kW'], array_map(static fn (FileOutlet $o): string => $o->name, self::read([$c(16)])->outlets));
        self::assertSame(['Type 2, 11 kW, 230 V, 16 A', 'Type 2, 11 kW, 230 V, 32 A'], array_map(static fn (FileOutlet $o): string => $o->name, self::read([$c(16), $c(32)])->outlets));
    }

    public function test_a_location_is_known_by_its_network_and_id_and_one_that_is_there_twice_is_read_once(): void
    {
        $json = (string) json_encode(['data' => [
            ['country_code' => 'XX', 'party_id' => 'ABC', 'id' => 'L', 'name' => 'One', 'evses' => [[]]],
            ['country_code' => 'XX', 'party_id' => 'DEF', 'id' => 'L', 'address' => 'Two street', 'evses' => [[]]],
            ['country_code' => 'XX', 'party_id' => 'ABC', 'id' => 'L', 'name' => 'Again', 'evses' => [[]]],
            ['name' => 'No id', 'evses' => [[]]],
        ]]);
        $places = (new LocationsReader(Say::voice()))->read($json)->places;

        self::assertSame([['XX*ABC', 'L', 'One'], ['XX*DEF', 'L', 'Two street'], ['', 'No id', 'No id']], array_map(static fn (FilePlace $p): array => [$p->party, $p->id, $p->name], $places));
        self::assertSame(['location "L" is in the file twice; the first one is used'], Say::voice()->each($places[0]->notUnderstood));
    }

    public function test_an_address_stands_on_every_outlet_of_its_place(): void
    {
        $at = static fn (array $location): array => array_map(
            static fn (FileOutlet $o): mixed => $o->spec['address'] ?? null,
            (new LocationsReader(Say::voice()))->read((string) json_encode([['id' => 'L', 'name' => 'Sluice wharf', 'evses' => [['uid' => 'E', 'connectors' => [['standard' => 'IEC_62196_T2', 'power_type' => 'AC_3_PHASE', 'max_voltage' => 230, 'max_amperage' => 16]]]], ...$location]]))->places[0]->outlets,
        );

        self::assertSame(['4 Weir Road, Tollmere'], $at(['address' => '4 Weir Road', 'city' => 'Tollmere']));
        self::assertSame(['4 Weir Road'], $at(['address' => '4 Weir Road', 'city' => '']));
        self::assertSame([null], $at(['address' => '']));
    }

    public function test_what_is_written_reads_back_the_same(): void
    {
        $place = self::read([
            ['standard' => 'IEC_62196_T2_COMBO', 'power_type' => 'DC', 'format' => 'CABLE', 'max_voltage' => 1000, 'max_amperage' => 400, 'max_electric_power' => 180000],
            ['standard' => 'IEC_60309_2_three_32', 'power_type' => 'AC_3_PHASE', 'format' => 'SOCKET', 'max_voltage' => 230, 'max_amperage' => 32],
        ]);
        $outlets = array_map(static fn ($o, int $i): array => ['id' => "o{$i}", 'spec' => $o->spec], $place->outlets, array_keys($place->outlets));
        $written = (new LocationsWriter)->write([['id' => $place->id, 'party' => $place->party, 'name' => $place->name, 'outlets' => [...$outlets, ['id' => 'old', 'spec' => ['coupler' => 'legacy_paddle', 'current' => 'ac']]]]]);

        self::assertSame(['Sluice wharf: historic paddle has no name in OCPI'], Say::voice()->each($written['left_out']));
        self::assertEquals($place, (new LocationsReader(Say::voice()))->read((string) json_encode(['data' => $written['locations']]))->places[0]);
    }

    public function test_the_network_that_most_chargers_of_a_place_name_is_written_as_its_operator(): void
    {
        $outlet = static fn (string $id, ?string $network): array => ['id' => $id, 'spec' => ['coupler' => 'ccs1', 'current' => 'dc', 'access' => $network === null ? null : ['kind' => 'account', 'network' => $network]]];
        $operator = static fn (array $outlets): mixed => (new LocationsWriter)->write([['id' => 'P', 'party' => '', 'name' => 'Sluice wharf', 'outlets' => $outlets]])['locations'][0]['operator'] ?? null;

        self::assertSame(['name' => 'Fernway'], $operator([$outlet('a', 'Ostler'), $outlet('b', 'Fernway'), $outlet('c', null), $outlet('d', 'Fernway')]));
        self::assertNull($operator([$outlet('a', null)]));
    }

    #[DataProvider('faults')]
    public function test_a_file_that_is_no_list_of_locations_is_refused_by_its_field(string $json, string $complaint): void
    {
        self::assertStringContainsString($complaint, Say::refusal(static fn () => (new LocationsReader(Say::voice()))->read($json)));
    }

    /** @return iterable<string, array{string, string}> */
    public static function faults(): iterable
    {
        yield 'no JSON' => ['{', 'locations: not valid JSON'];
        yield 'an empty list' => ['[]', 'locations: expected a list of Locations'];
        yield 'another object' => ['{"stations": []}', 'locations: expected a list of Locations'];
        yield 'a location that is text' => ['["here"]', 'locations[0]: expected an object'];
        yield 'volts in words' => ['[{"id":"L","evses":[{"connectors":[{"standard":"CHADEMO","power_type":"DC","max_voltage":"high"}]}]}]', 'locations[0].evses[0].connectors[0].max_voltage: expected a number'];
        yield 'more places than a file may have' => [(string) json_encode(array_fill(0, 5001, (object) [])), 'locations: has more than 5000 entries'];
        yield 'as many as it may have, without names' => [(string) json_encode(array_fill(0, 5000, (object) [])), 'locations[0].id: is required'];
        yield 'kilowatts for watts, a million times over' => ['[{"id":"L","evses":[{"connectors":[{"standard":"CHADEMO","power_type":"DC","max_electric_power":50000000}]}]}]', 'max_electric_power: 50000000 is outside'];
    }

    /** @param  list<array<string, mixed>>  $connectors */
    private static function read(array $connectors): FilePlace
    {
        return self::location([['uid' => 'E', 'connectors' => $connectors]]);
    }

    /** @param  list<array<string, mixed>>  $evses */
    private static function location(array $evses): FilePlace
    {
        return self::file($evses)->places[0];
    }

    /** @param  list<array<string, mixed>>  $evses */
    private static function file(array $evses, AssignedTerms $assigned = new AssignedTerms): LocationsFile
    {
        return (new LocationsReader(Say::voice()))->read((string) json_encode([['id' => 'L', 'name' => 'Sluice wharf', 'evses' => $evses]]), $assigned);
    }
}
