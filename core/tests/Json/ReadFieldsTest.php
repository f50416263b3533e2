<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Json;

use Harmozon\Core\Case\EquipmentReader;
use Harmozon\Core\Json\Node;
use Harmozon\Core\Json\ReadFields;
use Harmozon\Core\Tests\Cases;
use PHPUnit\Framework\TestCase;

/** What is kept of a plate is what was read of it. */
final class ReadFieldsTest extends TestCase
{
    public function test_nothing_but_what_was_read_and_empty_objects_as_they_are(): void
    {
        $read = new ReadFields;
        (new EquipmentReader)->vehicle(Node::of(['id' => 'v', 'colour' => 'red', 'pack' => [], 'programmes' => [], 'inlets' => [['coupler' => 'ccs1', 'deep' => ['deeper' => 1], 'dc' => ['max_v' => 500, 'retrofit' => ['adds' => ['plc'], 'state' => 'available', 'why' => 'x']], 'ac' => []]]])->noting($read));

        self::assertEquals(
            json_decode('{"id":"v","pack":{},"programmes":[],"inlets":[{"coupler":"ccs1","dc":{"max_v":500,"retrofit":{"adds":["plc"],"state":"available"}},"ac":{}}]}'),
            $read->copy(),
        );
    }

    public function test_a_whole_plate_comes_back_as_it_was(): void
    {
        foreach ([['vehicle', Cases::CAR], ['outlet', Cases::DC_POST], ['outlet', Cases::AC_POST], ['adapter', Cases::ADAPTER]] as [$kind, $plate]) {
            $read = new ReadFields;
            $node = Node::of($plate)->noting($read);
            match ($kind) {
                'vehicle' => (new EquipmentReader)->vehicle($node),
                'outlet' => (new EquipmentReader)->outlet($node),
                default => (new EquipmentReader)->adapter($node),
            };

            self::assertEquals(self::withoutNull($plate), self::withoutNull(json_decode((string) json_encode($read->copy()), true)));
        }
    }

    /**
     * @param  array<array-key, mixed>  $plate
     * @return array<array-key, mixed>
     */
    private static function withoutNull(array $plate): array
    {
        return array_map(static fn (mixed $v): mixed => is_array($v) ? self::withoutNull($v) : $v, array_filter($plate, static fn (mixed $v): bool => $v !== null));
    }
}
