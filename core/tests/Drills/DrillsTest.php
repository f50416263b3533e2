<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Drills;

use Harmozon\Core\Bench\Noise;
use Harmozon\Core\Bench\Simulation;
use Harmozon\Core\Bench\SimulationOutcome;
use Harmozon\Core\Case\EquipmentReader;
use Harmozon\Core\Chain\Conditions;
use Harmozon\Core\Drills\Choice;
use Harmozon\Core\Drills\Debrief;
use Harmozon\Core\Drills\Drill;
use Harmozon\Core\Drills\DrillGarage;
use Harmozon\Core\Drills\DrillKind;
use Harmozon\Core\Drills\DrillMaker;
use Harmozon\Core\Drills\DrillSchedule;
use Harmozon\Core\Equipment\AttachOrder;
use Harmozon\Core\Fit\ChainAnswer;
use Harmozon\Core\Fit\Flow;
use Harmozon\Core\Fit\Outcome;
use Harmozon\Core\Forecast\Forecaster;
use Harmozon\Core\Forecast\Step;
use Harmozon\Core\Json\Node;
use Harmozon\Core\Kit\PlacedOutlet;
use Harmozon\Core\Power\BindingCode;
use Harmozon\Core\Tests\Cases;
use Harmozon\Core\Tests\Say;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class DrillsTest extends TestCase
{
    private const SEEDS = 8;

    /** @return iterable<string, array{DrillKind}> */
    public static function kinds(): iterable
    {
        foreach (DrillKind::cases() as $kind) {
            yield $kind->value => [$kind];
        }
    }

    #[DataProvider('kinds')]
    public function test_every_drill_has_one_right_answer_among_several_and_words_for_all(DrillKind $kind): void
    {
        for ($seed = 1; $seed <= self::SEEDS; $seed++) {
            $drill = self::drill($kind, $seed);
            $codes = array_map(static fn (Choice $c): string => $c->code, $drill->choices);
            self::assertCount(1, array_filter($drill->choices, static fn (Choice $c): bool => $c->isRight), "seed {$seed}");
            self::assertGreaterThanOrEqual(2, count($codes));
            self::assertSame($codes, array_values(array_unique($codes)), "seed {$seed}: no answer stands twice");
            foreach ([...$drill->situation, $drill->question, ...array_map(static fn (Choice $c) => $c->words, $drill->choices)] as $message) {
                self::assertNotSame('', Say::it($message));
            }
        }
        self::assertNotSame('', Say::it($kind->message()));
    }

    #[DataProvider('kinds')]
    public function test_the_same_seed_gives_the_same_drill(DrillKind $kind): void
    {
        self::assertEquals(self::made($kind, 7)->choices, self::made($kind, 7)->choices);
        $seeds = array_map(static fn (int $s): string => serialize([self::drill($kind, $s)->situation, self::drill($kind, $s)->choices]), range(1, self::SEEDS));
        self::assertGreaterThan(1, count(array_unique($seeds)));
    }

    /** Nothing is asked whose answer hangs on something that nobody has read, but for the question what to read. */
    #[DataProvider('kinds')]
    public function test_no_answer_hangs_on_an_unread_fact(DrillKind $kind): void
    {
        for ($seed = 1; $seed <= self::SEEDS; $seed++) {
            $answer = self::drill($kind, $seed)->answer;
            self::assertSame($kind === DrillKind::PlateToRead, $answer?->outcome === Outcome::Unverified);
            self::assertFalse($kind !== DrillKind::PlateToRead && $kind !== DrillKind::WillItCharge && $answer?->isAtMost() === true);
        }
    }

    public function test_the_right_answers_are_true_by_what_the_gates_and_the_bench_say(): void
    {
        for ($seed = 1; $seed <= self::SEEDS; $seed++) {
            $will = self::drill(DrillKind::WillItCharge, $seed);
            self::assertSame($will->answer?->outcome->flow() === Flow::Yes, $will->right()->code === 'charges');

            $through = self::drill(DrillKind::ThroughWhat, $seed);
            self::assertSame($through->answer?->chain->adapterIds()[0] ?? 'straight', $through->right()->code);

            $kw = self::drill(DrillKind::AboutHowMuch, $seed);
            self::assertEqualsWithDelta($kw->answer?->expectedPeakKw(), (float) $kw->right()->code, 0.06);

            $order = self::drill(DrillKind::ConnectingOrder, $seed);
            self::assertSame($order->answer?->chain->adapters[0]->handling->attachOrder, AttachOrder::from($order->right()->code));

            $limits = self::drill(DrillKind::WhatLimits, $seed);
            self::assertSame($limits->answer?->peak?->linkId, $limits->right()->code);

            $unlimited = $limits->answer?->limits?->without($limits->right()->code)->kwAt((float) $limits->answer->peak?->soc);
            self::assertGreaterThanOrEqual(1.1 * (float) $limits->answer?->peak?->kw, $unlimited ?? INF, 'no other piece limits it nearly as much');

            $stall = self::drill(DrillKind::StallToTake, $seed);
            self::assertSame($stall->answer?->chain->outlet->id, $stall->right()->code);

            $enough = self::drill(DrillKind::AdapterEnough, $seed);
            self::assertSame(match (true) {
                $enough->answer?->outcome->flow() === Flow::No => 'refused',
                in_array($enough->answer?->peak?->binding, [BindingCode::AdapterCurrent, BindingCode::AdapterPower], true) => 'limits',
                default => 'enough',
            }, $enough->right()->code);

            $boost = self::drill(DrillKind::BoostLeft, $seed);
            self::assertNotNull($boost->answer);
            self::assertEqualsWithDelta(self::boostMinutes($boost->answer), (float) $boost->right()->code, 0.51);

            $first = self::drill(DrillKind::FirstRemedy, $seed);
            self::assertSame($first->fault?->fault->remedies()[0]->value, $first->right()->code);
            self::assertNotNull($first->answer);
            self::assertNull(Simulation::of($first->answer, $seed)->possibleFaults()[$first->fault->fault->value], 'it can happen there');

            $report = self::drill(DrillKind::ReportCause, $seed);
            self::assertSame($report->fault?->fault->value, $report->right()->code);
            self::assertGreaterThan(3, count($report->curve));
        }
    }

    /** Minutes of a forecast above the continuous amps of the piece whose boost ends first. */
    private static function boostMinutes(ChainAnswer $answer): float
    {
        $first = INF;
        foreach ($answer->limits->changing->heat ?? [] as $link) {
            $above = array_filter((new Forecaster(1.0))->forecast($answer, $answer->conditions)->course->points, static fn (Step $s): bool => $link->duty->boostMinutes !== null && ! isset($s->heat->spent[$link->linkId]) && $s->tS >= 45.0);
            $ends = $above === [] ? INF : max(array_map(static fn (Step $s): float => ($s->tS + $s->lengthS - 45.0) / 60, $above));
            $first = min($first, $ends);
        }

        return $first;
    }

    public function test_a_newcomer_meets_the_same_plug_where_nothing_happens_first(): void
    {
        $maker = new DrillMaker(self::garage());
        foreach ([1, 500, Noise::LARGEST_SEED] as $seed) {
            self::assertSame(Outcome::WontCharge, self::made(DrillKind::WillItCharge, $maker->firstSeed(DrillKind::WillItCharge, $seed))->answer?->outcome);
        }
        self::assertSame(7, $maker->firstSeed(DrillKind::ThroughWhat, 7), 'any will do');
        // One car whose plug fits its one charger has nothing of the sort.
        $case = Cases::read(Cases::file());
        $plain = new DrillMaker(new DrillGarage([$case->vehicle], [new PlacedOutlet($case->outlet, 'here')], [], $case->conditions));
        self::assertSame(7, $plain->firstSeed(DrillKind::WillItCharge, 7));
    }

    /** What is told afterwards keeps to the physics: a fault never gives more, and the same energy takes no less time. */
    public function test_a_debrief_sets_the_session_against_its_forecast(): void
    {
        foreach ([DrillKind::WhatHappened, DrillKind::FirstRemedy, DrillKind::ReportCause] as $kind) {
            for ($seed = 1; $seed <= self::SEEDS; $seed++) {
                $debrief = Debrief::of(self::drill($kind, $seed), $seed);
                $forecast = $debrief?->forecast?->totals;
                $played = $debrief?->played;
                self::assertNotNull($forecast);
                self::assertNotNull($played);
                $case = "{$kind->value} {$seed}";
                self::assertEqualsWithDelta($forecast->peakKw, max(array_column($debrief->expected(), 1)), 0.01 * $forecast->peakKw, $case);
                self::assertLessThanOrEqual($forecast->plugKwh * 1.02, $played->plugKwh, $case);
                self::assertSame($played->outcome === SimulationOutcome::NeverStarted, $debrief->took() === [], $case);
                if ($played->outcome === SimulationOutcome::Charged) {
                    self::assertEqualsWithDelta($forecast->plugKwh, $played->plugKwh, 0.02 * $forecast->plugKwh, $case);
                    self::assertGreaterThan(0.98 * (float) $forecast->minutes, $played->minutes, $case);
                }
            }
        }
        $wont = (new DrillMaker(self::garage()))->firstSeed(DrillKind::WillItCharge, 1);
        self::assertNull(Debrief::of(self::drill(DrillKind::WillItCharge, $wont), $wont), 'nothing flows');
    }

    public function test_an_answer_is_found_by_its_code_and_nothing_else(): void
    {
        $drill = self::drill(DrillKind::ThroughWhat, 1);
        foreach ($drill->choices as $choice) {
            self::assertSame($choice, $drill->choice($choice->code));
        }
        self::assertNull($drill->choice('no such answer'));
    }

    /** At most 200 points are drawn, and none closer than 15 s. */
    public function test_a_debrief_is_drawn_in_a_few_hundred_points(): void
    {
        for ($seed = 1; $seed <= self::SEEDS; $seed++) {
            $debrief = Debrief::of(self::drill(DrillKind::ReportCause, $seed), $seed);
            self::assertNotNull($debrief?->played);
            $seconds = array_map(static fn (array $point): float => 60 * $point[0], $debrief->took());
            $steps = array_map(static fn (float $a, float $b): float => $b - $a, array_slice($seconds, 0, -2), array_slice($seconds, 1, -1));
            self::assertGreaterThanOrEqual(15.0 - 1e-6, min($steps));
            self::assertLessThan(30 + 200 * $debrief->played->minutes / (float) $debrief->forecast?->totals?->minutes, count($seconds));
        }
    }

    /** Figures to choose from are a fifth apart, and nothing is asked of a piece that is only just the one that limits. */
    public function test_wrong_answers_are_clearly_wrong(): void
    {
        for ($seed = 1; $seed <= self::SEEDS; $seed++) {
            $kw = array_map(static fn (Choice $c): float => (float) $c->code, self::drill(DrillKind::AboutHowMuch, $seed)->choices);
            self::assertSame(4, count($kw));
            for ($i = 1; $i < 4; $i++) {
                self::assertGreaterThan(1.19, $kw[$i] / $kw[$i - 1]);
            }
            $minutes = array_map(static fn (Choice $c): int => (int) $c->code, self::drill(DrillKind::BoostLeft, $seed)->choices);
            self::assertSame([0.4, 1.0, 1.8, 3.0], array_map(static fn (int $m): float => round($m / $minutes[1], 1), $minutes));
            self::assertGreaterThanOrEqual(3, $minutes[1]);

            $stalls = self::drill(DrillKind::StallToTake, $seed);
            $gives = array_map(static fn (Choice $c): string => Say::it($c->why), $stalls->choices);
            self::assertCount(count($gives), array_filter($gives));
        }
    }

    public function test_a_garage_with_nothing_of_a_kind_is_asked_nothing_of_it(): void
    {
        $bare = self::garage(static fn (array $adapters): array => []);

        self::assertNull((new DrillMaker($bare))->drill(DrillKind::ConnectingOrder, 1));
        self::assertNull((new DrillMaker($bare))->drill(DrillKind::AdapterEnough, 1));
        self::assertNotNull((new DrillMaker($bare))->drill(DrillKind::WillItCharge, 1));
    }

    public function test_a_kind_comes_back_later_with_every_right_answer_and_tomorrow_after_a_mistake(): void
    {
        $step = null;
        $days = [];
        foreach ([true, true, true, true, true, true, false, true] as $isRight) {
            $step = DrillSchedule::next($step, $isRight);
            $days[] = DrillSchedule::dueOn($step, '2026-01-31');
        }

        self::assertSame(['2026-02-01', '2026-02-03', '2026-02-07', '2026-02-16', '2026-03-07', '2026-03-07', '2026-02-01', '2026-02-03'], $days);
    }

    public function test_what_is_due_comes_first_then_what_was_never_asked(): void
    {
        $order = DrillSchedule::order(['through_what' => '2026-02-03', 'boost_left' => '2026-02-01', 'will_it_charge' => '2026-02-09', 'first_remedy' => '2026-02-04'], '2026-02-03');

        self::assertSame(['boost_left', 'through_what', 'connecting_order'], array_map(static fn (DrillKind $k): string => $k->value, array_slice($order, 0, 3)));
        self::assertSame(['first_remedy', 'will_it_charge'], array_map(static fn (DrillKind $k): string => $k->value, array_slice($order, -2)));
        self::assertSame(DrillKind::WillItCharge, DrillSchedule::order([], '2026-02-03')[0], 'a newcomer begins with same plug, nothing happens');
    }

    /** Made once: several tests ask the same. */
    private static function drill(DrillKind $kind, int $seed): Drill
    {
        static $made = [];

        return $made["{$kind->value} {$seed}"] ??= self::made($kind, $seed);
    }

    private static function made(DrillKind $kind, int $seed): Drill
    {
        return (new DrillMaker(self::garage()))->drill($kind, $seed) ?? throw new \LogicException("the demo garage has {$kind->value} to ask");
    }

    /** @param  (\Closure(list<\Harmozon\Core\Equipment\Adapter>): list<\Harmozon\Core\Equipment\Adapter>)|null  $kit */
    private static function garage(?\Closure $kit = null): DrillGarage
    {
        static $demo = null;
        $demo ??= Node::fromJson((string) file_get_contents(dirname(__DIR__, 3).'/database/demo/lanternfish.json'));
        $reader = new EquipmentReader;
        $named = static fn (Node $n, string $id): Node => $n->object('spec')->with(['id' => $id, 'name' => $n->text('name')]);
        $vehicles = $adapters = $outlets = [];
        foreach ($demo->objects('vehicles') as $i => $node) {
            $vehicles[] = $reader->vehicle($named($node, "v{$i}"));
        }
        foreach ($demo->objects('adapters') as $i => $node) {
            $adapters[] = $reader->adapter($named($node, "a{$i}"));
        }
        foreach ($demo->objects('places') as $p => $place) {
            foreach ($place->objects('outlets') as $i => $node) {
                $outlets[] = new PlacedOutlet($reader->outlet($named($node, "o{$p}-{$i}")), "p{$p}");
            }
        }

        return new DrillGarage($vehicles, $outlets, $kit === null ? $adapters : $kit($adapters), (new Conditions)->inAir(20));
    }
}
