<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Whole;

use Harmozon\Core\Tests\Cases;

/** Cases with figures of many digits, each a different way along the chain. */
final class Asked
{
    private const PRICES = [
        'currency' => 'USD', 'per_kwh' => '0.4717', 'per_minute' => '0.031', 'session_fee' => '0.85', 'idle_per_minute' => '0.37', 'idle_grace_minutes' => 4,
        'membership' => ['monthly_fee' => '6.99', 'per_kwh' => '0.3391'],
    ];

    private const SHAPED = [
        'pack' => ['usable_kwh' => 71.37, 'voltage_by_soc' => [[0, 311.3], [11, 338.7], [47, 357.9], [83, 377.1], [100, 397.7]]],
        'charge_curve_kw' => [[0, 93.1], [9, 171.7], [33, 163.3], [61, 91.9], [85, 47.3], [100, 7.7]],
        'km_per_kwh' => 5.73,
    ];

    private const THREE_PHASES = ['coupler' => 'type2', 'supply' => ['volts' => 231.7, 'amps' => 31.3, 'phases' => 3], 'cable' => ['length_m' => 6.3, 'cooled' => false, 'continuous_a' => 32.9, 'rated_at_c' => 30, 'limit_c' => 85]];

    /** @return iterable<string, array<string, mixed>> case files */
    public static function cases(): iterable
    {
        yield 'boost-warm' => Cases::file(
            car: self::SHAPED,
            outlet: ['coupler' => 'j3400', 'tariff' => self::PRICES, 'max_kw' => 262.7, 'cabinet' => ['kw' => 181.3, 'policy' => 'halves', 'partner_active' => false], 'cable.cooled' => false, 'cable.continuous_a' => 417.3, 'cable.ageing' => 0.913],
            adapters: [['plate' => ['max_v' => 1000, 'continuous_a' => 283.7, 'boost_a' => 391.3, 'boost_minutes' => 11.7, 'max_kw' => 141.9, 'rated_at_c' => 30, 'limit_c' => 85]]],
            case: ['conditions' => ['soc_from' => 13.7, 'soc_to' => 84.3, 'ambient_c' => 36.4, 'pack_c' => 17.3, 'pack_prepared' => false, 'member' => true, 'theta' => ['a1' => 0.437, 'cable' => 0.211], 'rested_minutes' => 7.3, 'ageing' => 0.947, 'idle_minutes' => 9.6, 'next_stop_kw' => 67.7, 'faults' => ['neighbour_at_minute' => 12.3]]],
        );
        yield 'adapter-that-holds-back' => Cases::file(
            car: ['charge_curve_kw' => [[0, 263.1]], 'inlets.0.dc.max_kw' => 263.1, 'pack.usable_kwh' => 131.3],
            outlet: ['coupler' => 'j3400'],
            adapters: [['derate_c' => 61.3, 'cutoff_c' => 77.7, 'plate.max_kw' => 161.7]],
            case: ['conditions.ambient_c' => 44.7],
        );
        yield 'two-adapters-by-policy' => Cases::file(
            car: self::SHAPED,
            outlet: ['coupler' => 'j3400', 'max_a' => 333.3, 'max_kw' => null],
            adapters: [['id' => 'claims', 'certification' => 'claims', 'holds_back' => true], ['id' => 'weak', 'plate' => ['max_v' => 500, 'continuous_a' => 121.7]], ['id' => 'unread', 'plate' => null], ['id' => 'ac', 'current' => 'ac']],
        );
        yield 'step-up' => Cases::file(
            car: Cases::HIGH_VOLTAGE + ['inlets.0.dc.boost_converter' => ['max_kw' => 91.3, 'max_input_a' => 241.7, 'input_v' => 397.3, 'efficiency' => 0.927], 'inlets.0.dc.split_pack' => false],
            outlet: ['max_v' => 500, 'max_a' => 317.1, 'tariff' => self::PRICES],
        );
        yield 'split-pack' => Cases::file(
            car: Cases::HIGH_VOLTAGE + ['inlets.0.dc.split_pack' => true, 'pack.usable_kwh' => 93.7],
            outlet: ['max_v' => 500, 'max_a' => 387.3],
            case: ['conditions.soc_to' => 91.3],
        );
        yield 'ceiling' => Cases::file(outlet: ['max_v' => 352.7, 'max_a' => 287.7]);
        yield 'cooling-failed' => Cases::file(car: self::SHAPED, outlet: ['cable.dry_a' => 173.3], case: ['conditions.faults' => ['cooling_failed' => true, 'derated_kw' => 97.3]]);
        yield 'first-come' => Cases::file(car: self::SHAPED, outlet: ['cabinet' => ['kw' => 237.7, 'policy' => 'first_come', 'partner_active' => true, 'partner_kw' => 121.3]], case: ['conditions.faults' => ['neighbour_at_minute' => 6.7]]);
        yield 'modules' => Cases::file(car: self::SHAPED, outlet: ['cabinet' => ['kw' => 187.7, 'policy' => 'modules', 'partner_active' => true, 'partner_kw' => 63.3, 'module_kw' => 31.7]]);
        yield 'cold' => Cases::file(car: self::SHAPED, case: ['conditions' => ['soc_from' => 21.7, 'soc_to' => 63.3, 'ambient_c' => -11.3, 'pack_c' => -7.7, 'pack_prepared' => false]]);
        yield 'bands' => Cases::file(car: self::SHAPED, outlet: ['max_a' => 211.7, 'tariff' => ['currency' => 'EUR', 'session_fee' => '1.13', 'per_kwh' => '0', 'per_minute' => '0', 'minute_bands' => [['from_kw' => 0, 'per_minute' => '0.117'], ['from_kw' => 61.3, 'per_minute' => '0.383'], ['from_kw' => 101.7, 'per_minute' => '0.791']]]]);
        yield 'price-unread' => Cases::file(outlet: ['tariff' => ['per_kwh' => null, 'membership' => null] + self::PRICES]);
        yield 'three-phases' => Cases::file(
            car: ['inlets.0.coupler' => 'ccs2', 'inlets.0.ac' => ['phases' => 3, 'max_a' => 16.3, 'max_kw' => 10.9, 'min_v' => 190, 'max_v' => 253]] + self::SHAPED,
            outlet: self::THREE_PHASES + ['tariff' => self::PRICES], post: Cases::AC_POST,
        );
        yield 'socket-overnight' => Cases::file(car: ['inlets.0.coupler' => 'type1', 'inlets.0.dc' => null] + self::SHAPED, outlet: ['coupler' => 'type1', 'supply' => ['volts' => 119.3, 'amps' => 11.7, 'phases' => 1], 'extension' => true], post: Cases::AC_POST);
        yield 'mains-too-high' => Cases::file(outlet: ['supply' => ['volts' => 277.3, 'amps' => 40, 'phases' => 1]], post: Cases::AC_POST);
        yield 'high-voltage-at-500' => Cases::file(car: Cases::HIGH_VOLTAGE, outlet: ['max_v' => 500], adapters: [[]]);
        yield 'another-language' => Cases::file(car: ['inlets.0.dc.signalling' => ['can_legacy'], 'inlets.0.dc.retrofit' => ['adds' => ['plc'], 'state' => 'available']] + self::SHAPED);
        yield 'everything-unread' => Cases::file(car: ['pack' => null, 'charge_curve_kw' => null, 'km_per_kwh' => null, 'inlets' => [['coupler' => 'ccs1', 'dc' => [], 'ac' => []]]], outlet: ['signalling' => null, 'min_v' => null, 'max_v' => null, 'max_a' => null, 'max_kw' => null, 'cable' => null, 'access' => null]);
        yield 'figures-unread' => Cases::file(car: ['inlets.0.dc.max_a' => null, 'inlets.0.dc.max_kw' => null] + self::SHAPED, outlet: ['max_kw' => null, 'cable' => ['cooled' => null], 'cabinet' => ['kw' => null, 'policy' => 'halves', 'partner_active' => true]], case: ['conditions.ambient_c' => 31.7]);
        yield 'translated' => Cases::file(
            car: ['inlets.0.coupler' => 'chademo', 'inlets.0.ac' => null, 'inlets.0.dc.signalling' => ['can_chademo'], 'inlets.0.dc.max_a' => 118.3] + self::SHAPED,
            adapters: [['output' => 'chademo', 'input' => 'ccs1', 'translates' => ['from' => ['plc'], 'to' => ['can_chademo']], 'battery_ok' => null, 'test_overdue' => true, 'recalled' => null, 'attach_order' => 'car-first', 'holds_back' => false]],
        );
        yield 'too-cold-to-begin' => Cases::file(car: ['charge_curve_kw' => [[0, 3.1]]], case: ['conditions' => ['soc_from' => 31.3, 'ambient_c' => -21.3, 'pack_c' => -18.7, 'pack_prepared' => false]]);
        yield 'attached-and-a-stack' => Cases::file(
            car: ['inlets.0.coupler' => 'j3400', 'inlets.0.ac' => null] + self::SHAPED,
            outlet: ['coupler' => 'j3400', 'max_a' => 197.3, 'attached_adapter' => ['id' => 'own', 'name' => 'Own'] + Cases::ADAPTER, 'access' => ['kind' => 'makes', 'makes' => ['ostler', 'fernway']]],
            adapters: [['input' => 'ccs1', 'output' => 'j3400']],
        );
        yield 'flat-battery' => Cases::file(
            car: ['inlets.0.coupler' => 'chademo', 'inlets.0.ac' => null, 'inlets.0.dc.signalling' => ['can_chademo']] + self::SHAPED,
            adapters: [['output' => 'chademo', 'input' => 'ccs1', 'translates' => ['from' => ['plc'], 'to' => ['can_chademo']], 'battery_ok' => false], ['id' => 'a2', 'output' => 'chademo', 'input' => 'ccs1']],
        );
        yield 'pack-above-the-ceiling-at-arrival' => Cases::file(outlet: ['max_v' => 341.3], case: ['conditions' => ['soc_from' => 52.3, 'soc_to' => 90]]);
        yield 'two-inlets' => Cases::file(
            car: ['inlets' => [['coupler' => 'chademo', 'port' => 'front-centre', 'dc' => ['signalling' => ['can_chademo'], 'max_v' => 500, 'max_a' => 101.3, 'max_kw' => 43.7]], ['coupler' => 'type1', 'port' => 'front-left', 'ac' => ['phases' => 1, 'max_a' => 16.3, 'max_kw' => 3.6, 'min_v' => 100, 'max_v' => 250]]]] + self::SHAPED,
            outlet: ['supply' => ['volts' => 207.7, 'amps' => 23.9, 'phases' => null], 'stalls' => [['label' => '1', 'fault' => 'dark'], ['label' => '2']], 'known_fault' => 'slow screen', 'tariff' => ['idle_grace_minutes' => null, 'idle_per_minute' => null] + self::PRICES], post: Cases::AC_POST,
            case: ['conditions.idle_minutes' => 31],
        );
        yield 'member-of-nothing' => Cases::file(outlet: ['tariff' => ['membership' => null] + self::PRICES], case: ['conditions.member' => true]);
        yield 'full-already' => Cases::file(case: ['conditions.soc_from' => 100, 'conditions.soc_to' => 100]);
        yield 'plate-just-above-the-target' => Cases::file(outlet: ['coupler' => 'j3400'], adapters: [['plate.max_v' => 362.7, 'plate.continuous_a' => 412.3, 'plate.boost_a' => null]]);
        yield 'a-dip-below-the-next-stop' => Cases::file(car: ['charge_curve_kw' => [[0, 101.3], [30, 41.7], [50, 121.9], [100, 21.3]]], case: ['conditions.next_stop_kw' => 61.3]);
        yield 'language-unread-with-a-retrofit' => Cases::file(car: ['inlets.0.dc.signalling' => null, 'inlets.0.dc.retrofit' => ['adds' => ['plc'], 'state' => 'available']]);
        yield 'converter-volts-unread' => Cases::file(
            car: Cases::HIGH_VOLTAGE + ['inlets.0.dc.boost_converter' => ['max_kw' => 91.3, 'input_v' => null], 'inlets.0.dc.split_pack' => false],
            outlet: ['coupler' => 'j3400', 'max_v' => 500], adapters: [['plate.max_v' => 400], ['id' => 'a2', 'plate.max_v' => null]],
        );
        yield 'converter-volts-unread-at-the-rating' => Cases::file(
            car: Cases::HIGH_VOLTAGE + ['inlets.0.dc.boost_converter' => ['max_kw' => 91.3, 'input_v' => null], 'inlets.0.dc.split_pack' => false],
            outlet: ['coupler' => 'j3400', 'max_v' => 500], adapters: [['plate.max_v' => 500]],
        );
        yield 'danger-hidden' => Cases::file(car: Cases::HIGH_VOLTAGE, outlet: ['coupler' => 'j3400', 'access' => ['kind' => 'makes', 'makes' => ['other']]], adapters: [['plate.max_v' => 500, 'damaged' => true], ['id' => 'a2', 'plate.max_v' => null]]);
    }

    /** @return array<string, mixed> a garage file of stops that differ */
    public static function garage(): array
    {
        $post = static fn (string $id, array $changes = []): array => Cases::changed(['id' => $id, 'name' => ucfirst($id)] + Cases::DC_POST, $changes);

        return [
            'format' => 'harmozon/garage', 'version' => 1,
            'vehicles' => [
                Cases::changed(Cases::CAR, self::SHAPED),
                Cases::changed(['id' => 'truck', 'name' => 'Truck'] + Cases::CAR, Cases::HIGH_VOLTAGE + ['pack.usable_kwh' => 181.3]),
                Cases::changed(['id' => 'old', 'name' => 'Old'] + Cases::CAR, ['inlets' => [['coupler' => 'chademo', 'dc' => ['signalling' => ['can_chademo'], 'max_v' => 500, 'max_a' => 121.7, 'max_kw' => 47.3]], ['coupler' => 'type1', 'ac' => ['phases' => 1, 'max_a' => 27.7, 'max_kw' => 6.1, 'min_v' => 100, 'max_v' => 250]]]]),
            ],
            'adapters' => [Cases::changed(Cases::ADAPTER, ['holds_back' => true]), Cases::changed(['id' => 'ac', 'name' => 'AC'] + Cases::ADAPTER, ['input' => 'type1', 'output' => 'j3400', 'current' => 'ac', 'plate' => ['max_v' => 250, 'continuous_a' => 47.3]])],
            'outlets' => [
                $post('strong', ['tariff' => self::PRICES]),
                $post('cheap', ['max_kw' => 51.3, 'tariff' => ['per_kwh' => '0.2713', 'session_fee' => '0', 'per_minute' => '0'] + self::PRICES]),
                $post('euro', ['max_a' => 171.3, 'tariff' => ['currency' => 'EUR'] + self::PRICES]),
                $post('faulty', ['known_fault' => 'dark screen', 'stalls' => [['label' => '1', 'fault' => 'dead'], ['label' => '2', 'fault' => 'dead']]]),
                $post('low', ['max_v' => 347.3, 'access' => ['kind' => 'account']]),
                $post('closed', ['coupler' => 'j3400', 'access' => ['kind' => 'makes', 'makes' => ['ostler']], 'cable.cooled' => false]),
                $post('unread', ['max_a' => null, 'max_kw' => null, 'max_v' => null]),
                $post('paddle', ['coupler' => 'legacy_paddle', 'current' => 'ac']),
                Cases::changed(['id' => 'yard', 'name' => 'Yard'] + Cases::AC_POST, ['supply' => ['volts' => 237.3, 'amps' => 31.7, 'phases' => 1], 'tariff' => ['per_kwh' => null] + self::PRICES]),
            ],
            'policy' => 'certified',
            'conditions' => ['soc_from' => 17.3, 'soc_to' => 77.7, 'ambient_c' => 33.3, 'pack_c' => 21.3, 'pack_prepared' => false],
        ];
    }

    /** @return list<array<string, mixed>> as a network writes them */
    public static function locations(): array
    {
        $combined = ['standard' => 'IEC_62196_T1_COMBO', 'format' => 'CABLE', 'power_type' => 'DC', 'max_voltage' => 920, 'max_amperage' => 347, 'max_electric_power' => 181_700];
        $mains = ['standard' => 'IEC_62196_T2', 'format' => 'SOCKET', 'power_type' => 'AC_3_PHASE', 'max_voltage' => 231, 'max_amperage' => 31];

        return [
            ['id' => 'L1', 'country_code' => 'XX', 'party_id' => 'FRN', 'name' => 'Fernway at the mill', 'evses' => [
                ['uid' => 'E1', 'evse_id' => 'XX*FRN*E1', 'physical_reference' => 'Bay 1', 'status' => 'AVAILABLE', 'connectors' => [['id' => '1', ...$combined], ['id' => '2', 'standard' => 'CHADEMO', 'format' => 'CABLE', 'power_type' => 'DC', 'max_voltage' => 500, 'max_amperage' => 117]]],
                ['uid' => 'E2', 'evse_id' => 'XX*FRN*E2', 'physical_reference' => 'Bay 2', 'status' => 'OUTOFORDER', 'connectors' => [['id' => '1', ...$combined]]],
                ['uid' => 'E3', 'status' => 'HALF_ASLEEP', 'connectors' => [['id' => '1', 'standard' => 'HOUSE_PLUG', 'power_type' => 'AC_1_PHASE', 'format' => 'SOCKET', 'max_voltage' => 230, 'max_amperage' => 13]]],
                ['uid' => 'E4', 'physical_reference' => 'E4', 'status' => 'PLANNED', 'connectors' => [['id' => '1', ...$mains]]],
            ]],
            ['id' => 'L2', 'address' => '3 Yard Lane', 'evses' => [
                ['connectors' => [$mains, ['power_type' => 'AC_2_PHASE_SPLIT'] + $mains, ['power_type' => 'AC_1_PHASE', 'max_electric_power' => 3_700] + $mains]],
                ['uid' => 'N', 'evse_id' => 'N', 'connectors' => [['max_amperage' => null] + $mains, ['id' => '7', 'standard' => 'SAE_J3400', 'format' => 'CABLE', 'power_type' => 'DC', 'max_voltage' => 500, 'max_amperage' => 613]]],
            ]],
            ['id' => 'L2', 'evses' => []],
        ];
    }

    /** A readings file with everything that a judge remarks on. */
    public static function readings(): string
    {
        $rows = ['time;soc_pct;volts;amps;kw;adapter_c;handle_c;cable_c;inlet_c;ambient_c;source;note;colour'];
        $clock = static fn (int $s): string => sprintf('%d:%02d:%02d', 23 + intdiv(50 * 60 + $s, 3600), intdiv(50 * 60 + $s, 60) % 60, $s % 60);
        for ($s = 0; $s <= 1500; $s += 30) {
            $amps = $s < 60 ? 0.0 : ($s < 780 ? 371.3 + $s / 97 : 283.1 - $s / 131);
            $volts = 331.7 + $s / 41;
            $time = $s >= 600 ? sprintf('0:%02d:%02d', intdiv($s - 600, 60), $s % 60) : $clock($s);
            $rows[] = match (true) {
                $s === 90 => "{$time};21,3;\"three\";1;1;;;;;;;;",
                $s === 240 => "{$time};11,7;{$volts};{$amps};".($volts * $amps / 1000 * 1.07).';31,7;29,3;;;23,1;car;"a note; with more";red',
                $s === 300 => "{$time};27,7;;{$amps};;33,9;;41,7;38,3;23,7;charger;;",
                $s > 900 && $s < 1140 => '',
                $s === 1200 => "{$time};;{$volts};{$amps};".($volts * $amps / 1000).';181,3;57,1;;;22,9;;;',
                default => strtr("{$time};".(17.3 + $s / 37).";{$volts};{$amps};".($s % 90 === 0 ? '' : (string) ($volts * $amps / 1000)).';'.(24.1 + $s / 51).';;;;23,3;;;', '.', ','),
            };
        }

        return implode("\r\n", array_filter($rows))."\r\n";
    }
}
