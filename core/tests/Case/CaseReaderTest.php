<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Case;

use Harmozon\Core\Case\CaseReader;
use Harmozon\Core\Case\EquipmentReader;
use Harmozon\Core\Chain\ChargeWanted;
use Harmozon\Core\Equipment\Adapter;
use Harmozon\Core\Equipment\Coupler;
use Harmozon\Core\Equipment\OutletGroup;
use Harmozon\Core\Json\Node;
use Harmozon\Core\Tests\Cases;
use Harmozon\Core\Tests\Say;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class CaseReaderTest extends TestCase
{
    #[DataProvider('faults')]
    public function test_a_fault_is_named_by_its_path(string $path, mixed $value, string $complaint): void
    {
        $file = Cases::file(adapters: [[]]);
        self::assertStringContainsString($complaint, Say::refusal(static fn () => Cases::read(Cases::changed($file, [$path => $value]))));
    }

    /** @return iterable<string, array{string, mixed, string}> */
    public static function faults(): iterable
    {
        yield 'another format' => ['format', 'other/case', 'format: expected "harmozon/case"'];
        yield 'a version to come' => ['version', 2, 'version: version 2 is not known'];
        yield 'a version as text' => ['version', '1', 'version: version "1" is not known'];
        yield 'text for a number' => ['vehicle.inlets.0.dc.max_v', '500', 'vehicle.inlets[0].dc.max_v: expected a number, got text'];
        yield 'true for a number' => ['outlet.max_a', true, 'outlet.max_a: expected a number, got true or false'];
        yield 'volts below zero' => ['outlet.max_v', -400, 'outlet.max_v: -400 is outside 1 to 2000 V'];
        yield 'kilowatts written as watts' => ['outlet.max_kw', 350_000, 'outlet.max_kw: 350000 is outside'];
        yield 'an unknown shape' => ['outlet.coupler', 'round', 'outlet.coupler: "round" is not a known coupler'];
        yield 'a socket of no kind' => ['outlet.coupler', 'socket:', 'outlet.coupler: "socket:" does not name a kind of socket'];
        yield 'an unknown language' => ['outlet.signalling', ['plc', 'morse'], 'outlet.signalling[1]: "morse" is not one of'];
        yield 'a list that is none' => ['vehicle.inlets', 'two', 'vehicle.inlets: expected a list, got text'];
        yield 'a car without inlets' => ['vehicle.inlets', [], 'vehicle.inlets: a vehicle needs at least one inlet'];
        yield 'a missing id' => ['adapters.0.id', null, 'adapters[0].id: is required'];
        yield 'boost below continuous' => ['adapters.0.plate.boost_a', 200, 'adapters[0].plate.boost_a: the boost rating (200) must not be below'];
        yield 'boost without minutes' => ['adapters.0.plate.boost_minutes', null, 'adapters[0].plate.boost_minutes: a boost rating needs'];
        yield 'the same id twice' => ['adapters.1', Cases::ADAPTER, 'adapters[1].id: "a1" is listed twice'];
        yield 'an adapter named as the cable' => ['adapters.0.id', 'cable', 'adapters[0].id: "cable" names a link in every chain'];
        yield 'an adapter named as the pack' => ['adapters.0.id', 'pack', 'adapters[0].id: "pack" names a link in every chain'];
        yield 'an adapter named as the converter' => ['adapters.0.id', 'converter', 'adapters[0].id: "converter" names a link in every chain'];
        yield 'an adapter named as the car' => ['adapters.0.id', 'car', 'adapters[0].id: another piece in this case already has the id "car"'];
        yield 'an adapter named as the inlet' => ['adapters.0.id', 'car#0', 'adapters[0].id: another piece in this case already has the id "car#0"'];
        yield 'an adapter named as the outlet' => ['adapters.0.id', 'post', 'adapters[0].id: another piece in this case already has the id "post"'];
        yield 'an attached adapter named as the cable' => ['outlet.attached_adapter', ['id' => 'cable'] + Cases::ADAPTER, 'outlet.attached_adapter.id: "cable" names a link in every chain'];
        yield 'an attached adapter named as the car' => ['outlet.attached_adapter', ['id' => 'car'] + Cases::ADAPTER, 'outlet.attached_adapter.id: another piece in this case already has the id "car"'];
        yield 'an attached adapter that is in the kit' => ['outlet.attached_adapter', Cases::ADAPTER, 'adapters[0].id: "a1" is listed twice'];
        yield 'a curve of too many knots' => ['vehicle.charge_curve_kw', array_map(static fn (int $i): array => [$i / 10, 50], range(0, 200)), 'vehicle.charge_curve_kw: has more than 200 entries'];
        yield 'more inlets than any car' => ['vehicle.inlets', array_fill(0, 201, ['coupler' => 'ccs1']), 'vehicle.inlets: has more than 200 entries'];
        yield 'networks without end' => ['vehicle.programmes', array_fill(0, 201, 'ostler'), 'vehicle.programmes: has more than 200 entries'];
        yield 'a network of endless name' => ['vehicle.programmes', [str_repeat('o', 501)], 'vehicle.programmes[0]: is longer than 500 characters'];
        yield 'a kit without end' => ['adapters', array_fill(0, 1001, []), 'adapters: has more than 1000 entries'];
        yield 'a curve that goes back' => ['vehicle.pack.voltage_by_soc', [[0, 300], [50, 350], [40, 360]], 'vehicle.pack.voltage_by_soc[2][0]: the state of charge must rise'];
        yield 'a curve of triples' => ['vehicle.pack.voltage_by_soc', [[0, 300, 1]], 'vehicle.pack.voltage_by_soc[0]: expected a [soc, value] pair'];
        yield 'an empty curve' => ['vehicle.charge_curve_kw', [], 'vehicle.charge_curve_kw: needs at least one'];
        yield 'a window upside down' => ['outlet.min_v', 1500, 'outlet.min_v: 1500 V is above max_v'];
        yield 'a target below the arrival' => ['conditions.soc_to', 5, 'conditions.soc_to: 5 % is below soc_from'];
        yield 'a charge beyond full' => ['conditions.soc_to', 101, 'conditions.soc_to: 101 is outside 0 to 100 %'];
        yield 'an unknown policy' => ['policy', 'whatever', 'policy: "whatever" is not one of maker, certified, any'];
        yield 'money in words' => ['outlet.tariff', ['currency' => 'USD', 'per_kwh' => 'forty'], 'outlet.tariff.per_kwh: expected an amount of money'];
        yield 'no currency' => ['outlet.tariff', ['currency' => 'dollars'], 'outlet.tariff.currency: expected three capital letters'];
        yield 'a retrofit in other words' => ['vehicle.inlets.0.dc.retrofit', 'maybe', 'vehicle.inlets[0].dc.retrofit: expected'];
        yield 'a neighbour before us' => ['conditions.faults', ['neighbour_at_minute' => -3], 'conditions.faults.neighbour_at_minute: -3 is outside 0 to 1440 min'];
        yield 'a derating in words' => ['conditions.faults', ['derated_kw' => 'half'], 'conditions.faults.derated_kw: expected a number, got text'];
        yield 'loads that are a number' => ['conditions.theta', 7, 'conditions.theta: expected'];
        yield 'a load below nothing' => ['conditions.theta', ['a1' => -1], 'conditions.theta.a1: -1 is outside'];
        yield 'ageing above new' => ['conditions.ageing', 1.2, 'conditions.ageing: 1.2 is outside 0.01 to 1'];
        yield 'a rest that never began' => ['conditions.rested_minutes', -1, 'conditions.rested_minutes: -1 is outside'];
        yield 'a band without a price' => ['outlet.tariff', ['currency' => 'USD', 'minute_bands' => [['from_kw' => 0]]], 'outlet.tariff.minute_bands[0].per_minute: is required'];
        yield 'bands that go back' => ['outlet.tariff', ['currency' => 'USD', 'minute_bands' => [['from_kw' => 60, 'per_minute' => '0.2'], ['from_kw' => 20, 'per_minute' => '0.1']]], 'outlet.tariff.minute_bands[1].from_kw: must rise'];
        yield 'a phase and a half' => ['outlet.supply', ['volts' => 230, 'amps' => 16, 'phases' => 1.5], 'outlet.supply.phases: expected a whole number'];
        yield 'phases in words' => ['outlet.supply', ['volts' => 230, 'amps' => 16, 'phases' => 'three'], 'outlet.supply.phases: expected a whole number, got text'];
        yield 'four phases' => ['outlet.supply', ['volts' => 230, 'amps' => 16, 'phases' => 4], 'outlet.supply.phases: '];
        yield 'a stall without a label' => ['outlet.stalls', [['label' => '1'], ['fault' => 'dark']], 'outlet.stalls[1].label: is required'];
        yield 'stalls in words' => ['outlet.stalls', 'four', 'outlet.stalls: expected a list, got text'];
        yield 'a label as long as a sentence' => ['outlet.stalls', [['label' => str_repeat('x', 49)]], 'outlet.stalls[0].label: is longer than'];
        yield 'a stall\'s fault as a number' => ['outlet.stalls', [['label' => '1', 'fault' => 7]], 'outlet.stalls[0].fault: expected text, got a number'];
        yield 'an empty EVSE id' => ['outlet.stalls', [['label' => '1', 'evse_id' => '']], 'outlet.stalls[0].evse_id: must not be empty'];
        yield 'a fault longer than a note' => ['outlet.known_fault', str_repeat('x', 201), 'outlet.known_fault: is longer than 200 characters'];
        yield 'a fault that is a number' => ['outlet.known_fault', 7, 'outlet.known_fault: expected text, got a number'];
        yield 'an outlet that is text' => ['outlet', 'post', 'outlet: expected an object, got text'];
    }

    public function test_text_that_is_no_json_is_refused(): void
    {
        self::assertStringContainsString('case: not valid JSON', Say::refusal(static fn () => (new CaseReader)->json('{"format": ')));
    }

    public function test_pieces_are_found_by_their_ids_in_the_kit_and_at_the_station(): void
    {
        $case = Cases::read(Cases::file(outlet: ['attached_adapter' => ['id' => 'own'] + Cases::ADAPTER], adapters: [[], ['id' => 'a2']]));

        self::assertSame(['own', 'a1'], array_map(static fn (Adapter $a): string => $a->id, $case->pieces(['own', 'a1'])));
        self::assertSame([], $case->pieces([]));
        self::assertSame('adapters: nothing in the case has the id "a3"', Say::refusal(static fn () => $case->pieces(['a1', 'a3'])));
        self::assertSame('adapters: nothing in the case has the id "own"', Say::refusal(static fn () => Cases::read(Cases::file())->pieces(['own'])));
    }

    public function test_the_kind_of_an_outlet_is_read_without_its_plate(): void
    {
        $group = static fn (array $outlet): OutletGroup => (new EquipmentReader)->group(Node::of($outlet));

        self::assertSame([OutletGroup::CombinedDc, OutletGroup::AcPosts], [$group(['coupler' => 'ccs1', 'current' => 'dc', 'max_v' => 'any']), $group(['coupler' => 'type1', 'current' => 'ac'])]);
        self::assertSame(['current: is required', 'coupler: is required'], [Say::refusal(static fn () => $group(['coupler' => 'ccs1'])), Say::refusal(static fn () => $group(['current' => 'dc']))]);
    }

    public function test_absent_and_null_are_both_not_known(): void
    {
        $case = Cases::read(Cases::file(car: ['inlets.0.dc.max_v' => null, 'programmes' => null], outlet: ['min_v' => null, 'cable' => null]));

        self::assertNull($case->vehicle->inlets[0]->dc?->maxV);
        self::assertNull($case->vehicle->programmes);
        self::assertNull($case->outlet->fittings->cable);
        self::assertSame(ChargeWanted::DEFAULT_SOC_FROM, Cases::read(Cases::file(case: ['conditions' => null]))->conditions->charge->socFrom);
    }

    public function test_a_combined_inlet_takes_its_ac_half_and_not_the_other_way_round(): void
    {
        self::assertTrue(Coupler::of('ccs1')->takes(Coupler::of('type1')));
        self::assertTrue(Coupler::of('ccs2')->takes(Coupler::of('type2')));
        self::assertFalse(Coupler::of('type1')->takes(Coupler::of('ccs1')));
        self::assertFalse(Coupler::of('ccs1')->takes(Coupler::of('type2')));
        self::assertFalse(Coupler::of('socket:14-50')->is(Coupler::of('socket:14-30')));
    }
}
