<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Kit;

use Harmozon\Core\Kit\PackedPlace;
use PHPUnit\Framework\TestCase;

final class PackedPlaceTest extends TestCase
{
    public function test_every_place_has_its_address_and_the_bays_that_one_drives_through(): void
    {
        $outlets = Garages::question([['id' => 'v1']], [
            ['id' => 'o1', 'place' => 'p2', 'stalls' => [['label' => '1', 'bay' => 'standard'], ['label' => '2', 'bay' => 'pull_through']]],
            ['id' => 'o2', 'place' => 'p1'],
            ['id' => 'o3', 'place' => 'p2', 'address' => '4 Mill Lane', 'stalls' => [['label' => '7', 'bay' => 'pull_through'], ['label' => '8']]],
            ['id' => 'o4', 'place' => 'p2', 'address' => 'behind the mill'],
        ], [], [])->outlets;

        self::assertEquals(
            [['p2', '4 Mill Lane', ['2', '7']], ['p1', null, []]],
            array_map(static fn (PackedPlace $p): array => [$p->place, $p->address, $p->pullThrough], PackedPlace::along($outlets)),
        );
        self::assertSame([], PackedPlace::along([]));
    }
}
