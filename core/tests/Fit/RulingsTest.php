<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Fit;

use Harmozon\Core\Case\EquipmentReader;
use Harmozon\Core\Fit\Answer;
use Harmozon\Core\Fit\ChainAnswer;
use Harmozon\Core\Fit\GateName;
use Harmozon\Core\Fit\Outcome;
use Harmozon\Core\Fit\Result;
use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Json\Node;
use Harmozon\Core\Tests\Cases;
use Harmozon\Core\Tests\Say;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What an unknown does to an answer, which answer comes first, and what is a danger. */
final class RulingsTest extends TestCase
{
    /**
     * @param  array<string, mixed>  $file
     */
    #[DataProvider('unknowns')]
    public function test_a_known_no_beats_an_unknown_and_a_danger_beats_both(array $file, Outcome $outcome, GateName $gate, Result $result, string $says): void
    {
        $best = Cases::answer($file)->best;
        $found = $best->gate($gate);

        self::assertSame([$outcome, $result], [$best->outcome, $found->result()], Say::it($found->reason()));
        self::assertStringContainsString($says, Say::it($found->reason()));
    }

    /** @return iterable<string, array{array<string, mixed>, Outcome, GateName, Result, string}> */
    public static function unknowns(): iterable
    {
        yield from self::unknownLanguages();
        yield from self::unknownVolts();
        yield from self::unknownPieces();
    }

    /** @return iterable<string, array{array<string, mixed>, Outcome, GateName, Result, string}> */
    private static function unknownLanguages(): iterable
    {
        $active = ['translates' => ['from' => ['plc'], 'to' => ['can_chademo']], 'battery_ok' => true, 'holds_back' => true];
        $through = static fn (?array $station, ?array $car, array $adapter): array => Cases::file(['inlets.0.dc.signalling' => $car], ['coupler' => 'j3400', 'signalling' => $station], [$adapter]);

        yield 'a station whose language nobody knows, and a car that has none' => [$through(null, [], []), Outcome::WontCharge, GateName::Signalling, Result::Fail, "can't reach"];
        yield 'a language that the translation does not give' => [$through(null, ['plc'], $active), Outcome::WontCharge, GateName::Signalling, Result::Fail, 'whatever the station uses'];
        yield 'one that it may give' => [$through(null, ['can_chademo'], $active), Outcome::Unverified, GateName::Signalling, Result::Unknown, 'which communication protocol this station uses'];
        yield 'a translation that understands nothing' => [$through(null, ['can_chademo'], ['translates' => ['from' => [], 'to' => ['can_chademo']]] + $active), Outcome::WontCharge, GateName::Signalling, Result::Fail, 'reaches the car this way'];
        yield 'a station that says nothing, to a car nobody asked' => [$through([], null, []), Outcome::WontCharge, GateName::Signalling, Result::Fail, 'reaches the car this way'];
        yield 'nobody asked either' => [Cases::file(['inlets.0.coupler' => 'j3400', 'inlets.0.dc.signalling' => null], ['coupler' => 'j3400', 'signalling' => null]), Outcome::Unverified, GateName::Signalling, Result::Unknown, 'which DC protocols Test car uses'];
        yield 'an AC post that has none' => [Cases::file(outlet: ['signalling' => []], post: Cases::AC_POST), Outcome::WontCharge, GateName::Signalling, Result::Fail, 'control pilot'];

        $access = static fn (?array $makes, ?array $programmes, string $kind): array => Cases::file(['programmes' => $programmes], ['access' => ['kind' => $kind, 'makes' => $makes]]);
        foreach (['makes', 'owners_only'] as $kind) {
            yield "{$kind}: an empty list admits nobody, whoever asks" => [$access([], null, $kind), Outcome::WontCharge, GateName::Access, Result::Fail, 'Not open to anyone'];
            yield "{$kind}: a car that no network admits" => [$access(null, [], $kind), Outcome::WontCharge, GateName::Access, Result::Fail, "isn't on its list"];
            yield "{$kind}: nothing known about the driver" => [$access(['ostler'], null, $kind), Outcome::Unverified, GateName::Access, Result::Unknown, 'which networks accept Test car'];
            yield "{$kind}: nothing known about the place" => [$access(null, ['ostler'], $kind), Outcome::Unverified, GateName::Access, Result::Unknown, 'which makes may charge'];
        }
    }

    /** @return iterable<string, array{array<string, mixed>, Outcome, GateName, Result, string}> */
    private static function unknownVolts(): iterable
    {
        $high = Cases::HIGH_VOLTAGE;
        $split = $high + ['inlets.0.dc.split_pack' => null];
        $boost = ['inlets.0.dc.boost_converter' => ['max_kw' => 100, 'max_input_a' => 300, 'input_v' => 400]];
        $at = static fn (array $car, array $outlet, array $adapter = []): array => Cases::file($car, ['coupler' => 'j3400', ...$outlet], [$adapter + ['holds_back' => true]]);

        // The pack starts at 600 V: half of it, 300 V, lies below a floor of 350 V.
        yield 'split or not, the floor is too high' => [$at($split, ['max_v' => 500, 'min_v' => 350]), Outcome::WontCharge, GateName::Voltage, Result::Fail, '350 V'];
        yield 'split or not, the ceiling is too low' => [$at($split, ['max_v' => 280]), Outcome::WontCharge, GateName::Voltage, Result::Fail, 'half'];
        yield 'split, it would run from 300 V to 375 V' => [$at($split, ['max_v' => 500]), Outcome::Unverified, GateName::Voltage, Result::Unknown, 'two halves'];
        yield 'either it does not start, or 375 V reach 320 V' => [$at($split, ['max_v' => 500], ['plate.max_v' => 320]), Outcome::Hazard, GateName::Voltage, Result::Fail, 'either nothing starts or A1 sees more than the 320 V'];
        yield 'a step-up that works needs no split' => [$at($split + $boost, ['max_v' => 500]), Outcome::Limited, GateName::Voltage, Result::Caution, 'steps up'];
        yield 'a step-up below the floor, and a split nobody knows of' => [$at($split + ['inlets.0.dc.boost_converter' => ['max_kw' => 100, 'input_v' => 250]], ['max_v' => 500, 'min_v' => 280]), Outcome::Unverified, GateName::Voltage, Result::Unknown, 'two halves'];
        yield 'a step-up whose volts nobody read' => [$at($high + ['inlets.0.dc.boost_converter' => ['max_kw' => 100]], ['max_v' => 500]), Outcome::Unverified, GateName::Voltage, Result::Unknown, 'step-up converter takes'];
        yield 'it might put 500 V on 450 V' => [$at($high + ['inlets.0.dc.boost_converter' => ['max_kw' => 100]], ['max_v' => 500], ['plate.max_v' => 450]), Outcome::Unverified, GateName::Voltage, Result::Unknown, 'A1 is rated for 450 V. More would be dangerous'];
        yield 'whatever it takes, no less than the floor of 470 V' => [$at($high + ['inlets.0.dc.boost_converter' => ['max_kw' => 100]], ['max_v' => 500, 'min_v' => 470], ['plate.max_v' => 450]), Outcome::Hazard, GateName::Voltage, Result::Fail, '450 V'];

        // The pack starts at 320 V and is at 360 V when it leaves.
        yield 'a ceiling nobody read, and a piece that bears the start only' => [$at([], ['max_v' => null], ['plate.max_v' => 340]), Outcome::Unverified, GateName::Voltage, Result::Unknown, 'More would be dangerous'];
        yield 'one that does not even bear the start' => [$at([], ['max_v' => null], ['plate.max_v' => 310]), Outcome::Hazard, GateName::Voltage, Result::Fail, 'maximum voltage'];
        yield 'unless the car can split its pack' => [$at(['inlets.0.dc.split_pack' => true], ['max_v' => null], ['plate.max_v' => 310]), Outcome::Unverified, GateName::Voltage, Result::Unknown, 'dangerous'];
        yield 'or step up' => [$at($boost, ['max_v' => null], ['plate.max_v' => 310]), Outcome::Unverified, GateName::Voltage, Result::Unknown, 'dangerous'];
        yield 'a floor above the pack, whatever the ceiling' => [$at([], ['max_v' => null, 'min_v' => 330]), Outcome::WontCharge, GateName::Voltage, Result::Fail, "can't go below 330 V"];
        yield 'a pack nobody knows, above a floor that is more than the adapter bears' => [$at(['pack.voltage_by_soc' => null], ['min_v' => 550], ['plate.max_v' => 500]), Outcome::Hazard, GateName::Voltage, Result::Fail, 'battery voltage'];
        yield 'a pack nobody knows, within what the station can give' => [$at(['pack.voltage_by_soc' => null], [], ['plate.max_v' => 500]), Outcome::Unverified, GateName::Voltage, Result::Unknown, 'A1 is rated for 500 V'];
        yield 'a rating nobody read is named with what it must bear' => [$at([], [], ['plate.max_v' => null]), Outcome::Unverified, GateName::Voltage, Result::Unknown, 'A1 must be rated for at least 360 V'];

        $ac = static fn (array $car, array $outlet): array => Cases::file($car, $outlet, post: Cases::AC_POST);
        yield 'volts of the supply not read' => [$ac([], ['supply.volts' => null]), Outcome::Unverified, GateName::Voltage, Result::Unknown, "Test car's inlet is rated for 250 V. More would be dangerous"];
        yield 'a supply too high for a charger whose lowest volts nobody read' => [$ac(['inlets.0.ac.min_v' => null], ['supply.volts' => 277]), Outcome::Hazard, GateName::Voltage, Result::Fail, 'would see 277 V'];
        yield 'a charger that starts above what its adapter bears' => [
            Cases::file(['inlets.0.ac.min_v' => 200], ['coupler' => 'j3400', 'supply.volts' => null], [['output' => 'type1', 'current' => 'ac', 'plate' => ['max_v' => 130, 'continuous_a' => 48]]], post: Cases::AC_POST),
            Outcome::Hazard, GateName::Voltage, Result::Fail, 'supply voltage',
        ];
    }

    /** @return iterable<string, array{array<string, mixed>, Outcome, GateName, Result, string}> */
    private static function unknownPieces(): iterable
    {
        $through = static fn (array $adapter, array $car = []): array => Cases::file($car, ['coupler' => 'j3400'], [$adapter + ['holds_back' => true]]);
        yield 'a recall nobody looked up names what it hides' => [$through(['recalled' => null]), Outcome::Unverified, GateName::Adapter, Result::Unknown, "don't connect it"];
        yield 'everything unread is asked for at once' => [
            $through(['recalled' => null, 'damaged' => null, 'certification' => null, 'plate' => ['max_v' => 1000]]),
            Outcome::Unverified, GateName::Adapter, Result::Unknown, "whether A1 is under recall, whether A1 is damaged, A1's current rating and whether A1 is certified",
        ];
        yield 'amps nobody read are a matter of safety' => [$through(['plate' => ['max_v' => 1000]]), Outcome::Unverified, GateName::Adapter, Result::Unknown, "A1's current rating"];
        yield 'a recall nobody looked up, where the languages differ' => [$through(['recalled' => null], ['inlets.0.dc.signalling' => ['can_legacy']]), Outcome::WontCharge, GateName::Signalling, Result::Fail, 'uses'];
        yield 'a claim that the policy refuses, and a recall nobody looked up' => [$through(['certification' => 'claims', 'recalled' => null]), Outcome::Unverified, GateName::Adapter, Result::Unknown, 'recall'];
        yield 'wired for AC or DC: either nothing reaches the car, or 360 V reach 300 V' => [$through(['current' => null, 'plate.max_v' => 300]), Outcome::Hazard, GateName::Voltage, Result::Fail, '360 V'];

        // Nothing flows where gate 2 fails, unless the outlet's current reaches the car's contacts all the same.
        $ac = ['current' => 'ac', 'plate' => ['max_v' => 250, 'continuous_a' => 48]];
        yield 'an AC adapter whose output has no contacts for DC' => [$through($ac + ['output' => 'type1']), Outcome::WontCharge, GateName::Voltage, Result::Pass, '360 V'];
        yield 'one whose output has: 360 V reach its 250 V' => [$through($ac), Outcome::Hazard, GateName::Voltage, Result::Fail, 'A1 would see 360 V'];
        yield 'one that bears the volts does nothing' => [$through(['current' => 'ac', 'plate' => ['max_v' => 500, 'continuous_a' => 48]]), Outcome::WontCharge, GateName::Current, Result::Fail, 'AC only'];
        yield 'a recalled one reaches the contacts too' => [$through(['recalled' => true, 'current' => 'ac', 'plate' => ['max_v' => 500]]), Outcome::Hazard, GateName::Adapter, Result::Fail, 'recall'];
        yield 'a recalled one that nothing reaches through' => [$through($ac + ['output' => 'type1', 'recalled' => true]), Outcome::WontCharge, GateName::Current, Result::Fail, 'AC only'];
        yield 'a car without a DC side' => [$through($ac, ['inlets.0.dc' => null]), Outcome::WontCharge, GateName::Current, Result::Fail, 'AC only'];

        yield 'a plain AC plug goes into the upper half of an adapter, and finds no wire' => [
            Cases::file(['inlets.0.coupler' => 'j3400'], [], [['input' => 'ccs1', 'output' => 'j3400', 'current' => null]], post: Cases::AC_POST), Outcome::WontCharge, GateName::Current, Result::Fail, 'no AC is wired',
        ];
    }

    /**
     * @param  array<string, mixed>  $changes
     */
    #[DataProvider('powers')]
    public function test_unread_power_leaves_the_outcome_and_makes_the_kw_a_ceiling(array $changes, Outcome $outcome, float $kw, bool $isAtMost, bool $isAc = false): void
    {
        $best = Cases::answer(Cases::changed(Cases::file(post: $isAc ? Cases::AC_POST : Cases::DC_POST), $changes))->best;

        self::assertSame([$outcome, $isAtMost], [$best->outcome, $best->isAtMost()], Say::it($best->why()));
        self::assertEqualsWithDelta($kw, $best->expectedPeakKw(), 0.01);
        self::assertSame(($isAtMost ? 'at most ' : '').($kw < 100 ? rtrim(rtrim(number_format($kw, 1), '0'), '.') : round($kw)).' kW', Say::it($best->given()));
    }

    /** @return iterable<string, array{0: array<string, mixed>, 1: Outcome, 2: float, 3: bool, 4?: bool}> */
    public static function powers(): iterable
    {
        yield 'read in full' => [[], Outcome::Charges, 150.0, false];
        yield "the station's amps" => [['outlet.max_a' => null], Outcome::Charges, 150.0, true];
        yield "the station's kW" => [['outlet.max_kw' => null], Outcome::Charges, 150.0, true];
        // 200 A × 360 V, which is what the pack has at 80 %.
        yield 'what is known holds it back already' => [['outlet.max_kw' => null, 'outlet.max_a' => 200], Outcome::Limited, 72.0, true];
        yield "the car's amps" => [['vehicle.inlets.0.dc.max_a' => null], Outcome::Charges, 150.0, true];
        yield "the car's kW are those of its curve" => [['vehicle.inlets.0.dc.max_kw' => null], Outcome::Charges, 150.0, false];
        yield "the car's curve" => [['vehicle.charge_curve_kw' => null], Outcome::Charges, 150.0, true];
        yield 'with power of the car unread nobody can say that it is held back' => [['vehicle.inlets.0.dc.max_a' => null, 'outlet.max_kw' => 60], Outcome::Charges, 60.0, true];
        yield "a neighbour's share" => [['outlet.cabinet' => ['kw' => 120, 'partner_active' => true]], Outcome::Limited, 120.0, true];
        yield 'a cable counts as its station' => [['outlet.cable.continuous_a' => null], Outcome::Charges, 150.0, false];
        yield 'AC: the supply' => [['outlet.supply.amps' => null], Outcome::Charges, 11.5, true, true];
        yield 'AC: amps on the plate are the supply' => [['outlet.supply.amps' => null, 'outlet.max_a' => 48], Outcome::Charges, 11.5, false, true];
        yield "AC: the charger's kW" => [['vehicle.inlets.0.ac.max_kw' => null], Outcome::Charges, 11.52, true, true];
        yield "AC: the charger's amps" => [['vehicle.inlets.0.ac.max_a' => null], Outcome::Charges, 11.5, true, true];
        yield 'AC: nothing of a DC curve' => [['vehicle.charge_curve_kw' => null], Outcome::Charges, 11.5, false, true];
    }

    public function test_at_most_is_said_of_what_charges_alone(): void
    {
        $file = Cases::file(outlet: ['max_kw' => null, 'access' => null]);

        self::assertSame([Outcome::Unverified, false], [Cases::answer($file)->best->outcome, Cases::answer($file)->best->isAtMost()]);
    }

    public function test_a_chain_that_gives_next_to_nothing_does_not_flow(): void
    {
        $kw = static fn (float $kw): ChainAnswer => Cases::answer(Cases::file(outlet: ['cabinet' => ['kw' => 100, 'policy' => 'first_come', 'partner_active' => true, 'partner_kw' => 100 - $kw]]))->best;

        self::assertSame([Outcome::Limited, 0.5], [$kw(0.5)->outcome, $kw(0.5)->expectedPeakKw()]);
        self::assertSame([Outcome::WontCharge, 0.0], [$kw(0.4)->outcome, $kw(0.4)->expectedPeakKw()]);
        self::assertSame('Fits, but gives next to nothing: 0.4 kW, limited by a neighbour on the same cabinet.', Say::it($kw(0.4)->why()));
        self::assertFalse($kw(0.4)->isRefusedByPolicy());
    }

    public function test_an_answer_read_in_full_comes_before_one_that_is_at_most(): void
    {
        // A second inlet of which less is known would seem to take more.
        $dc = Cases::CAR['inlets'][0]['dc'];
        $answer = Cases::answer(Cases::file(['charge_curve_kw' => [[0, 300]], 'inlets.0.dc.max_kw' => 150, 'inlets.1' => ['coupler' => 'ccs1', 'dc' => ['max_a' => null, 'max_kw' => 250] + $dc]]));

        self::assertSame([0, false, Outcome::Charges], [$answer->best->chain->inletIndex, $answer->best->isAtMost(), $answer->best->outcome]);
        self::assertSame([1, true], [$answer->alternatives[0]->chain->inletIndex, $answer->alternatives[0]->isAtMost()]);
    }

    public function test_what_only_the_policy_refuses_is_told_as_that_and_comes_first(): void
    {
        $claims = ['id' => 'a2', 'name' => 'A2', 'certification' => 'claims', 'holds_back' => true];
        $answer = self::kit([['id' => 'a1', 'translates' => ['from' => ['plc'], 'to' => ['plc']], 'battery_ok' => false], $claims]);

        self::assertSame([['a2'], true, Outcome::WontCharge], [$answer->best->chain->adapterIds(), $answer->best->isRefusedByPolicy(), $answer->best->outcome]);
        self::assertSame('refused by your policy', Say::it($answer->best->word()));
        self::assertFalse($answer->alternatives[0]->isRefusedByPolicy());

        // Where something else fails as well, the policy is not the reason.
        $also = self::kit([$claims], ['inlets.0.dc.signalling' => ['can_legacy']])->best;
        self::assertSame([false, "fits, won't charge"], [$also->isRefusedByPolicy(), Say::it($also->word())]);
        // What any policy would leave open is left open; the driver's is a second reason, and names the adapter's.
        $open = self::kit([['recalled' => null] + $claims])->best;
        self::assertSame([Outcome::Unverified, false], [$open->outcome, $open->isRefusedByPolicy()]);
        self::assertContains('Your policy rules it out as well: A2 is said to be built to the standard, but not certified. Your policy requires certified adapters.', array_map(Say::it(...), $open->cautions()));
        self::assertNull(self::kit([$claims])->best->policyToo());
    }

    public function test_a_danger_at_hand_is_told_before_what_does_nothing(): void
    {
        $answer = self::kit([['id' => 'a1', 'translates' => ['from' => ['plc'], 'to' => ['plc']], 'battery_ok' => false], ['id' => 'a2', 'recalled' => true]]);

        self::assertSame([Outcome::Hazard, Outcome::WontCharge], [$answer->best->outcome, $answer->alternatives[0]->outcome]);
        self::assertFalse($answer->otherWayIsHazard());
    }

    public function test_a_good_answer_says_when_another_way_is_dangerous(): void
    {
        $good = ['id' => 'a1', 'holds_back' => true];

        self::assertTrue(self::kit([$good, ['id' => 'a2', 'recalled' => true]])->otherWayIsHazard());
        self::assertFalse(self::kit([$good, ['id' => 'a2', 'certification' => 'claims']])->otherWayIsHazard());
        self::assertFalse(self::kit([$good])->otherWayIsHazard());
    }

    public function test_stacks_are_looked_at_only_where_nothing_else_joins(): void
    {
        // j3400 to ccs1, and from there to itself through two: a stack that mates beside a single piece that does.
        $stack = [['id' => 'a2', 'input' => 'j3400', 'output' => 'chademo'], ['id' => 'a3', 'input' => 'chademo', 'output' => 'ccs1']];
        $beside = self::kit([['id' => 'a1', 'certification' => 'claims'], ...$stack]);
        $alone = self::kit($stack);

        self::assertSame([Outcome::WontCharge, false], [$beside->best->outcome, $beside->otherWayIsHazard()]);
        self::assertCount(0, array_filter($beside->alternatives, static fn (ChainAnswer $a): bool => count($a->chain->adapters) > 1));
        self::assertSame([Outcome::Hazard, ['a2', 'a3']], [$alone->best->outcome, $alone->best->chain->adapterIds()]);
    }

    public function test_three_in_a_row_are_tried_by_nobody(): void
    {
        $answer = self::kit([['id' => 'a1', 'output' => 'chademo'], ['id' => 'a2', 'input' => 'chademo', 'output' => 'gbt_dc'], ['id' => 'a3', 'input' => 'gbt_dc', 'output' => 'ccs1']]);

        self::assertSame([Outcome::NoJoint, []], [$answer->best->outcome, $answer->best->chain->adapterIds()]);
    }

    public function test_equal_chains_keep_the_order_of_the_kit(): void
    {
        $twin = static fn (string $id): array => ['id' => $id, 'holds_back' => true];

        self::assertSame(['z'], self::kit([$twin('z'), $twin('a')])->best->chain->adapterIds());
        self::assertSame(['a'], self::kit([$twin('a'), $twin('z')])->best->chain->adapterIds());
        // The station's own stands before those of the kit, and fewer stand before more.
        $attached = Cases::answer(Cases::file(outlet: ['coupler' => 'j3400', 'attached_adapter' => ['id' => 'own'] + Cases::ADAPTER], adapters: [['id' => 'b']]));
        self::assertSame(['own'], $attached->best->chain->adapterIds());
    }

    public function test_a_car_that_can_split_and_step_up_takes_the_better(): void
    {
        $car = static fn (float $kw): array => Cases::HIGH_VOLTAGE + ['inlets.0.dc.split_pack' => true, 'inlets.0.dc.boost_converter' => ['max_kw' => $kw, 'max_input_a' => 500, 'input_v' => 400]];
        // Half of the pack: 200 A × 375 V. Stepped up: 200 A × 400 V, or the converter's 60 kW.
        $kw = static fn (float $converter): array => [($best = Cases::answer(Cases::file($car($converter), ['max_v' => 500, 'max_a' => 200]))->best)->voltage->mode?->value, $best->expectedPeakKw()];

        self::assertSame(['step_up', 80.0], $kw(90));
        self::assertSame(['split_pack', 75.0], $kw(60));
    }

    public function test_an_ac_chain_that_the_cars_own_charger_holds_names_the_supply(): void
    {
        $best = Cases::answer(Cases::file(['inlets.0.ac.max_v' => 277, 'inlets.0.ac.max_kw' => 13.3], ['supply.volts' => 208, 'supply.amps' => 60, 'cable.continuous_a' => 60], post: Cases::AC_POST))->best;

        // 48 A × 277 V = 13.3 kW at an ideal supply, 48 A × 208 V here.
        self::assertSame([Outcome::Limited, 9.984], [$best->outcome, $best->expectedPeakKw()]);
        self::assertSame('Limited by the onboard charger (48 A). At 208 V this supply gives 10 kW; at 277 V it would be 13.3 kW.', Say::it($best->why()));
    }

    /** 48 A and 11.5 kW: its best volts are 240 V. Whichever code binds, and however little is lost, the volts are named. */
    public function test_a_supply_below_the_chargers_best_volts_is_named(): void
    {
        $why = static fn (float $volts, float $amps): string => Say::it(Cases::answer(Cases::file([], ['supply.volts' => $volts, 'supply.amps' => $amps, 'cable.continuous_a' => 60], post: Cases::AC_POST))->best->why());

        self::assertSame('Limited by the onboard charger (48 A). At 208 V this supply gives 10 kW; at 240 V it would be 11.5 kW.', $why(208, 60));
        self::assertSame("Limited by the supply's current (30 A). At 208 V this supply gives 6.2 kW; at 240 V it would be 7.2 kW.", $why(208, 30));
        self::assertSame('Limited by the onboard charger (48 A). At 230 V this supply gives 11 kW; at 240 V it would be 11.5 kW.', $why(230, 60));
        self::assertStringNotContainsString('it would be', $why(240, 60));
    }

    /** @return iterable<string, array{array<string, mixed>, bool, string|null}> the cabinet, whether its power is a ceiling, and what is said */
    public static function cabinets(): iterable
    {
        $open = ['kw' => 200, 'policy' => 'halves', 'partner_active' => null];
        yield 'a share below what it has alone' => [$open, true, 'The kW shown assumes no neighbour on the same cabinet. With one, 100 kW would be left.'];
        yield 'one that takes nothing away' => [['kw' => 300] + $open, false, null];
        yield 'a cabinet that nobody read' => [['kw' => null] + $open, true, 'The kW shown assumes no neighbour on the same cabinet. Not known: what would be left with one.'];
        yield 'first come, and nobody knows what the neighbour takes' => [['policy' => 'first_come'] + $open, true, 'The kW shown assumes no neighbour on the same cabinet. Not known: what would be left with one.'];
        yield 'no neighbour' => [['partner_active' => false] + $open, false, null];
        yield 'no policy read' => [['policy' => null] + $open, false, null];
    }

    /** @param  array<string, mixed>  $cabinet */
    #[DataProvider('cabinets')]
    public function test_a_neighbour_of_whom_nobody_knows(array $cabinet, bool $isAtMost, ?string $said): void
    {
        $best = Cases::answer(Cases::file(outlet: ['cabinet' => $cabinet]))->best;

        self::assertSame([Outcome::Charges, 150.0, $isAtMost], [$best->outcome, $best->expectedPeakKw(), $best->isAtMost()]);
        self::assertSame($said === null ? [] : [$said], array_values(array_filter(array_map(Say::it(...), $best->cautions()), static fn (string $c): bool => str_contains($c, 'neighbour'))));
    }

    /** A dead pump never gives more: a dry rating above the cooled one is refused where it is entered, and counts as the cooled one where it is kept. */
    public function test_a_cable_without_its_coolant_carries_no_more(): void
    {
        $outlet = ['cable' => ['cooled' => true, 'continuous_a' => 300, 'dry_a' => 400, 'cooling_failed' => true], ...array_diff_key(Cases::DC_POST, ['cable' => true])];
        $kept = (new EquipmentReader)->outlet(Node::of($outlet));

        self::assertSame([300.0, true], [$kept->fittings->cable?->plateNow()->continuousA, $kept->fittings->cable->isDryAbove()]);
        $this->expectExceptionObject(FieldError::at('outlet.cable.dry_a', Message::of('field.dry_above', cooled: Amount::amps(300.0))));
        Cases::read(Cases::file(outlet: ['cable' => $outlet['cable']]));
    }

    /** A stall with its own adapter, and a kit: what joins nothing is told of the plain pair. */
    public function test_no_joint_is_told_of_the_fewest_adapters(): void
    {
        $best = Cases::answer(Cases::file(['inlets.0.coupler' => 'ccs2'], ['coupler' => 'j3400', 'attached_adapter' => ['id' => 'own', 'name' => 'own', 'input' => 'j3400', 'output' => 'ccs1', 'current' => 'dc', 'plate' => []]], [['input' => 'j3400', 'output' => 'chademo']]))->best;

        self::assertSame([Outcome::NoJoint, []], [$best->outcome, $best->chain->adapterIds()]);
    }

    public function test_facts_of_an_attached_adapter_are_read_at_its_station(): void
    {
        $attached = array_diff_key(Cases::ADAPTER, array_flip(['current', 'certification', 'damaged'])) + ['holds_back' => true];
        $attached['plate'] = ['continuous_a' => 300];
        $asked = [];
        foreach (Cases::answer(Cases::file(outlet: ['coupler' => 'j3400', 'attached_adapter' => $attached]))->best->gates() as $gate) {
            foreach ($gate->missing as $unread) {
                $asked[] = "{$unread->piece} {$unread->path}";
            }
        }

        self::assertEqualsCanonicalizing(
            ['post attached_adapter.current', 'post attached_adapter.plate.max_v', 'post attached_adapter.damaged', 'post attached_adapter.certification'], $asked,
        );
    }

    /**
     * @param  list<array<string, mixed>>  $adapters
     * @param  array<string, mixed>  $car
     */
    private static function kit(array $adapters, array $car = []): Answer
    {
        return Cases::answer(Cases::file($car, ['coupler' => 'j3400'], $adapters));
    }
}
