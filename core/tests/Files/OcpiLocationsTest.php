<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Files;

use Harmozon\Core\Equipment\OutletGroup;
use Harmozon\Core\Files\EquipmentReader;
use Harmozon\Core\Files\Node;
use Harmozon\Core\Files\OcpiPlace;
use Harmozon\Core\Files\OcpiReader;
use Harmozon\Core\Files\OcpiWriter;
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
        $read = (new EquipmentReader)->outlet(Node::of($outlet->spec)->with(['id' => 'o', 'name' => Say::it($outlet->name)]));

        self::assertSame($group, OutletGroup::of($read));
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

    public function test_equal_stalls_become_one_outlet_and_what_is_not_understood_is_told(): void
    {
        $same = ['standard' => 'CHADEMO', 'power_type' => 'DC', 'max_voltage' => 500, 'max_amperage' => 125];
        $place = self::read([$same, $same, ['standard' => 'PANTOGRAPH', 'power_type' => 'DC'], ['standard' => 'CHADEMO', 'power_type' => 'STEAM']]);

        self::assertCount(1, $place->outlets);
        self::assertSame([
            'locations[0].evses[0].connectors[2]: connector standard "PANTOGRAPH" is not known here',
            'locations[0].evses[0].connectors[3]: power type "STEAM" is not known here',
        ], Say::voice()->each($place->notUnderstood));
    }

    public function test_what_is_written_reads_back_the_same(): void
    {
        $place = self::read([
            ['standard' => 'IEC_62196_T2_COMBO', 'power_type' => 'DC', 'format' => 'CABLE', 'max_voltage' => 1000, 'max_amperage' => 400, 'max_electric_power' => 180000],
            ['standard' => 'IEC_60309_2_three_32', 'power_type' => 'AC_3_PHASE', 'format' => 'SOCKET', 'max_voltage' => 230, 'max_amperage' => 32],
        ]);
        $outlets = array_map(static fn ($o, int $i): array => ['id' => "o{$i}", 'spec' => $o->spec], $place->outlets, array_keys($place->outlets));
        $written = (new OcpiWriter)->write([['id' => 'p', 'name' => $place->name, 'outlets' => [...$outlets, ['id' => 'old', 'spec' => ['coupler' => 'legacy_paddle', 'current' => 'ac']]]]]);

        self::assertSame(['Sluice wharf: legacy_paddle has no name in OCPI'], Say::voice()->each($written['left_out']));
        self::assertEquals($place, (new OcpiReader)->read((string) json_encode(['data' => $written['locations']]))[0]);
    }

    #[DataProvider('faults')]
    public function test_a_file_that_is_no_list_of_locations_is_refused_by_its_field(string $json, string $complaint): void
    {
        self::assertStringContainsString($complaint, Say::refusal(static fn () => (new OcpiReader)->read($json)));
    }

    /** @return iterable<string, array{string, string}> */
    public static function faults(): iterable
    {
        yield 'no JSON' => ['{', 'locations: not valid JSON'];
        yield 'an empty list' => ['[]', 'locations: expected a list of Locations'];
        yield 'another object' => ['{"stations": []}', 'locations: expected a list of Locations'];
        yield 'a location that is text' => ['["here"]', 'locations[0]: expected an object'];
        yield 'volts in words' => ['[{"id":"L","evses":[{"connectors":[{"standard":"CHADEMO","power_type":"DC","max_voltage":"high"}]}]}]', 'locations[0].evses[0].connectors[0].max_voltage: expected a number'];
        yield 'kilowatts for watts, a million times over' => ['[{"id":"L","evses":[{"connectors":[{"standard":"CHADEMO","power_type":"DC","max_electric_power":50000000}]}]}]', 'max_electric_power: 50000000 is outside'];
    }

    /** @param  list<array<string, mixed>>  $connectors */
    private static function read(array $connectors): OcpiPlace
    {
        return (new OcpiReader)->read((string) json_encode([['id' => 'L', 'name' => 'Sluice wharf', 'evses' => [['uid' => 'E', 'connectors' => $connectors]]]]))[0];
    }
}
