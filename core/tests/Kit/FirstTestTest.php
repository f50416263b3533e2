<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Kit;

use Harmozon\Core\Chain\UnreadFact;
use Harmozon\Core\Kit\FirstTest;
use Harmozon\Core\Kit\TestStage;
use PHPUnit\Framework\TestCase;

final class FirstTestTest extends TestCase
{
    /**
     * The battery is at 320 V to 360 V: 40 kW are 125 A at most, 80 kW 250 A at most, of 300 A continuous. Over the ten
     * minutes with the lowest voltage the mean is a little below that.
     */
    public function test_it_begins_gently_and_goes_towards_the_rating(): void
    {
        $plan = self::plan([['id' => 'o3', 'coupler' => 'j3400', 'max_kw' => 80], ['id' => 'o1', 'coupler' => 'j3400', 'max_kw' => 40], ['id' => 'o2', 'coupler' => 'j3400', 'max_kw' => 60]]);

        self::assertSame(['o1', 'o2', 'o3'], array_map(static fn (TestStage $s): string => $s->outlet->id, $plan->stages));
        foreach ([40, 60, 80] as $number => $kw) {
            self::assertEqualsWithDelta($kw / 0.320, $plan->stages[$number]->meanA, 5);
            self::assertEqualsWithDelta($plan->stages[$number]->meanA / 300, $plan->stages[$number]->share, 1e-9);
        }
        self::assertSame($plan->stages[2]->share, $plan->most);
    }

    public function test_what_no_charger_here_can_load_is_left(): void
    {
        $plan = self::plan([['id' => 'o1', 'coupler' => 'j3400', 'max_kw' => 48]]);

        self::assertCount(1, $plan->stages);
        self::assertEqualsWithDelta(0.49, $plan->most, 0.02);
    }

    public function test_a_piece_without_a_rating_or_a_charger_has_no_plan(): void
    {
        self::assertSame([[], null], [self::plan([['id' => 'o1']])->stages, self::plan([['id' => 'o1']])->most]);
        self::assertNull(self::plan([['id' => 'o1', 'coupler' => 'j3400']], ['plate.continuous_a' => null, 'plate.boost_a' => null, 'plate.boost_minutes' => null])->most);
    }

    /** 150 kW at 320 V are 469 A: through a boost of 500 A for 15 minutes ten minutes prove the continuous rating in full. */
    public function test_more_than_the_rating_proves_all_of_it_and_no_more(): void
    {
        self::assertSame(1.0, self::plan([['id' => 'o1', 'coupler' => 'j3400']])->most);
    }

    public function test_facts_that_keep_a_charger_out_of_the_plan_are_named(): void
    {
        $plan = self::plan([['id' => 'o1', 'coupler' => 'j3400', 'max_kw' => 40], ['id' => 'o2', 'coupler' => 'j3400', 'signalling' => null], ['id' => 'o3', 'coupler' => 'j3400', 'signalling' => ['can_legacy'], 'max_v' => null]]);
        $unrated = self::plan([['id' => 'o1', 'coupler' => 'j3400']], ['plate.continuous_a' => null, 'plate.boost_a' => null, 'plate.boost_minutes' => null]);

        self::assertSame([['o1'], [['o2', 'signalling']]], [array_map(static fn (TestStage $s): string => $s->outlet->id, $plan->stages), self::facts($plan)]);
        self::assertSame([[], [['a1', 'plate.continuous_a']]], [$unrated->stages, self::facts($unrated)]);
    }

    /** @return list<array{string, string}> */
    private static function facts(FirstTest $plan): array
    {
        return array_map(static fn (UnreadFact $f): array => [$f->piece, $f->path], $plan->unread);
    }

    /**
     * @param  list<array<string, mixed>>  $outlets
     * @param  array<string, mixed>  $adapter
     */
    private static function plan(array $outlets, array $adapter = []): FirstTest
    {
        $garage = Garages::question([['id' => 'v1']], $outlets, [['id' => 'a1', ...$adapter]], []);

        return FirstTest::of($garage->owned[0], $garage);
    }
}
