<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Answers;

use Harmozon\Core\Answers\CheckWriter;
use Harmozon\Core\Answers\FitWriter;
use Harmozon\Core\Answers\ForecastWriter;
use Harmozon\Core\Case\CaseReader;
use Harmozon\Core\Case\EquipmentReader;
use Harmozon\Core\Case\PlateWriter;
use Harmozon\Core\Equipment\Outlet;
use Harmozon\Core\Fit\Fitter;
use Harmozon\Core\Fit\GateName;
use Harmozon\Core\Forecast\AdvertisedPower;
use Harmozon\Core\Forecast\Forecaster;
use Harmozon\Core\Forecast\Ranking;
use Harmozon\Core\Json\Node;
use Harmozon\Core\Readings\RejectedRow;
use Harmozon\Core\Readings\RejectedRows;
use Harmozon\Core\Record\Judge;
use Harmozon\Core\Record\Reading;
use Harmozon\Core\Tests\Cases;
use Harmozon\Core\Tests\Say;
use Harmozon\Core\Words\Message;
use PHPUnit\Framework\TestCase;

/** The documents of the contract, field by field, from cases worked out by hand. */
final class WritersTest extends TestCase
{
    public function test_a_fit(): void
    {
        // 500 A at most 150 kW: the car's curve binds, from its first moment on.
        $case = Cases::read(Cases::file(outlet: ['coupler' => 'j3400'], adapters: [['holds_back' => true]]));
        $answer = (new FitWriter(Say::voice()))->answer($case->fitter()->answer($case->outlet, $case->vehicle), []);

        self::assertSame(
            [['post', 'a1', 'car#0'], ['a1'], 'charges', 'yes', 150.0, false, false, false, 'vehicle_curve', 'pack', 10.0, 150.0, 'charges', 'Charges', false, [], []],
            [$answer['chain'], $answer['adapters'], $answer['outcome'], $answer['flows'], $answer['expected_peak_kw'], $answer['at_most'], $answer['refused_by_policy'], $answer['other_way_is_hazard'],
                $answer['binding'], $answer['binding_link'], $answer['peak_at_soc'], $answer['ideal_peak_kw'], $answer['word'], $answer['title'], $answer['to_buy'], $answer['changes'], $answer['alternatives']],
        );
        self::assertSame(['outlet', 'cable', 'adapter', 'inlet', 'pack'], array_column($answer['links'], 'kind'));
        self::assertSame([false, true, true, false, false], array_column($answer['links'], 'heats'));
        self::assertSame(array_column(GateName::cases(), 'value'), array_column($answer['gates'], 'gate'));
        foreach ($answer['gates'] as $gate) {
            self::assertSame(['gate', 'result', 'reason', 'code', 'check', 'asks', 'figures'], array_keys($gate));
        }
        self::assertSame(['name' => 'cable', 'value' => 5.0, 'unit' => 'm'], $answer['gates'][6]['figures'][0]);

        $nothing = (new FitWriter(Say::voice()))->answer(Cases::answer(Cases::file(outlet: ['coupler' => 'gbt_dc'])), []);
        self::assertSame(['no_joint', 'no', 0.0, null, null, null], [$nothing['outcome'], $nothing['flows'], $nothing['expected_peak_kw'], $nothing['binding'], $nothing['binding_link'], $nothing['peak_at_soc']]);

        $cell = (new FitWriter(Say::voice()))->cell(Cases::answer(Cases::file(outlet: ['max_kw' => null, 'max_v' => null])));
        self::assertSame(['unverified', 'maybe', 'Check first', 'max_v'], [$cell['outcome'], $cell['flows'], $cell['title'], $cell['asks'][0]['path']]);
        self::assertSame(['fact', 'code', 'where', 'piece', 'path', 'kind'], array_keys($cell['asks'][0]));
        $none = (new FitWriter(Say::voice()))->cell(Cases::answer(Cases::file(outlet: ['coupler' => 'gbt_dc'])));
        self::assertSame([0.0, null, 'no_joint'], [$none['expected_peak_kw'], $none['binding'], $none['outcome']]);
    }

    public function test_a_forecast(): void
    {
        // 200 A × 300 V = 60 kW, 42 kWh into the pack are 44.211 at the plug: 45.011 min with the handshake and the ramp.
        $case = Cases::read(Cases::file(
            car: ['pack.voltage_by_soc' => [[0, 300], [100, 300]], 'charge_curve_kw' => [[0, 300], [100, 300]], 'inlets.0.dc.max_kw' => null],
            outlet: ['max_a' => 200, 'tariff' => ['currency' => 'USD', 'per_kwh' => '0.40', 'per_minute' => '0', 'session_fee' => '1']],
            case: ['conditions.next_stop_kw' => 100],
        ));
        $answer = (new ForecastWriter(Say::voice()))->forecast((new Forecaster)->forecast($case->fitter()->answer($case->outlet, $case->vehicle)->best, $case->conditions), $case->conditions);

        self::assertSame(
            [45.01, 44.211, 42.0, 58.93, 60.0, null, null, 80.0, 10.1, 'station_current', [], [], null, null],
            [$answer['minutes'], $answer['plug_kwh'], $answer['pack_kwh'], $answer['mean_kw'], $answer['peak_kw'], $answer['stopped'], $answer['stopped_code'], $answer['soc_end'], $answer['go_on_at_soc'],
                $answer['longest_binding'], $answer['unread'], $answer['asks'], $answer['stop_at'], $answer['stop_words']],
        );
        self::assertEquals((object) ['ramp' => 0.1, 'station_current' => 44.16], $answer['minutes_by_binding']);
        self::assertSame(['currency' => 'USD', 'amount' => '18.68', 'at_least' => false, 'unread' => [], 'with_membership' => null, 'without_membership' => '18.68', 'idle_fee' => '0.00', 'break_even_kwh_per_month' => null, 'break_even_sessions_per_month' => null], $answer['cost']);
        // 42 kWh × 6 km; 44.211 kWh in 45.011 min give 252 km.
        self::assertSame([252.0, 335.9], [$answer['km'], $answer['km_per_hour']]);
        // From 80 % on: 3 kWh into the pack are 3.158 at the plug, 3.158 min, 1.26 USD.
        self::assertSame(['soc' => 80.0, 'minutes_per_5' => 3.16, 'plug_kwh_per_5' => 3.158, 'amount_per_5' => '1.26'], $answer['marginal'][14]);
        self::assertSame(['t_s' => 0.0, 'soc' => 10.0, 'v' => 300.0, 'a' => 0.0, 'kw' => 0.0, 'car_kw' => 150.0, 'binding' => 'handshake', 'binding_link' => null, 'km_per_hour' => 0.0], array_diff_key($answer['points'][0], ['theta' => 0, 'pack_c' => 0]));
        $last = $answer['points'][count($answer['points']) - 1];
        self::assertSame([80.0, 300.0, 200.0, 60.0, 'station_current', 'post', 342.0], [$last['soc'], $last['v'], $last['a'], $last['kw'], $last['binding'], $last['binding_link'], $last['km_per_hour']]);
        self::assertSame(['words' => "the station's maximum current", 'label' => "station's maximum current", 'is_vehicles_own' => false], ((array) $answer['bindings'])['station_current']);
    }

    public function test_a_check(): void
    {
        $case = Cases::read(Cases::file(outlet: ['coupler' => 'j3400'], adapters: [[]]));
        $judge = new Judge($case->fitter()->answer($case->outlet, $case->vehicle)->best, $case->conditions);
        // 340 V × 250 A = 85 kW: 14.167 kWh in ten minutes.
        foreach (range(0, 600, 60) as $s) {
            $judge->add(new Reading($s * 1000, 20 + $s / 60, 340, 250, 85, ['adapter' => 30 + $s / 100, 'ambient' => 20.0]));
        }
        $rejected = new RejectedRows;
        $rejected->add(new RejectedRow(7, Message::of('field.complaint', path: 'volts', problem: Message::of('field.missing'))));
        $answer = (new CheckWriter(Say::voice()))->judgement($judge->judgement(), $rejected);

        self::assertSame(
            ['passed', 11, 1, 0, [], ['a' => 250.0, 'kw' => 85.0], ['a' => 250.0, 'kw' => 85.0], 14.167, 0.0, 10.0, 134.58],
            [$answer['verdict'], $answer['readings'], $answer['rejected_count'], $answer['gaps_left_out'], $answer['gaps'], $answer['mean_10min'], $answer['mean_1min'], $answer['energy_kwh'], $answer['energy_bridged_share'], $answer['soc_gained'], $answer['implied_usable_kwh']],
        );
        self::assertSame([['line' => 7, 'reason' => 'volts: is missing', 'code' => 'field.missing']], $answer['rejected']);
        self::assertSame(['value' => 340.0, 't_s' => 0.0, 'provenance' => 'measured'], $answer['peaks']['v']);
        self::assertSame([['adapter' => 'a1', 'of_continuous' => 0.8333, 'of_boost' => 0.5]], $answer['proven']);
        // 36 °C at the end, 16 K above 20 °C; 16 / 2.5² = 2.56.
        self::assertSame([['point' => 'adapter', 'max_c' => 36.0, 'rise_k' => 16.0, 'state' => 'within', 'index_k_per_100a2' => 2.56]], $answer['temperatures']);
        $amps = array_values(array_filter($answer['plate_check'], static fn (array $r): bool => $r['link'] === 'a1' && $r['quantity'] === 'a'))[0];
        // Half of the steady load (250 / 300)² is reached after 33.6 min × ln 2; after ten minutes 0.6944 × (1 − e^(−10/33.6)).
        self::assertEqualsWithDelta(0.6944 * (1 - exp(-10 / (-15 / log(1 - 0.36)))), $amps['theta_max'], 0.0005);
        self::assertSame(
            [500.0, 300.0, 250.0, 250.0, 0.5, 'within', 0.0, 0.0, 15.0, 15.0, 'measured', null],
            [$amps['limit'], $amps['continuous_limit'], $amps['peak'], $amps['margin'], $amps['utilisation'], $amps['state'], $amps['minutes_over_continuous'], $amps['minutes_over_unread'], $amps['allowed_minutes'], $amps['left_minutes'], $amps['provenance'], $amps['missing']],
        );
        self::assertSame([], $answer['flags']);
    }

    public function test_a_ranking_and_a_sticker(): void
    {
        $case = Cases::read(Cases::file());
        $outlet = static fn (array $changes): Outlet => (new EquipmentReader)->outlet(Node::of(Cases::changed(Cases::DC_POST, $changes)));
        $writer = new ForecastWriter(Say::voice());
        $stops = $writer->ranking(Ranking::of([
            $outlet(['id' => 'slow', 'name' => 'Slow', 'max_kw' => 50, 'tariff' => ['currency' => 'USD', 'per_kwh' => '0.30', 'per_minute' => '0', 'session_fee' => '0']]),
            $outlet(['id' => 'fast', 'name' => 'Fast', 'known_fault' => 'dark screen']),
            $outlet(['id' => 'short', 'name' => 'Short', 'max_v' => 350]),
        ], $case->vehicle, new Fitter([], $case->conditions)))['stops'];
        $by = array_column($stops, null, 'outlet');

        self::assertSame([['time' => 2, 'money' => 1, 'risk' => 1], ['time' => 1, 'money' => 2, 'risk' => 2], ['time' => 3, 'money' => 3, 'risk' => 3]], array_map(
            static fn (string $id): array => array_intersect_key($by[$id]['places'], ['time' => 0, 'money' => 0, 'risk' => 0]), ['slow', 'fast', 'short'],
        ));
        // 42 kWh in the pack are 44.211 at the plug, × 0.30.
        self::assertSame(['USD', '13.26', 44.2, 50.0, 80.0, null, null, 0, 'limited', []], [
            $by['slow']['currency'], $by['slow']['amount'], $by['slow']['plug_kwh'], $by['slow']['peak_kw'], $by['slow']['soc_end'], $by['slow']['stopped'], $by['slow']['stopped_code'], $by['slow']['risk'], $by['slow']['outcome'], $by['slow']['adapters'],
        ]);
        self::assertSame([null, null, 10, 'rank.risk'], [$by['fast']['currency'], $by['fast']['amount'], $by['fast']['risk'], $by['fast']['reason_codes']['risk'][0]]);
        self::assertSame('Known fault: dark screen.', $by['fast']['reasons']['risk']);
        self::assertSame([62.5, true], [$by['short']['soc_end'], is_string($by['short']['stopped'])]);

        $sticker = $writer->sticker(new AdvertisedPower($outlet(['max_a' => 350])), [$case->vehicle], $case->conditions);
        self::assertContains(['vehicle' => 'car', 'least_v' => 320.0, 'most_v' => 360.0, 'least_kw' => 112.0, 'most_kw' => 126.0, 'takes_kw' => 150.0, 'takes_is_about' => false], $sticker['vehicles'] ?? $sticker['cars'] ?? []);
    }

    public function test_a_sticker_for_the_inlet_that_meets_it_and_for_nobody(): void
    {
        $writer = new ForecastWriter(Say::voice());
        $post = (new EquipmentReader)->outlet(Node::of(['max_v' => 500] + Cases::DC_POST));
        // 300 V at 10 %, 375 V at 80 %: a half of the pack's; the first inlet cannot switch the pack.
        $car = Cases::read(Cases::file(car: Cases::HIGH_VOLTAGE + ['inlets.1' => Cases::CAR['inlets'][0], 'inlets.1.dc.split_pack' => true, 'inlets.1.dc.max_v' => 1000]));

        self::assertSame([['vehicle' => 'car', 'least_v' => 300.0, 'most_v' => 375.0, 'least_kw' => 150.0, 'most_kw' => 187.5, 'takes_kw' => 150.0, 'takes_is_about' => false]], $writer->sticker(new AdvertisedPower($post), [$car->vehicle], $car->conditions)['cars']);
        $ac = Cases::read(Cases::file(car: ['inlets.0.dc' => null, 'inlets.1' => Cases::CAR['inlets'][0]]));
        self::assertSame(320.0, $writer->sticker(new AdvertisedPower($post), [$ac->vehicle], $ac->conditions)['cars'][0]['least_v']);
        self::assertSame([], $writer->sticker(new AdvertisedPower($post), [], $car->conditions)['cars']);
    }

    public function test_plates_as_lines(): void
    {
        $writer = new PlateWriter(Say::voice());
        $outlet = static fn (array $changes, array $post = Cases::DC_POST): array => $writer->outlet((new EquipmentReader)->outlet(Node::of(Cases::changed($post, $changes))));
        $stalls = static fn (int $count, array $faults = []): array => array_map(static fn (int $i): array => ['label' => (string) $i, 'fault' => $faults[$i] ?? null], range(1, $count));

        self::assertSame(['CCS1: 1000 V · 500 A · 350 kW'], $outlet([]));
        self::assertSame(['CCS1: ? V · 500 A'], $outlet(['max_v' => null, 'max_kw' => null, 'stalls' => []]));
        self::assertSame(['Type 1: 240 V · 48 A'], $outlet([], Cases::AC_POST));
        self::assertSame(['CCS1: 1000 V · 500 A · 350 kW', '1 stall: 1'], $outlet(['stalls' => $stalls(1)]));
        self::assertSame('3 stalls: 1, 2 (out of order), 3', $outlet(['stalls' => $stalls(3, [2 => 'out of order'])])[1]);
        self::assertSame('12 stalls: 1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12', $outlet(['stalls' => $stalls(12)])[1]);
        self::assertSame(['13 stalls', '13 stalls: 5 (dark)'], [$outlet(['stalls' => $stalls(13)])[1], $outlet(['stalls' => $stalls(13, [5 => 'dark'])])[1]]);

        $reader = new EquipmentReader;
        self::assertSame(['310–380 V · 60 kWh', 'CCS1: 500 V · 500 A · 150 kW'], $writer->vehicle($reader->vehicle(Node::of(Cases::CAR))));
        self::assertSame(['1000 V · 300 A · 500 A 15 min'], $writer->adapter($reader->adapter(Node::of(Cases::ADAPTER))));
        self::assertSame(['rating not read'], $writer->adapter($reader->adapter(Node::of(Cases::changed(Cases::ADAPTER, ['plate' => null])))));
    }

    public function test_a_garage_is_read_piece_by_piece(): void
    {
        $file = ['format' => CaseReader::GARAGE_FORMAT, 'version' => 1, 'vehicles' => [Cases::CAR, ['id' => 'second'] + Cases::CAR], 'adapters' => [Cases::ADAPTER], 'outlets' => [Cases::DC_POST, ['id' => 'other'] + Cases::DC_POST], 'policy' => 'any'];
        $garage = (new CaseReader)->garage(Node::of($file));
        $pairs = array_map(static fn ($a): string => $a->best->chain->outlet->id.' '.$a->best->chain->vehicle->id, iterator_to_array($garage->board()->answers(), false));

        self::assertSame(['post car', 'post second', 'other car', 'other second'], $pairs);
        foreach ([
            'vehicles[1].id: "car" is listed twice' => ['vehicles.1.id' => 'car'],
            'outlets[1].id: "post" is listed twice' => ['outlets.1.id' => 'post'],
            'adapters[0].id: another piece in this case already has the id "second"' => ['adapters.0.id' => 'second'],
            'outlets[1].attached_adapter.id: "pack" names a link' => ['outlets.1.attached_adapter' => ['id' => 'pack'] + Cases::ADAPTER],
            'adapters[0].id: "x1" is listed twice' => ['adapters.0.id' => 'x1', 'outlets.1.attached_adapter' => ['id' => 'x1'] + Cases::ADAPTER],
            'format: expected' => ['format' => 'harmozon/case'],
            'vehicles: expected a list' => ['vehicles' => 'all'],
        ] as $told => $changes) {
            self::assertStringContainsString($told, Say::refusal(static fn () => (new CaseReader)->garage(Node::of(Cases::changed($file, $changes)))));
        }
    }
}
