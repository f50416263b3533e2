<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Power;

use Harmozon\Core\Chain\Chain;
use Harmozon\Core\Chain\UnreadFact;
use Harmozon\Core\Chain\VoltagePlanner;
use Harmozon\Core\Equipment\Quantity;
use Harmozon\Core\Power\AmpLimit;
use Harmozon\Core\Power\BindingCode;
use Harmozon\Core\Power\Envelope;
use Harmozon\Core\Power\KwLimit;
use Harmozon\Core\Power\LaterLimit;
use Harmozon\Core\Power\LimitLine;
use Harmozon\Core\Power\Limits;
use Harmozon\Core\Power\LimitSet;
use Harmozon\Core\Power\LinkKind;
use Harmozon\Core\Power\UnlimitedAdapter;
use Harmozon\Core\Tests\Cases;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Every limit of a chain by the figure it comes from, and what is asked for where a figure is missing. */
final class LimitsTest extends TestCase
{
    private const CONVERTER = ['max_kw' => 90, 'max_input_a' => 250, 'input_v' => 400, 'efficiency' => 0.92];

    private const PAIR = ['kw' => 300, 'policy' => 'halves', 'partner_active' => false];

    /**
     * @param  array{car?: array<string, mixed>, outlet?: array<string, mixed>, adapters?: list<array<string, mixed>>, case?: array<string, mixed>, post?: array<string, mixed>}  $file
     * @param  list<string>  $limits
     * @param  list<string>  $unread
     */
    #[DataProvider('chains')]
    public function test_limits_and_what_is_unread(array $file, array $limits, array $unread = []): void
    {
        $set = self::limits($file);

        self::assertSame($limits, self::told($set));
        self::assertSame($unread, array_map(static fn (UnreadFact $u): string => $u->asked->value, $set->unread));
    }

    /** @return iterable<string, array{0: array<string, mixed>, 1: list<string>, 2?: list<string>}> */
    public static function chains(): iterable
    {
        $plain = ['station_current post 500 A', 'cable_current cable 500 A', 'vehicle_current car#0 500 A', 'station_power post 350 kW', 'vehicle_curve pack 150 kW', 'curve vehicle_curve'];
        yield 'a station and a car' => [[], $plain];
        yield 'a cabinet' => [['outlet' => ['cabinet' => ['kw' => 300, 'policy' => 'halves', 'partner_active' => true]]], [
            'station_current post 500 A', 'cable_current cable 500 A', 'vehicle_current car#0 500 A', 'station_power post 350 kW', 'station_power post 300 kW', 'sharing post 150 kW', 'vehicle_curve pack 150 kW', 'curve vehicle_curve',
        ]];
        yield 'a stall that gives less' => [['case' => ['conditions.faults' => ['derated_kw' => 60]]], [
            'station_current post 500 A', 'cable_current cable 500 A', 'vehicle_current car#0 500 A', 'station_power post 350 kW', 'station_power post 60 kW', 'vehicle_curve pack 150 kW', 'curve vehicle_curve',
        ]];
        yield 'a neighbour to come' => [['outlet' => ['cabinet' => self::PAIR], 'case' => ['conditions.faults' => ['neighbour_at_minute' => 7]]], [
            'station_current post 500 A', 'cable_current cable 500 A', 'vehicle_current car#0 500 A', 'station_power post 350 kW', 'station_power post 300 kW', 'vehicle_curve pack 150 kW', 'curve vehicle_curve', 'from minute 7 sharing post 150 kW',
        ]];
        yield 'one who is there already does not come' => [['outlet' => ['cabinet' => ['kw' => 300, 'policy' => 'halves', 'partner_active' => true]], 'case' => ['conditions.faults' => ['neighbour_at_minute' => 7]]], [
            'station_current post 500 A', 'cable_current cable 500 A', 'vehicle_current car#0 500 A', 'station_power post 350 kW', 'station_power post 300 kW', 'sharing post 150 kW', 'vehicle_curve pack 150 kW', 'curve vehicle_curve',
        ]];
        yield 'who comes to a cabinet that nobody read' => [['outlet' => ['cabinet' => ['kw' => 300, 'policy' => null, 'partner_active' => false]], 'case' => ['conditions.faults' => ['neighbour_at_minute' => 7]]], [
            'station_current post 500 A', 'cable_current cable 500 A', 'vehicle_current car#0 500 A', 'station_power post 350 kW', 'station_power post 300 kW', 'vehicle_curve pack 150 kW', 'curve vehicle_curve',
        ], ['cabinet_policy']];
        yield 'who comes where there is no cabinet' => [['case' => ['conditions.faults' => ['neighbour_at_minute' => 7]]], $plain, ['cabinet_policy']];
        yield 'a cold pack' => [['case' => ['conditions.pack_prepared' => false, 'conditions.pack_c' => 0]], [...array_slice($plain, 0, 5), 'curve cold_pack']];
        yield 'nothing read' => [['car' => ['charge_curve_kw' => null, 'inlets.0.dc' => []], 'outlet' => ['max_a' => null, 'max_kw' => null, 'cable' => null]], [], ['station_a', 'station_kw', 'inlet_a', 'inlet_kw', 'charge_curve']];
        yield 'the curve bounds an inlet whose kW are unread' => [['car' => ['inlets.0.dc.max_kw' => null]], ['station_current post 500 A', 'cable_current cable 500 A', 'vehicle_current car#0 500 A', 'station_power post 350 kW', 'curve vehicle_curve']];
        yield 'an adapter with its boost' => [['outlet' => ['coupler' => 'j3400'], 'adapters' => [['plate.max_kw' => 120]]], [
            'station_current post 500 A', 'cable_current cable 500 A', 'adapter_current a1 500 A', 'vehicle_current car#0 500 A', 'station_power post 350 kW', 'adapter_power a1 120 kW', 'vehicle_curve pack 150 kW', 'curve vehicle_curve',
        ]];
        yield 'and what is left of it when it is hot' => [['outlet' => ['coupler' => 'j3400'], 'adapters' => [[]], 'case' => ['conditions.theta' => ['a1' => 1.0]]], [
            'station_current post 500 A', 'cable_current cable 500 A', 'adapter_current a1 300 A', 'vehicle_current car#0 500 A', 'station_power post 350 kW', 'vehicle_curve pack 150 kW', 'curve vehicle_curve',
        ]];
        $stepping = [...Cases::HIGH_VOLTAGE, 'inlets.0.dc.boost_converter' => self::CONVERTER];
        yield 'a converter' => [['car' => $stepping, 'outlet' => ['max_v' => 500]], [
            'station_current post 500 A', 'cable_current cable 500 A', 'vehicle_current car#0 500 A', 'converter_current converter 250 A', 'station_power post 350 kW', 'vehicle_curve pack 150 kW', 'converter_power converter 90 kW', 'curve vehicle_curve',
        ]];
        yield 'one whose kW are unread has its amps' => [['car' => [...$stepping, 'inlets.0.dc.boost_converter.max_kw' => null], 'outlet' => ['max_v' => 500]], [
            'station_current post 500 A', 'cable_current cable 500 A', 'vehicle_current car#0 500 A', 'converter_current converter 250 A', 'station_power post 350 kW', 'vehicle_curve pack 150 kW', 'curve vehicle_curve',
        ]];
        yield 'and neither' => [['car' => [...$stepping, 'inlets.0.dc.boost_converter.max_kw' => null, 'inlets.0.dc.boost_converter.max_input_a' => null], 'outlet' => ['max_v' => 500]], $plain, ['converter_kw']];
        yield 'mains' => [['post' => Cases::AC_POST], ['cable_current cable 48 A', 'supply_current post 48 A', 'onboard_charger car#0 48 A', 'onboard_charger car#0 11.5 kW']];
        yield 'mains of which nothing is read' => [['post' => Cases::AC_POST, 'outlet' => ['supply.amps' => null, 'cable' => null], 'car' => ['inlets.0.ac.max_a' => null, 'inlets.0.ac.max_kw' => null]], [], ['supply_a', 'ac_a', 'ac_kw']];
        yield 'amps of a post stand in for its supply' => [['post' => Cases::AC_POST, 'outlet' => ['supply.amps' => null, 'max_a' => 32]], ['station_current post 32 A', 'cable_current cable 48 A', 'onboard_charger car#0 48 A', 'onboard_charger car#0 11.5 kW']];
    }

    public function test_the_car_alone_is_bound_by_itself(): void
    {
        $alone = static function (array $file, string $outlet): array {
            $case = Cases::read(Cases::file(...$file, post: $outlet === 'ac' ? Cases::AC_POST : Cases::DC_POST));
            $set = Limits::ofVehicle(new Chain($case->outlet, [], $case->vehicle, 0), $case->conditions);

            return $set === null ? ['nothing'] : [...self::told($set), $set->phases, $set->plugV->at(10)];
        };

        self::assertSame(['vehicle_current car#0 500 A', 'vehicle_curve pack 150 kW', 'curve vehicle_curve', 1, 320.0], $alone([], 'dc'));
        self::assertSame(['nothing'], $alone(['car' => ['pack' => []]], 'dc'));
        self::assertSame(['onboard_charger car#0 48 A', 'onboard_charger car#0 11.5 kW', 3, 250.0], $alone(['car' => ['inlets.0.ac.phases' => 3]], 'ac'));
        self::assertSame(['onboard_charger car#0 48 A', 'onboard_charger car#0 11.5 kW', 1, 250.0], $alone(['car' => ['inlets.0.ac.phases' => null]], 'ac'));
        self::assertSame(['onboard_charger car#0 48 A', 'onboard_charger car#0 11.5 kW', 1, 250.0], $alone(['car' => ['inlets.0.ac.max_v' => null]], 'ac'));
        self::assertSame(['nothing'], $alone(['car' => ['inlets.0.ac' => null]], 'ac'));
    }

    public function test_without_volts_at_the_plug_there_are_no_limits(): void
    {
        $case = Cases::read(Cases::file(car: ['pack' => []]));
        $chain = new Chain($case->outlet, [], $case->vehicle, 0);

        self::assertNull(Limits::ofChain($chain, (new VoltagePlanner)->plans($chain, $case->conditions)[0], $case->conditions));
    }

    /** The second adapter may not hold back, the first does; and one that could not be overrun is none. */
    public function test_the_first_adapter_that_may_not_hold_back(): void
    {
        $of = static function (array ...$adapters): ?string {
            $case = Cases::read(Cases::file(outlet: ['coupler' => 'j3400'], adapters: array_map(static fn (array $a, int $i): array => ['id' => "a{$i}", 'name' => "A{$i}", 'plate.boost_a' => null, 'plate.boost_minutes' => null, ...$a], $adapters, array_keys($adapters))));
            $chain = new Chain($case->outlet, $case->adapters, $case->vehicle, 0);
            $limits = Limits::ofChain($chain, (new VoltagePlanner)->plans($chain, $case->conditions)[0], $case->conditions);
            self::assertNotNull($limits);
            $found = UnlimitedAdapter::of($chain, $limits, 10, 80);

            return $found === null ? null : $found->adapter->id.' '.round($found->couldA, 1);
        };
        // 150 kW at 320 V are 468.75 A.
        self::assertSame('a0 468.8', $of(['plate.continuous_a' => 300]));
        self::assertSame('a1 468.8', $of(['plate.continuous_a' => 900, 'holds_back' => true], ['plate.continuous_a' => 300]));
        self::assertSame('a1 468.8', $of(['plate.continuous_a' => null], ['plate.continuous_a' => 300]));
        self::assertSame('a1 468.8', $of(['plate.continuous_a' => 900], ['plate.continuous_a' => 300]));
        self::assertNull($of(['plate.continuous_a' => 300, 'holds_back' => true]));
        self::assertNull($of(['plate.continuous_a' => 468.75]));
        self::assertSame('a0 468.8', $of(['plate.continuous_a' => 468.7]));
    }

    /** @param  array<string, mixed>  $file */
    #[DataProvider('most')]
    public function test_the_most_amps_that_a_chain_can_carry(array $file, ?float $amps): void
    {
        $most = self::limits($file)->mostA(10, 80);

        self::assertSame($amps, $most === null ? null : round($most, 1));
    }

    /** @return iterable<string, array{array<string, mixed>, float|null}> 320 V at 10 %, 360 V at 80 % */
    public static function most(): iterable
    {
        yield 'the inlet: 150 kW at 320 V' => [[], 468.8];
        yield 'the station: its amps' => [['outlet' => ['max_a' => 400]], 400.0];
        yield 'the charge curve where it is high: 130 kW at 50 %, 342.9 V' => [['car' => ['charge_curve_kw' => [[0, 60], [50, 130], [80, 40]]]], 379.2];
        yield 'where the curve crosses the kW: 100 of them at 20 %, 325.7 V' => [['car' => ['charge_curve_kw' => [[0, 60], [40, 140], [80, 140]], 'inlets.0.dc.max_kw' => 100]], 307.0];
        yield 'three phases of 230 V: 11 kW' => [['post' => Cases::AC_POST, 'car' => ['inlets.0.ac' => ['phases' => 3, 'max_a' => 32, 'max_kw' => 11, 'min_v' => 100, 'max_v' => 250]], 'outlet' => ['supply' => ['volts' => 230, 'amps' => 32, 'phases' => 3]]], 15.9];
        yield 'nothing known' => [['car' => ['charge_curve_kw' => null, 'inlets.0.dc' => []], 'outlet' => ['max_a' => null, 'max_kw' => null, 'cable' => null]], null];
    }

    public function test_what_all_links_allow_some_minutes_into_a_session(): void
    {
        $set = self::limits(['outlet' => ['coupler' => 'j3400', 'cabinet' => self::PAIR], 'adapters' => [[]], 'car' => ['charge_curve_kw' => [[0, 300]], 'inlets.0.dc.max_kw' => 300], 'case' => ['conditions.faults' => ['neighbour_at_minute' => 7]]]);
        // At 10 %, 320 V: 500 A are 160 kW, 300 A are 96; from minute 7 on the neighbour leaves 150 of 300 kW.
        self::assertEqualsWithDelta([160.0, 160.0, 150.0, 150.0, 96.0], [$set->kwThen(10, [], 0), $set->kwThen(10, [], 6.99), $set->kwThen(10, [], 7), $set->kwThen(10, [], 8), $set->kwThen(10, ['a1' => true], 8)], 1e-9);
    }

    public function test_kw_of_an_amp_and_of_everything_together(): void
    {
        $ac = self::limits(['post' => Cases::AC_POST, 'car' => ['inlets.0.ac' => ['phases' => 3, 'max_a' => 32, 'max_kw' => 22, 'min_v' => 100, 'max_v' => 250]], 'outlet' => ['supply' => ['volts' => 230, 'amps' => 20, 'phases' => 3]]]);
        self::assertEqualsWithDelta(0.69, $ac->kwPerAmp(50), 1e-9);
        self::assertEqualsWithDelta(13.8, $ac->kwAt(50), 1e-9);
        // 342.86 V at 50 %; the curve falls to 80 kW at 80 %.
        $dc = self::limits(['outlet' => ['max_a' => 300]]);
        self::assertEqualsWithDelta(300 * 342.857142857 / 1000, $dc->kwAt(50), 1e-6);
        self::assertEqualsWithDelta(80.0, $dc->kwAt(80), 1e-9);
        self::assertEqualsWithDelta(10.0, $dc->kwAt(100), 1e-9);
    }

    /** @param  array{float, float, BindingCode}  $other */
    #[DataProvider('lines')]
    public function test_which_of_two_lines_binds(array $one, array $other, bool $isBelow): void
    {
        $line = static fn (array $l): LimitLine => new LimitLine($l[0], $l[1], $l[2], 'x');

        self::assertSame($isBelow, $line($one)->isBelow($line($other)));
    }

    /** @return iterable<string, array{array{float, float, BindingCode}, array{float, float, BindingCode}, bool}> */
    public static function lines(): iterable
    {
        [$station, $curve] = [BindingCode::StationPower, BindingCode::VehicleCurve];
        yield 'less' => [[99.0, 0.0, $curve], [100.0, 0.0, $station], true];
        yield 'more' => [[101.0, -5.0, $station], [100.0, 0.0, $curve], false];
        yield 'the same, falling faster' => [[100.0, -1.0, $curve], [100.0, 0.0, $station], true];
        yield 'the same, rising' => [[100.0, 1.0, $station], [100.0, 0.0, $curve], false];
        yield 'the same, one falls as the other rises' => [[100.0, -1.0, $curve], [100.0, 1.0, $station], true];
        yield 'the same and alike: what could be changed' => [[100.0, 0.0, $station], [100.0, 0.0, $curve], true];
        yield 'the other way' => [[100.0, 0.0, $curve], [100.0, 0.0, $station], false];
        yield 'itself' => [[100.0, 0.0, $curve], [100.0, 0.0, $curve], false];
    }

    public function test_an_envelope_walked_in_any_steps_says_the_same(): void
    {
        $limits = self::limits(['outlet' => ['coupler' => 'j3400', 'max_a' => 480], 'adapters' => [[]], 'car' => ['charge_curve_kw' => [[0, 120], [30, 160], [60, 140], [100, 10]]]]);
        $told = static fn (Envelope $e): array => [round($e->kw, 6), round($e->volts, 6), $e->binding, $e->linkId];
        $walked = new Envelope($limits, 0, 100, 1e-3);
        foreach ([0.0, 0.5, 3.0, 3.0, 29.9, 30.0, 30.1, 59.0, 61.0, 61.5, 99.0, 100.0] as $soc) {
            $walked->lookAt($soc);
            $jumped = new Envelope($limits, 0, 100, 1e-3);
            $jumped->lookAt($soc);

            self::assertSame($told($jumped), $told($walked), "at {$soc}");
        }
        // Back again, and with a limit that comes later.
        $walked->add(new KwLimit(BindingCode::Sharing, 'post', 5.0));
        $walked->lookAt(100.0);
        self::assertSame([5.0, BindingCode::Sharing, 'post'], [$walked->kw, $walked->binding, $walked->linkId]);
    }

    public function test_plates_that_carry_a_figure(): void
    {
        $shown = array_map(static fn (LinkKind $k): array => array_values(array_map(static fn (Quantity $q): string => $q->value, array_filter(Quantity::cases(), $k->shows(...)))), LinkKind::cases());
        [$v, $a] = [Quantity::Volts->value, Quantity::Amps->value];

        self::assertSame([[$v, $a], [$a], [$v, $a], [$v, $a], [], []], $shown);
        self::assertSame([false, true, true, false, false, false], array_map(static fn (LinkKind $k): bool => $k->heats(), LinkKind::cases()));
    }

    /** @param  array<string, mixed>  $file */
    private static function limits(array $file): LimitSet
    {
        $case = Cases::read(Cases::file(...$file));
        $chain = new Chain($case->outlet, $case->adapters, $case->vehicle, 0);

        return Limits::ofChain($chain, (new VoltagePlanner)->plans($chain, $case->conditions)[0], $case->conditions) ?? throw new \LogicException('no volts');
    }

    /** @return list<string> */
    private static function told(LimitSet $set): array
    {
        return [
            ...array_map(static fn (AmpLimit $l): string => "{$l->code->value} {$l->linkId} {$l->amps} A", $set->amps),
            ...array_map(static fn (KwLimit $l): string => "{$l->code->value} {$l->linkId} {$l->kw} kW", $set->kw),
            ...($set->curve === null ? [] : ["curve {$set->curve->code->value}"]),
            ...array_map(static fn (LaterLimit $l): string => "from minute {$l->fromMinute} {$l->limit->code->value} {$l->limit->linkId} {$l->limit->kw} kW", $set->changing->later),
        ];
    }
}
