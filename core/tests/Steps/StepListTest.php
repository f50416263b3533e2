<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Steps;

use Harmozon\Core\Answers\StepsWriter;
use Harmozon\Core\Equipment\Stall;
use Harmozon\Core\Fit\Cautions;
use Harmozon\Core\Forecast\Forecaster;
use Harmozon\Core\Steps\RungCode;
use Harmozon\Core\Steps\Step;
use Harmozon\Core\Steps\StepCode;
use Harmozon\Core\Steps\StepList;
use Harmozon\Core\Tests\Cases;
use Harmozon\Core\Tests\Say;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class StepListTest extends TestCase
{
    private const ADAPTED = ['coupler' => 'j3400'];

    private const SUPPLY = ['input' => 'socket:14-50', 'output' => 'ccs1', 'current' => 'ac', 'plate' => ['max_v' => 250, 'continuous_a' => 40]];

    private const SOCKET = ['coupler' => 'socket:14-50', 'cable' => null, 'supply' => ['volts' => 240, 'amps' => 50, 'phases' => 1]];

    private const TYPE2_CAR = ['inlets.0.coupler' => 'type2', 'inlets.0.dc' => null];

    private const TYPE2_CABLE = ['input' => 'type2', 'output' => 'type2', 'current' => 'ac', 'plate' => ['max_v' => 250, 'continuous_a' => 32]];

    /** @return iterable<string, array{array<string, mixed>, list<string>, list<string>}> file, codes of join, codes of part */
    public static function orders(): iterable
    {
        yield 'direct' => [Cases::file(), ['handle_into_car'], ['cable_from_car']];
        yield 'handle first' => [Cases::file([], self::ADAPTED, [[]]), ['handle_into_adapter', 'adapter_into_car'], ['pair_from_car', 'adapter_from_handle']];
        yield 'car first' => [Cases::file([], self::ADAPTED, [['attach_order' => 'car-first']]), ['adapter_into_car', 'handle_into_adapter'], ['handle_from_adapter', 'adapter_from_car']];
        yield 'order not read' => [Cases::file([], self::ADAPTED, [['attach_order' => null]]), ['handle_into_adapter', 'adapter_into_car'], ['pair_from_car', 'adapter_from_handle']];
        yield "the station's own" => [
            Cases::file([], [...self::ADAPTED, 'attached_adapter' => Cases::ADAPTER]),
            ['release_attached_adapter', 'handle_into_adapter', 'adapter_into_car'], ['pair_from_car', 'adapter_from_handle'],
        ];
        yield 'active' => [
            Cases::file(['inlets.0.dc.signalling' => ['can_chademo']], self::ADAPTED, [['translates' => ['from' => ['plc'], 'to' => ['can_chademo']], 'battery_ok' => true]]),
            ['handle_into_adapter', 'adapter_into_car', 'switch_on_adapter', 'start_on_adapter'], ['pair_from_car', 'adapter_from_handle'],
        ];
        yield 'portable supply' => [Cases::file([], self::SOCKET, [self::SUPPLY], post: Cases::AC_POST), ['supply_into_socket', 'cable_into_car'], ['cable_from_car', 'supply_from_socket']];
        yield 'loose cable' => [Cases::file(self::TYPE2_CAR, ['coupler' => 'type2'], [self::TYPE2_CABLE], post: Cases::AC_POST), ['handle_into_car'], ['cable_from_car']];
        yield 'a post of which nobody has read whether it has a cable' => [
            Cases::file(self::TYPE2_CAR, ['coupler' => 'type2', 'cable' => null], post: Cases::AC_POST),
            ['cable_into_post', 'cable_into_car'], ['cable_from_car', 'cable_from_post'],
        ];
    }

    /**
     * @param  array<string, mixed>  $file
     * @param  list<string>  $join
     * @param  list<string>  $part
     */
    #[DataProvider('orders')]
    public function test_pieces_are_joined_in_their_own_order_and_parted_in_the_reverse_one(array $file, array $join, array $part): void
    {
        $list = self::list($file);
        $steps = $list->steps;

        self::assertCount(count($part) + 1, $list->pieces);
        self::assertSame($join, self::codes($steps, 'join'));
        self::assertSame($part, self::codes($steps, 'part'));
        $closed = array_values(array_filter(array_map(static fn (Step $s): ?int => $s->joint->closes, $steps), is_int(...)));
        $opened = array_values(array_filter(array_map(static fn (Step $s): ?int => $s->joint->opens, $steps), is_int(...)));
        self::assertSame(array_reverse($closed), $opened);
        self::assertSame(range(0, count($opened) - 1), (static function (array $joints): array {
            sort($joints);

            return $joints;
        })($closed));
    }

    public function test_a_loose_cable_goes_into_the_post_first(): void
    {
        $case = Cases::read(Cases::file(self::TYPE2_CAR, ['coupler' => 'type2'], [self::TYPE2_CABLE], post: Cases::AC_POST));
        $list = StepList::of($case->fitter()->exactly($case->outlet, $case->adapters, $case->vehicle)->best);

        self::assertSame(['cable_into_post', 'cable_into_car'], self::codes($list->steps, 'join'));
        self::assertSame(['cable_from_car', 'cable_from_post'], self::codes($list->steps, 'part'));
        self::assertStringNotContainsString('default', Say::all(Cautions::of($list->answer)));
    }

    public function test_a_whole_visit_in_its_order(): void
    {
        self::assertSame([
            'park', 'look_at_screen', 'set_up_access', 'look_at_contacts', 'handle_into_adapter', 'adapter_into_car', 'authorise', 'await_current',
            'compare_power', 'take_temperatures', 'stop_session', 'await_latch', 'pair_from_car', 'adapter_from_handle', 'stow', 'move_away',
        ], self::codes(self::list(Cases::file([], [...self::ADAPTED, 'access.kind' => 'account'], [[]]))->steps));
        self::assertSame([
            'park', 'look_at_contacts', 'supply_into_socket', 'cable_into_car', 'await_current',
            'compare_power', 'take_temperatures', 'stop_session', 'await_latch', 'cable_from_car', 'supply_from_socket', 'stow', 'move_away',
        ], self::codes(self::list(Cases::file([], self::SOCKET, [self::SUPPLY], post: Cases::AC_POST))->steps));
    }

    public function test_an_order_that_nobody_has_read_is_said_to_be_a_default(): void
    {
        $step = self::step(self::list(Cases::file([], self::ADAPTED, [['attach_order' => null]])), StepCode::HandleIntoAdapter);
        self::assertTrue($step->isDefault);
        self::assertStringContainsString('order not known', Say::it($step->caution()));
        $read = self::step(self::list(Cases::file([], self::ADAPTED, [[]])), StepCode::HandleIntoAdapter);
        self::assertFalse($read->isDefault);
        self::assertStringNotContainsString('A1:', Say::it($read->caution()));
    }

    public function test_what_must_not_be_joined_has_one_step_with_the_reason(): void
    {
        foreach (['hazard' => [self::ADAPTED, [['recalled' => true]]], 'no_joint' => [self::ADAPTED, []], 'wont_charge' => [['min_v' => 400], []]] as $outcome => [$outlet, $adapters]) {
            $list = self::list(Cases::file([], $outlet, $adapters));

            self::assertSame($outcome, $list->answer->outcome->value);
            self::assertSame(['do_not_connect'], self::codes($list->steps), $outcome);
            self::assertSame(Say::it($list->answer->why()), Say::it($list->steps[0]->do));
            self::assertSame([], $list->ladder);
        }
    }

    /** @return iterable<string, array{array<string, mixed>}> */
    public static function careful(): iterable
    {
        yield 'nothing odd' => [Cases::file()];
        yield 'adapter of unread order' => [Cases::file([], self::ADAPTED, [['attach_order' => null]])];
        yield 'two bays' => [Cases::file([], ['cable.length_m' => 1.5])];
        yield 'stops on the way' => [Cases::file([], ['max_v' => 350])];
        yield 'uncertified, test due' => [Cases::file([], self::ADAPTED, [['certification' => 'claims', 'test_overdue' => true]], ['policy' => 'any'])];
        yield 'account' => [Cases::file([], ['access.kind' => 'account'])];
        yield 'known fault' => [Cases::file([], ['known_fault' => 'the screen is dark'])];
        yield 'a faulty stall' => [Cases::file([], ['stalls' => [['label' => '1A', 'fault' => 'dead'], ['label' => '1B']]])];
        yield 'unread power' => [Cases::file([], ['max_kw' => null])];
        yield 'socket' => [Cases::file([], [...self::SOCKET, 'extension' => true], [self::SUPPLY], post: Cases::AC_POST)];
        yield 'may not hold back, and its recall is not read' => [Cases::file(['inlets.0.dc.max_kw' => 200, 'charge_curve_kw' => [[0, 200], [100, 200]]], self::ADAPTED, [['recalled' => null, 'plate.boost_a' => null, 'plate.boost_minutes' => null]])];
    }

    /** @param  array<string, mixed>  $file */
    #[DataProvider('careful')]
    public function test_every_caution_of_the_answer_stands_at_a_step(array $file): void
    {
        $list = StepList::of(Cases::answer($file)->best);
        $told = Say::all(array_merge(...array_map(static fn (Step $s): array => [$s->do, ...$s->cautions], $list->steps)));

        self::assertNotSame([], Cautions::of($list->answer));
        foreach (Cautions::placed($list->answer) as $caution) {
            // What is read of the order is what the steps do.
            if (! in_array($caution->message->code, ['caution.handle_first', 'caution.car_first', 'caution.supply_order', 'caution.cable_order'], true)) {
                self::assertStringContainsString(Say::it($caution->message), $told);
            }
        }
    }

    public function test_what_is_to_be_checked_stands_before_the_pieces_touch(): void
    {
        $list = self::list(Cases::file([], self::ADAPTED, [['recalled' => null]]));

        self::assertSame('unverified', $list->answer->outcome->value);
        self::assertStringContainsString('recall', Say::it(self::step($list, StepCode::HandleIntoAdapter)->caution()));
        self::assertNull(self::step($list, StepCode::AdapterIntoCar)->caution());
    }

    public function test_the_minute_by_which_to_stop_replaces_the_advice_to_look_for_it(): void
    {
        $file = Cases::file(['charge_curve_kw' => [[0, 190], [100, 190]], 'inlets.0.dc.max_kw' => 190], self::ADAPTED, [['plate.boost_minutes' => 5]]);
        $list = self::list($file);

        self::assertStringContainsString('may not limit the current itself', Say::all(array_map(static fn ($c) => $c->message, Cautions::placed($list->answer))));
        self::assertStringNotContainsString('pick a weaker stall, or stop', Say::it(self::step($list, StepCode::ComparePower)->caution()));
        self::assertMatchesRegularExpression('/minute \d/', Say::it(self::step($list, StepCode::StopSession)->caution()));
        self::assertStringNotContainsString('minute', Say::it(self::step($list, StepCode::ComparePower)->caution()));

        // Where the first power is too much, it is told there, not at the end.
        $atOnce = self::list(Cases::changed($file, ['adapters.0.plate.boost_a' => null, 'adapters.0.plate.boost_minutes' => null]));
        self::assertStringContainsString('From the start', Say::it(self::step($atOnce, StepCode::ComparePower)->caution()));
        self::assertStringNotContainsString('From the start', Say::it(self::step($atOnce, StepCode::StopSession)->caution()));
    }

    public function test_the_idle_fee_is_told_with_its_minutes_or_said_to_be_unread(): void
    {
        $tariff = ['currency' => 'USD', 'per_kwh' => '0.45', 'idle_per_minute' => '0.40', 'idle_grace_minutes' => 5];
        $do = static fn (array $tariff): string => Say::it(self::step(self::list(Cases::file([], ['tariff' => $tariff])), StepCode::MoveAway)->do);

        self::assertStringContainsString('0.40 USD a minute, 5 min after', $do($tariff));
        self::assertStringContainsString('Not read', $do([...$tariff, 'idle_grace_minutes' => null]));
        self::assertSame('Make room for the next car.', $do([...$tariff, 'idle_per_minute' => '0']));
        self::assertStringContainsString('shows when', $do([...$tariff, 'idle_per_minute' => null]));
    }

    public function test_the_ladder_goes_from_the_cheap_to_another_place(): void
    {
        $codes = static fn (StepList $l): array => array_map(static fn ($r): string => $r->code->value, $l->ladder);

        self::assertSame(['read_screens', 'join_again', 'adapter_apart', 'start_another_way', 'another_stall', 'next_stop'], $codes(self::list(Cases::file([], self::ADAPTED, [[]]))));
        self::assertSame(['read_screens', 'join_again', 'start_another_way', 'another_stall', 'next_stop'], $codes(self::list(Cases::file())));
        self::assertSame(['read_screens', 'join_again', 'next_stop'], $codes(self::list(Cases::file([], self::SOCKET, [self::SUPPLY], post: Cases::AC_POST))));
    }

    public function test_another_stall_is_sound_and_shares_no_cabinet(): void
    {
        $file = Cases::file([], ['stalls' => [
            ['label' => '1A', 'cabinet' => 'I'], ['label' => '1B', 'cabinet' => 'I'], ['label' => '2A'], ['label' => '3A', 'cabinet' => 'III', 'fault' => 'dead'], ['label' => '4A', 'cabinet' => 'IV'],
        ]]);
        $stalls = static fn (?string $at): array => array_map(
            static fn (Stall $s): string => $s->label,
            array_values(array_filter(self::list($file, $at)->ladder, static fn ($r): bool => $r->code === RungCode::AnotherStall))[0]->stalls,
        );

        self::assertSame(['4A', '2A'], $stalls('1A'));
        self::assertSame(['1A', '1B', '4A'], $stalls('2A'));
        self::assertSame([], $stalls(null));
        self::assertSame([], $stalls('9Z'));
    }

    public function test_a_shared_cabinet_and_the_second_cable_are_told_where_they_matter(): void
    {
        $shared = Cases::file([], ['cabinet' => ['kw' => 350, 'policy' => 'halves', 'partner_active' => false, 'partner_kw' => null, 'module_kw' => null]]);
        self::assertStringContainsString('share cabinets', Say::it(self::step(self::list($shared), StepCode::Park)->caution()));
        self::assertStringNotContainsString('cabinet', Say::it(self::step(self::list(Cases::file()), StepCode::Park)->caution()));
        self::assertStringContainsString('second cable', Say::it(self::step(self::list($shared), StepCode::ComparePower)->caution()));
        $ac = self::list(Cases::file(['inlets.0.coupler' => 'type1', 'inlets.0.dc' => null], post: Cases::AC_POST));
        self::assertStringNotContainsString('second cable', Say::it(self::step($ac, StepCode::ComparePower)->caution()));
        self::assertStringContainsString('first ten minutes', Say::it(self::step($ac, StepCode::ComparePower)->ifNot));
        self::assertStringContainsString('may be derated', Say::it(self::step(self::list($shared), StepCode::ComparePower)->ifNot));
    }

    public function test_how_it_starts_is_told_as_far_as_it_is_known(): void
    {
        $do = static fn (array $access): string => Say::it(self::step(self::list(Cases::file([], $access)), StepCode::Authorise)->do);

        self::assertStringStartsWith('Open to everyone', $do(['access.kind' => 'open']));
        self::assertStringStartsWith("Follow the stall's screen to start", $do(['access.kind' => null]));
        self::assertStringContainsString('your Millrace account', $do(['access.kind' => 'account', 'access.network' => 'Millrace']));
        self::assertStringStartsWith('Start with your account:', $do(['access.kind' => 'account']));
        self::assertStringStartsWith('Start by certificate', $do(['access' => ['kind' => 'makes', 'makes' => ['ostler']]]));
    }

    public function test_the_stations_own_adapter_goes_back_into_its_dock_and_is_no_part_of_the_kit(): void
    {
        $attached = self::list(Cases::file([], [...self::ADAPTED, 'attached_adapter' => Cases::ADAPTER]));
        self::assertSame('A click from the dock.', Say::it(self::step($attached, StepCode::DockAttachedAdapter)->sign));
        self::assertStringNotContainsString('A1', Say::it(self::step($attached, StepCode::Stow)->do));
        self::assertStringContainsString("didn't come out on the connector", Say::it(self::step($attached, StepCode::HandleIntoAdapter)->do));
        self::assertFalse(self::step($attached, StepCode::ReleaseAttachedAdapter)->isDefault);
        $own = self::list(Cases::file([], self::ADAPTED, [[]]));
        self::assertStringContainsString('count your own pieces: A1', Say::it(self::step($own, StepCode::Stow)->do));
        self::assertStringContainsString('Push the connector into A1', Say::it(self::step($own, StepCode::HandleIntoAdapter)->do));
        self::assertNotContains('dock_attached_adapter', self::codes($own->steps));
    }

    public function test_every_step_and_rung_can_be_said(): void
    {
        foreach ([...self::orders(), ...self::careful()] as [$file]) {
            $written = (new StepsWriter(Say::voice()))->steps(self::list($file));

            self::assertNotSame([], $written['steps']);
            self::assertCount(5, (array) $written['stuck_latch']);
            self::assertSame([30, 60, 120], array_column((array) $written['handshake'], 'after_s'));
            self::assertStringNotContainsString('{', (string) json_encode(array_column((array) $written['steps'], 'do')));
        }
    }

    /** @param  array<string, mixed>  $file */
    private static function list(array $file, ?string $stall = null): StepList
    {
        $case = Cases::read($file);
        $forecast = (new Forecaster)->forecast($case->fitter()->answer($case->outlet, $case->vehicle)->best, $case->conditions);

        return StepList::of($forecast->answer, $forecast->advice->passed, $stall);
    }

    private static function step(StepList $list, StepCode $code): Step
    {
        return array_values(array_filter($list->steps, static fn (Step $s): bool => $s->code === $code))[0];
    }

    /**
     * @param  list<Step>  $steps
     * @return list<string>
     */
    private static function codes(array $steps, ?string $phase = null): array
    {
        return array_values(array_map(static fn (Step $s): string => $s->code->value, array_filter($steps, static fn (Step $s): bool => $phase === null || $s->phase->value === $phase)));
    }
}
