<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Kit;

use Harmozon\Core\Kit\KitQuestion;
use Harmozon\Core\Kit\Loss;
use Harmozon\Core\Kit\PairTable;
use Harmozon\Core\Kit\SecondWays;
use PHPUnit\Framework\TestCase;

final class SecondWaysTest extends TestCase
{
    /** Two outlets of one network, 100 kW directly and 150 kW through the adapter: losing either leaves the other, losing the network nothing. */
    public function test_what_is_left_when_one_part_fails(): void
    {
        self::assertSame([
            ['v1', 'p1', 'outlet', 'o1', 150.0, 150.0],
            ['v1', 'p1', 'outlet', 'o2', 150.0, 100.0],
            ['v1', 'p1', 'network', 'Fernway', 150.0, null],
            ['v1', 'p1', 'adapter', 'a1', 150.0, 100.0],
        ], self::told(SecondWays::of(PairTable::of(self::garage()))->losses));
    }

    public function test_another_sound_stall_keeps_the_outlet(): void
    {
        $stalls = ['stalls' => [['id' => 's1', 'label' => '1'], ['id' => 's2', 'label' => '2', 'fault' => 'Screen dark'], ['id' => 's3', 'label' => '3']]];

        self::assertSame([['v1', 'p1', 'network', 'Fernway', 100.0, null]], self::told(SecondWays::of(PairTable::of(self::one($stalls)))->losses));
        unset($stalls['stalls'][2]);
        self::assertCount(2, SecondWays::of(PairTable::of(self::one($stalls)))->losses, 'a faulty stall is no second one');
    }

    /** At p1 a car is stranded only when the network fails; at p2 both cars are when the one outlet fails. */
    public function test_the_weakest_place_strands_the_most_cars(): void
    {
        $question = Garages::question([['id' => 'v1'], ['id' => 'v2', 'inlets.0.coupler' => 'j3400']], [
            ['id' => 'o1', 'place' => 'p1', 'access.network' => 'Fernway'],
            ['id' => 'o2', 'place' => 'p1', 'access.network' => 'Fernway'],
            ['id' => 'o3', 'place' => 'p2'],
        ], [['id' => 'a1', 'input' => 'ccs1', 'output' => 'j3400']], []);
        $ways = SecondWays::of(PairTable::of($question));

        self::assertSame('p1', $ways->weakestPlace(), 'of two equally weak places the first');
        self::assertSame(['v1 p1 network', 'v2 p1 network', 'v2 p1 adapter', 'v1 p2 outlet', 'v2 p2 outlet', 'v2 p2 adapter'], array_map(static fn (Loss $l): string => "{$l->vehicle->id} {$l->place} {$l->part->value}", $ways->stranded()));
        self::assertNull(SecondWays::of(PairTable::of(Garages::question([['id' => 'v1']], [['id' => 'o1', 'place' => 'p1'], ['id' => 'o2', 'place' => 'p1']], [], [])))->weakestPlace());
    }

    /**
     * @param  list<Loss>  $losses
     * @return list<array{string, string, string, string, float, float|null}>
     */
    private static function told(array $losses): array
    {
        return array_map(static fn (Loss $l): array => [$l->vehicle->id, $l->place, $l->part->value, $l->failed, $l->nowKw, $l->leftKw], $losses);
    }

    private static function garage(): KitQuestion
    {
        return Garages::question(
            [['id' => 'v1']],
            [['id' => 'o1', 'place' => 'p1', 'max_kw' => 100, 'access.network' => 'Fernway'], ['id' => 'o2', 'place' => 'p1', 'coupler' => 'j3400', 'access.network' => 'Fernway']],
            [['id' => 'a1']],
            [],
        );
    }

    /** @param  array<string, mixed>  $outlet */
    private static function one(array $outlet): KitQuestion
    {
        return Garages::question([['id' => 'v1']], [['id' => 'o1', 'place' => 'p1', 'max_kw' => 100, 'access.network' => 'Fernway', ...$outlet]], [], []);
    }
}
