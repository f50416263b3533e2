<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Steps;

use Harmozon\Core\Case\EquipmentReader;
use Harmozon\Core\Fit\GateName;
use Harmozon\Core\Fit\Result;
use Harmozon\Core\Forecast\Ranking;
use Harmozon\Core\Forecast\RankOrder;
use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Json\Node;
use Harmozon\Core\Record\Verdict;
use Harmozon\Core\Review\Trust\NextTest;
use Harmozon\Core\Review\Trust\ProvenShare;
use Harmozon\Core\Review\Trust\Used;
use Harmozon\Core\Review\Trust\Warming;
use Harmozon\Core\Steps\Rung;
use Harmozon\Core\Steps\Step;
use Harmozon\Core\Steps\StepCode;
use Harmozon\Core\Steps\StepList;
use Harmozon\Core\Tests\Cases;
use Harmozon\Core\Tests\Say;
use PHPUnit\Framework\TestCase;

/** What a visit also weighs: a trailer and its bay, the weight and the lock of an adapter, its firmware, whom to call. */
final class VisitWeighsTest extends TestCase
{
    private const ADAPTED = ['coupler' => 'j3400'];

    public function test_a_trailer_asks_for_a_bay_that_is_driven_through(): void
    {
        $reach = static function (array $stalls, bool $towing = true, array $more = []): array {
            $case = Cases::read(Cases::file(outlet: ['stalls' => $stalls, 'cable.length_m' => 5, ...$more], case: ['conditions.towing' => $towing]));
            $gate = $case->fitter()->answer($case->outlet, $case->vehicle)->best->gate(GateName::Reach);

            return [$gate->result(), Say::it($gate->reason())];
        };
        $through = [['label' => 'P1', 'bay' => 'pull_through'], ['label' => 'B2', 'bay' => 'standard']];

        self::assertSame([Result::Pass, 'Port rear left, cable 5 m: reaches from one bay, whichever way you park. With the trailer, take a pull-through bay: P1.'], $reach($through));
        self::assertSame([Result::Caution, "With a trailer: there's no pull-through bay here. You need two bays or more, or to unhitch where that is allowed."], $reach([['label' => 'B2', 'bay' => 'end']]));
        self::assertStringContainsString('no pull-through bay is recorded', $reach([['label' => 'B2'], ['label' => 'B3', 'bay' => 'standard']])[1]);
        self::assertStringContainsString('no pull-through bay is recorded', $reach([])[1]);
        self::assertSame(Result::Pass, $reach([], false)[0]);
        self::assertStringContainsString('the pull-through bay here (P1) has a problem on record', $reach([['label' => 'P1', 'bay' => 'pull_through', 'fault' => 'dark screen'], ['label' => 'B2', 'bay' => 'standard']])[1]);
        // A cable that is too short is said as ever, and what nobody has read stays unread, with the trailer beside it.
        self::assertStringContainsString("probably won't reach", $reach($through, more: ['cable.length_m' => 0.5])[1]);
        [$result, $said] = $reach([], more: ['cable.length_m' => null]);
        self::assertSame(Result::Unknown, $result);
        self::assertStringContainsString('With a trailer', $said);
    }

    public function test_the_ranking_by_risk_follows_the_trailer(): void
    {
        $order = static function (bool $towing): array {
            $case = Cases::read(Cases::file(case: ['conditions.towing' => $towing]));
            $outlet = static fn (string $id, string $bay): \Harmozon\Core\Equipment\Outlet => (new EquipmentReader)->outlet(Node::of(Cases::changed(Cases::DC_POST, ['id' => $id, 'name' => $id, 'stalls' => [['label' => '1', 'bay' => $bay]]])));
            $ranking = Ranking::of([$outlet('a-standard', 'standard'), $outlet('b-through', 'pull_through')], $case->vehicle, $case->fitter());

            return array_map(static fn ($stop): array => [$stop->outletId(), $stop->risk], $ranking->by(RankOrder::Risk));
        };

        self::assertSame(['b-through', 'a-standard'], array_column($order(true), 0));
        self::assertSame([0, 3], [$order(true)[0][1] - $order(false)[1][1], $order(true)[1][1] - $order(false)[0][1]]);
    }

    public function test_an_accessible_bay_is_named_as_kept_free(): void
    {
        $list = self::list(Cases::file([], [...self::ADAPTED, 'stalls' => [['label' => 'A1', 'bay' => 'accessible'], ['label' => 'A2', 'bay' => 'standard'], ['label' => 'A3', 'bay' => 'accessible']]], [[]]));

        self::assertStringContainsString('A1 and A3 are reserved for people who need the room.', Say::all(self::step($list, StepCode::Park)->cautions));
    }

    public function test_a_heavy_adapter_is_held_until_it_is_latched(): void
    {
        $said = static fn (array $adapter): string => Say::all(self::step(self::list(Cases::file([], self::ADAPTED, [$adapter])), StepCode::HandleIntoAdapter)->cautions);

        self::assertStringContainsString('the adapter weighs 700 g', $said(['mass_g' => 700]));
        self::assertStringNotContainsString('Hold connector', $said(['mass_g' => 699]));
        self::assertStringContainsString("Hold connector and adapter together until both are latched, and don't let the cable hang from the inlet.", $said([]));
    }

    public function test_a_lock_is_locked_once_current_flows_and_unlocked_before_the_stop(): void
    {
        $codes = static fn (array $adapter): array => array_map(static fn (Step $s): string => $s->code->value, self::list(Cases::file([], self::ADAPTED, [$adapter]))->steps);
        $locked = $codes(['theft_lock' => true]);

        self::assertGreaterThan(array_search('await_current', $locked, true), array_search('lock_adapter', $locked, true));
        self::assertSame(array_search('stop_session', $locked, true), (int) array_search('unlock_adapter', $locked, true) + 1);
        self::assertNotContains('lock_adapter', $codes([]));
        self::assertNotContains('lock_adapter', $codes(['theft_lock' => false]));
        self::assertStringContainsString("A1 can't be locked", Say::all(self::step(self::list(Cases::file([], self::ADAPTED, [['theft_lock' => false]])), StepCode::MoveAway)->cautions));
        self::assertSame([], self::step(self::list(Cases::file([], self::ADAPTED, [[]])), StepCode::MoveAway)->cautions);
    }

    public function test_whom_to_call_stands_on_the_last_rung_and_with_the_stuck_latch(): void
    {
        $file = Cases::file([], [...self::ADAPTED, 'address' => '4 Weir Road, Tollmere', 'access.network' => 'Quill'], [[]], ['networks' => [['name' => 'quill', 'help_line' => '0800 555 0100']]]);
        $list = self::list($file, '7B');
        $rungs = $list->ladder;
        $last = end($rungs);

        self::assertInstanceOf(Rung::class, $last);
        self::assertSame('Go on to the next stop in the ranking. The help line is 0800 555 0100. Read out: Test post, 4 Weir Road, Tollmere, stall 7B.', Say::it($last->do));
        self::assertSame('The help line is 0800 555 0100. Read out: Test post, 4 Weir Road, Tollmere, stall 7B. No force, no tools, and never cut anything.', Say::it($list->stuckLatch[count($list->stuckLatch) - 1]));
        $unknown = self::list(Cases::file([], self::ADAPTED, [[]]))->ladder;
        self::assertStringContainsString("network's help-line number is on the stall. Read out: Test post.", Say::it($unknown[count($unknown) - 1]->do));
    }

    public function test_new_firmware_asks_for_a_new_first_test(): void
    {
        $adapter = static fn (?string $on, bool $isActive = true) => (new EquipmentReader)->adapter(Node::of(Cases::changed(Cases::ADAPTER, [...($isActive ? ['translates' => ['from' => ['plc'], 'to' => ['can_chademo']]] : []), 'firmware' => '2.1', ...($on === null ? [] : ['firmware_on' => $on])])));
        $used = [new Used('a', '2031-05-02', Verdict::Passed, new ProvenShare(null, null), 2.0, null, 0, false)];
        $due = static fn (?string $on, bool $isActive = true): array => [NextTest::of($adapter($on, $isActive), $used, Warming::TooFew, '2031-06-01')->isDue, NextTest::of($adapter($on, $isActive), $used, Warming::TooFew, '2031-06-01')->why->code];

        self::assertSame([true, 'next_test.firmware'], $due('2031-05-03'));
        self::assertSame([false, 'next_test.later'], $due('2031-05-02'));
        self::assertSame([false, 'next_test.later'], $due(null));
        self::assertSame([false, 'next_test.later'], $due('2031-05-03', false));
        $this->expectExceptionObject(FieldError::at('firmware_on', \Harmozon\Core\Words\Message::of('field.expected_day')));
        $adapter('2031-02-30');
    }

    /** @param  array<string, mixed>  $file */
    private static function list(array $file, ?string $stall = null): StepList
    {
        $case = Cases::read($file);

        return StepList::of($case->fitter()->answer($case->outlet, $case->vehicle)->best, null, $stall);
    }

    private static function step(StepList $list, StepCode $code): Step
    {
        foreach ($list->steps as $step) {
            if ($step->code === $code) {
                return $step;
            }
        }
        throw new \LogicException("no step {$code->value}");
    }
}
