<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Fit;

use Harmozon\Core\Fit\GateName;
use Harmozon\Core\Fit\Outcome;
use Harmozon\Core\Fit\Result;
use Harmozon\Core\Tests\Cases;
use Harmozon\Core\Tests\Say;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Pairs a practitioner would name, each with the outcome, the kW worked out by hand, and the gate that decides. */
final class WorkedPairsTest extends TestCase
{
    /**
     * @param  array<string, mixed>  $file
     */
    #[DataProvider('pairs')]
    public function test_pair(array $file, Outcome $outcome, ?float $kw, ?GateName $gate = null, ?Result $result = null, ?string $says = null): void
    {
        $best = Cases::answer($file)->best;

        self::assertSame($outcome, $best->outcome, Say::it($best->why()));
        if ($kw === null) {
            self::assertSame($kw, $best->expectedPeakKw());
        } else {
            self::assertEqualsWithDelta($kw, $best->expectedPeakKw(), 0.01);
        }
        self::assertSame(GateName::cases(), array_map(static fn ($g) => $g->gate, $best->gates()));
        if ($gate !== null) {
            $found = Cases::gate($best, $gate);
            self::assertSame($result, $found->result(), Say::it($found->reason()));
            self::assertSame($result === Result::Unknown, $found->check() !== null, 'an unknown says where to read the fact');
            self::assertStringContainsString($says ?? '', Say::it($found->reason()).' '.Say::it($found->check()));
        }
    }

    /** @return iterable<string, array{0: array<string, mixed>, 1: Outcome, 2: float|null, 3?: GateName, 4?: Result, 5?: string}> */
    public static function pairs(): iterable
    {
        yield from self::shapes();
        yield from self::currents();
        yield from self::languages();
        yield from self::voltages();
        yield from self::accesses();
        yield from self::adapters();
        yield from self::powers();
    }

    /** @return iterable<string, array<int, mixed>> */
    private static function shapes(): iterable
    {
        yield 'combined meets combined' => [Cases::file(), Outcome::Charges, 150.0, GateName::Shape, Result::Pass, 'CCS1 fits CCS1'];
        yield 'a big round DC connector goes into nothing else' => [Cases::file(outlet: ['coupler' => 'chademo', 'signalling' => ['can_chademo']]), Outcome::NoJoint, 0.0, GateName::Shape, Result::Fail, "doesn't fit"];
        yield 'an old paddle is named as historic' => [Cases::file(outlet: ['coupler' => 'legacy_paddle'], post: Cases::AC_POST), Outcome::NoJoint, 0.0, GateName::Shape, Result::Fail, 'Historic paddle: no car'];
        yield 'a plain AC plug goes into the upper half of a combined inlet' => [Cases::file(post: Cases::AC_POST), Outcome::Charges, 11.5, GateName::Shape, Result::Pass, 'upper half'];
        yield 'a combined plug does not go into a plain AC inlet' => [Cases::file(car: ['inlets.0.coupler' => 'type1', 'inlets.0.dc' => null]), Outcome::NoJoint, 0.0, GateName::Shape, Result::Fail];
        yield 'the overseas combined plug is another shape' => [Cases::file(outlet: ['coupler' => 'ccs2']), Outcome::NoJoint, 0.0, GateName::Shape, Result::Fail];
        yield 'a wall socket asks for a portable supply' => [Cases::file(outlet: ['coupler' => 'socket:14-50', 'signalling' => [], 'supply.amps' => 40], post: Cases::AC_POST), Outcome::NoJoint, 0.0, GateName::Shape, Result::Fail, 'portable supply'];
        yield 'a portable supply joins a wall socket and makes the pilot: 240 V × 40 A' => [
            Cases::file(outlet: ['coupler' => 'socket:14-50', 'signalling' => [], 'supply.amps' => 40, 'cable' => null], adapters: [['input' => 'socket:14-50', 'output' => 'type1', 'current' => 'ac', 'plate' => ['max_v' => 250, 'continuous_a' => 40]]], post: Cases::AC_POST),
            Outcome::Limited, 9.6, GateName::Signalling, Result::Pass,
        ];
        yield 'the second inlet is tried when the first does not fit' => [
            Cases::file(car: ['inlets.1' => ['coupler' => 'chademo', 'dc' => ['signalling' => ['can_chademo'], 'max_v' => 500, 'max_a' => 125, 'max_kw' => 46, 'split_pack' => false]]], outlet: ['coupler' => 'chademo', 'signalling' => ['can_chademo'], 'min_v' => 50, 'max_v' => 500, 'max_a' => 125]),
            Outcome::Charges, 45.0, GateName::Shape, Result::Pass,
        ];
    }

    /** @return iterable<string, array<int, mixed>> */
    private static function currents(): iterable
    {
        yield 'an AC adapter without contacts for DC fits a DC hub: nothing reaches through it' => [
            Cases::file(outlet: ['coupler' => 'j3400'], adapters: [['output' => 'type1', 'current' => 'ac', 'plate' => ['max_v' => 250, 'continuous_a' => 48]]]),
            Outcome::WontCharge, 0.0, GateName::Current, Result::Fail, 'AC only',
        ];
        yield 'a DC adapter has no AC wiring' => [
            Cases::file(outlet: ['coupler' => 'j3400'], adapters: [[]], post: Cases::AC_POST), Outcome::WontCharge, 0.0, GateName::Current, Result::Fail, 'DC only',
        ];
        yield 'an adapter whose current nobody read' => [
            Cases::file(outlet: ['coupler' => 'j3400'], adapters: [['current' => null]]), Outcome::Unverified, 150.0, GateName::Current, Result::Unknown, 'plate',
        ];
        yield 'a car without a DC side at a DC post' => [Cases::file(car: ['inlets.0.dc' => null]), Outcome::WontCharge, 0.0, GateName::Current, Result::Fail, "doesn't take DC"];
    }

    /** @return iterable<string, array<int, mixed>> */
    private static function languages(): iterable
    {
        $old = ['inlets.0.dc.signalling' => ['can_legacy']];
        yield 'same shape, older language: a retrofit would cure it' => [
            Cases::file(car: $old + ['inlets.0.dc.retrofit' => ['adds' => ['plc'], 'state' => 'available']]), Outcome::WontCharge, 0.0, GateName::Signalling, Result::Fail, 'retrofit that adds power-line communication is available',
        ];
        yield 'same shape, older language, beyond retrofit' => [
            Cases::file(car: $old + ['inlets.0.dc.retrofit' => 'impossible']), Outcome::WontCharge, 0.0, GateName::Signalling, Result::Fail, "can't be retrofitted",
        ];
        yield 'same shape, older language, retrofit not looked up' => [Cases::file(car: $old), Outcome::WontCharge, 0.0, GateName::Signalling, Result::Fail, 'Not known'];
        $open = ['inlets.0.coupler' => 'j3400'];
        yield 'nobody read the options screen' => [Cases::file(car: [...$open, 'inlets.0.dc.signalling' => null], outlet: ['coupler' => 'j3400']), Outcome::Unverified, 150.0, GateName::Signalling, Result::Unknown, 'options'];
        yield 'nobody knows what the station speaks' => [Cases::file(car: $open, outlet: ['coupler' => 'j3400', 'signalling' => null]), Outcome::Unverified, 150.0, GateName::Signalling, Result::Unknown, 'generation'];
        yield 'a passive adapter changes no language' => [
            Cases::file(car: ['inlets.0.coupler' => 'chademo', 'inlets.0.dc.signalling' => ['can_chademo']], adapters: [['input' => 'ccs1', 'output' => 'chademo']]), Outcome::WontCharge, 0.0, GateName::Signalling, Result::Fail,
        ];
        yield 'an active adapter translates: 125 A at 360 V' => [
            Cases::file(car: ['inlets.0.coupler' => 'chademo', 'inlets.0.dc.signalling' => ['can_chademo']], adapters: [['input' => 'ccs1', 'output' => 'chademo', 'plate' => ['max_v' => 500, 'continuous_a' => 125], 'translates' => ['from' => ['plc'], 'to' => ['can_chademo']], 'battery_ok' => true]]),
            Outcome::Limited, 45.0, GateName::Signalling, Result::Pass,
        ];
        yield 'an active adapter that does not understand the station' => [
            Cases::file(car: ['inlets.0.coupler' => 'chademo', 'inlets.0.dc.signalling' => ['can_chademo']], adapters: [['input' => 'ccs1', 'output' => 'chademo', 'translates' => ['from' => ['can_gbt'], 'to' => ['can_chademo']], 'battery_ok' => true]]),
            Outcome::WontCharge, 0.0, GateName::Signalling, Result::Fail, 'reaches the car this way',
        ];
    }

    /** @return iterable<string, array<int, mixed>> */
    private static function voltages(): iterable
    {
        $high = Cases::HIGH_VOLTAGE;
        yield 'high-voltage truck at a 500 V hub, no way to step up' => [Cases::file(car: $high, outlet: ['max_v' => 500]), Outcome::WontCharge, 0.0, GateName::Voltage, Result::Fail, 'no step-up converter'];
        yield 'steps up at the converter\'s 100 kW' => [
            Cases::file(car: $high + ['inlets.0.dc.boost_converter' => ['max_kw' => 100, 'max_input_a' => 300, 'input_v' => 400]], outlet: ['max_v' => 500]), Outcome::Limited, 100.0, GateName::Voltage, Result::Caution, 'steps up',
        ];
        yield 'steps up at the converter\'s amps: 250 A × 400 V' => [
            Cases::file(car: $high + ['inlets.0.dc.boost_converter' => ['max_kw' => 120, 'max_input_a' => 250, 'input_v' => 400]], outlet: ['max_v' => 500]), Outcome::Limited, 100.0,
        ];
        yield 'converter input is never above the station: 200 A × 350 V' => [
            Cases::file(car: $high + ['inlets.0.dc.boost_converter' => ['max_kw' => null, 'max_input_a' => 200, 'input_v' => 400]], outlet: ['max_v' => 350]), Outcome::Limited, 70.0,
        ];
        yield 'a split pack charges at half its volts: 500 A × 375 V is above the car\'s 150 kW' => [
            Cases::file(car: $high + ['inlets.0.dc.split_pack' => true], outlet: ['max_v' => 500]), Outcome::Charges, 150.0, GateName::Voltage, Result::Pass, 'two halves',
        ];
        yield 'nobody knows whether the pack can be split' => [
            Cases::file(car: $high + ['inlets.0.dc.split_pack' => null], outlet: ['max_v' => 500]), Outcome::Unverified, 150.0, GateName::Voltage, Result::Unknown, 'two halves',
        ];
        yield 'meets the ceiling on the way: 700 V lies at 10 + 70 × 100/150 %' => [
            Cases::file(car: $high, outlet: ['max_v' => 700]), Outcome::Charges, 150.0, GateName::Voltage, Result::Caution, 'stops near 57 %',
        ];
        yield 'a pack too low for the station' => [Cases::file(outlet: ['min_v' => 400]), Outcome::WontCharge, 0.0, GateName::Voltage, Result::Fail, "can't go below 400 V"];
        yield 'station ceiling not read' => [Cases::file(outlet: ['max_v' => null]), Outcome::Unverified, 150.0, GateName::Voltage, Result::Unknown, 'data plate'];
        yield 'pack voltage not known' => [Cases::file(car: ['pack.voltage_by_soc' => null]), Outcome::Unverified, null, GateName::Voltage, Result::Unknown, 'battery voltage'];
        yield 'a 500 V adapter under a 750 V pack is a hazard' => [
            Cases::file(car: $high, outlet: ['coupler' => 'j3400'], adapters: [['plate.max_v' => 500]]), Outcome::Hazard, 0.0, GateName::Voltage, Result::Fail, 'rated for 500 V',
        ];
        yield 'an adapter without rated volts' => [Cases::file(outlet: ['coupler' => 'j3400'], adapters: [['plate.max_v' => null]]), Outcome::Unverified, 150.0, GateName::Voltage, Result::Unknown, 'rating plate on the adapter'];
        yield '277 V through an adapter into a 250 V car' => [
            Cases::file(outlet: ['coupler' => 'j3400', 'supply.volts' => 277], adapters: [['output' => 'type1', 'current' => 'ac', 'plate' => ['max_v' => 300, 'continuous_a' => 48]]], post: Cases::AC_POST),
            Outcome::Hazard, 0.0, GateName::Voltage, Result::Fail, 'inlet would see 277 V',
        ];
        yield '277 V straight into a 277 V car: 40 A × 277 V' => [
            Cases::file(car: ['inlets.0.coupler' => 'j3400', 'inlets.0.ac.max_v' => 277], outlet: ['coupler' => 'j3400', 'supply.volts' => 277, 'supply.amps' => 40], post: Cases::AC_POST),
            Outcome::Charges, 11.08, GateName::Voltage, Result::Pass,
        ];
        yield 'a truck whose charger starts at 200 V on 120 V' => [
            Cases::file(car: ['inlets.0.ac.min_v' => 200], outlet: ['supply.volts' => 120], post: Cases::AC_POST), Outcome::WontCharge, 0.0, GateName::Voltage, Result::Fail, 'needs at least 200 V',
        ];
        yield 'onboard charger window not read' => [Cases::file(car: ['inlets.0.ac.max_v' => null], post: Cases::AC_POST), Outcome::Charges, 11.5, GateName::Voltage, Result::Pass];
    }

    /** @return iterable<string, array<int, mixed>> */
    private static function accesses(): iterable
    {
        yield 'an account is a matter of preparing' => [Cases::file(outlet: ['access' => ['kind' => 'account']]), Outcome::Charges, 150.0, GateName::Access, Result::Caution, 'account'];
        yield 'admitted make' => [Cases::file(outlet: ['access' => ['kind' => 'makes', 'makes' => ['ostler']]]), Outcome::Charges, 150.0, GateName::Access, Result::Pass, 'accepted'];
        yield 'admitted make, typed in another case' => [Cases::file(outlet: ['access' => ['kind' => 'makes', 'makes' => ['Ostler ']]]), Outcome::Charges, 150.0, GateName::Access, Result::Pass, 'accepted'];
        yield 'make not admitted' => [Cases::file(outlet: ['access' => ['kind' => 'makes', 'makes' => ['sluice']]]), Outcome::WontCharge, 0.0, GateName::Access, Result::Fail, "isn't accepted"];
        yield 'nobody knows whether the make is admitted' => [Cases::file(car: ['programmes' => null], outlet: ['access' => ['kind' => 'makes', 'makes' => ['ostler']]]), Outcome::Unverified, 150.0, GateName::Access, Result::Unknown];
        yield 'reserved for owners, a stranger' => [Cases::file(car: ['programmes' => []], outlet: ['access' => ['kind' => 'owners_only']]), Outcome::WontCharge, 0.0, GateName::Access, Result::Fail, "Test car isn't on its list"];
        yield 'access not known' => [Cases::file(outlet: ['access' => null]), Outcome::Unverified, 150.0, GateName::Access, Result::Unknown, 'sign'];
    }

    /** @return iterable<string, array<int, mixed>> */
    private static function adapters(): iterable
    {
        $through = static fn (array $a, string $policy = 'certified'): array => Cases::file(outlet: ['coupler' => 'j3400'], adapters: [$a], case: ['policy' => $policy]);
        yield 'a certified adapter' => [$through(['holds_back' => true]), Outcome::Charges, 150.0, GateName::Adapter, Result::Pass, 'certified'];
        yield 'a recalled adapter is never used' => [$through(['recalled' => true], 'any'), Outcome::Hazard, 0.0, GateName::Adapter, Result::Fail, 'recall'];
        yield 'a damaged adapter is never used' => [$through(['damaged' => true], 'any'), Outcome::Hazard, 0.0, GateName::Adapter, Result::Fail, 'damaged'];
        yield 'nobody looked for a recall' => [$through(['recalled' => null]), Outcome::Unverified, 150.0, GateName::Adapter, Result::Unknown, 'recall notices'];
        yield 'nobody looked it over' => [$through(['damaged' => null]), Outcome::Unverified, 150.0, GateName::Adapter, Result::Unknown, 'contacts'];
        yield 'built to the standard is not certified to it' => [$through(['certification' => 'claims']), Outcome::WontCharge, 0.0, GateName::Adapter, Result::Fail, 'said to be built'];
        yield 'built to the standard, with warnings' => [$through(['certification' => 'claims'], 'any'), Outcome::Charges, 150.0, GateName::Adapter, Result::Caution, 'said to be built'];
        yield 'not the maker\'s own, under the strict policy' => [$through(['maker_approved' => false], 'maker'), Outcome::WontCharge, 0.0, GateName::Adapter, Result::Fail, "doesn't approve"];
        yield 'the maker\'s view not known, under the strict policy' => [$through(['maker_approved' => null], 'maker'), Outcome::Unverified, 150.0, GateName::Adapter, Result::Unknown];
        yield 'an active adapter with a flat battery' => [
            $through(['translates' => ['from' => ['plc'], 'to' => ['plc']], 'battery_ok' => false]), Outcome::WontCharge, 0.0, GateName::Adapter, Result::Fail, "A1's own battery is flat",
        ];
        yield 'overdue for a test' => [$through(['test_overdue' => true]), Outcome::Charges, 150.0, GateName::Adapter, Result::Caution, 'due for a test'];
        yield 'two stacked adapters that would fit' => [
            Cases::file(outlet: ['coupler' => 'gbt_dc'], adapters: [['input' => 'gbt_dc', 'output' => 'j3400'], ['id' => 'a2', 'name' => 'A2']]), Outcome::Hazard, 0.0, GateName::Adapter, Result::Fail, 'stacked',
        ];
        yield 'an extension lead on DC' => [Cases::file(outlet: ['extension' => true]), Outcome::Hazard, 0.0, GateName::Adapter, Result::Fail, 'Never extend DC'];
        yield 'the station\'s own adapter, where the plain connector does not fit' => [
            Cases::file(outlet: ['coupler' => 'j3400', 'attached_adapter' => Cases::ADAPTER + ['holds_back' => true]]), Outcome::Charges, 150.0, GateName::Adapter, Result::Pass,
        ];
        yield 'one\'s own adapter on top of the station\'s is stacking' => [
            Cases::file(car: ['inlets.0.coupler' => 'chademo', 'inlets.0.dc.signalling' => ['plc']], outlet: ['coupler' => 'j3400', 'attached_adapter' => Cases::ADAPTER], adapters: [['id' => 'a2', 'input' => 'ccs1', 'output' => 'chademo']]),
            Outcome::Hazard, 0.0, GateName::Adapter, Result::Fail, 'stacked',
        ];
    }

    /** @return iterable<string, array<int, mixed>> */
    private static function powers(): iterable
    {
        yield 'a 350 sticker hides 350 A: 350 A × 360 V at 80 % of a flat curve' => [
            Cases::file(outlet: ['max_a' => 350, 'cable.continuous_a' => 500], car: ['charge_curve_kw' => [[0, 150], [100, 150]]]), Outcome::Limited, 126.0,
        ];
        yield 'the back of the cable does not reach' => [Cases::file(outlet: ['cable.length_m' => 0.8]), Outcome::Charges, 150.0, GateName::Reach, Result::Caution, "won't reach"];
        yield 'a short cable to a rear port: back in' => [Cases::file(outlet: ['cable.length_m' => 1.9]), Outcome::Charges, 150.0, GateName::Reach, Result::Caution, 'back in'];
        yield 'reach is never worse than a question' => [Cases::file(car: ['inlets.0.port' => null]), Outcome::Charges, 150.0, GateName::Reach, Result::Unknown];
        yield 'a neighbour halves a 200 kW cabinet' => [
            Cases::file(outlet: ['cabinet' => ['kw' => 200, 'policy' => 'halves', 'partner_active' => true]]), Outcome::Limited, 100.0,
        ];
        yield 'modules of 25 kW: 250 kW less three for the neighbour\'s 60' => [
            Cases::file(car: ['charge_curve_kw' => [[0, 240]], 'inlets.0.dc.max_kw' => 240, 'inlets.0.dc.max_a' => 900], outlet: ['max_a' => 900, 'cable.continuous_a' => 900, 'cabinet' => ['kw' => 250, 'policy' => 'modules', 'partner_active' => true, 'partner_kw' => 60, 'module_kw' => 25]]), Outcome::Limited, 175.0,
        ];
        yield 'a cold pack at 0 °C takes 35 %' => [
            Cases::file(case: ['conditions' => ['soc_from' => 10, 'soc_to' => 80, 'ambient_c' => 0, 'pack_prepared' => false]]), Outcome::Charges, 52.5,
        ];
        yield 'three phases at 16 A and 230 V' => [
            Cases::file(car: ['inlets.0.coupler' => 'type2', 'inlets.0.ac' => ['phases' => 3, 'max_a' => 16, 'max_kw' => 11, 'min_v' => 200, 'max_v' => 250]], outlet: ['coupler' => 'type2', 'supply' => ['volts' => 230, 'amps' => 16, 'phases' => 3]], post: Cases::AC_POST), Outcome::Charges, 11.0,
        ];
        yield 'one phase of a three-phase post: 16 A × 230 V' => [
            Cases::file(car: ['inlets.0.coupler' => 'type2'], outlet: ['coupler' => 'type2', 'supply' => ['volts' => 230, 'amps' => 16, 'phases' => 3]], post: Cases::AC_POST), Outcome::Limited, 3.68,
        ];
    }

    public function test_a_known_fault_of_the_stall_is_told_before_connecting(): void
    {
        $cautions = Cases::answer(Cases::file(outlet: ['known_fault' => 'the latch sticks.']))->best->cautions();

        self::assertContains('Known fault at this stall: the latch sticks.', Say::voice()->each($cautions));
    }

    public function test_a_fault_of_one_stall_of_several_is_told_of_that_stall(): void
    {
        $told = static fn (array ...$stalls): array => array_values(array_filter(
            Say::voice()->each(Cases::answer(Cases::file(outlet: ['stalls' => $stalls]))->best->cautions()), static fn (string $c): bool => str_contains($c, 'stall'),
        ));
        $sound = ['label' => '1'];
        [$dead, $dark] = [['label' => '2', 'fault' => 'out of order.'], ['label' => 'by the bins', 'evse_id' => 'XX*1', 'fault' => 'screen dark']];

        self::assertSame([], $told($sound));
        self::assertSame(['Some stalls have a known fault: 2 (out of order). Take another one.'], $told($sound, $dead));
        self::assertSame(['Some stalls have a known fault: 2 (out of order), by the bins (screen dark). Take another one.'], $told($dead, $sound, $dark));
        self::assertSame(['Every stall has a known fault: 2 (out of order), by the bins (screen dark).'], $told($dead, $dark));
    }
}
