<?php

declare(strict_types=1);

namespace App\Drills;

use App\Equipment\PieceReader;
use App\Models\Outlet;
use App\Models\Place;
use App\Models\Vehicle;
use Harmozon\Core\Case\EquipmentReader;
use Harmozon\Core\Chain\Conditions;
use Harmozon\Core\Chain\UsualNeed;
use Harmozon\Core\Drills\DrillGarage;
use Harmozon\Core\Json\Node;
use Harmozon\Core\Kit\PlacedOutlet;

/** What drills are made from: the garage's own cars, chargers and adapters; made-up ones where it has none. */
final readonly class PracticeGarage
{
    /** The cars, adapters and places of the demo: made up, and read throughout. */
    private const MADE_UP = 'demo/lanternfish.json';

    public function __construct(private PieceReader $pieces)
    {
    }

    /** Whether the garage has cars and chargers of its own to ask about. */
    public function isOwn(): bool
    {
        return Vehicle::query()->exists() && Outlet::query()->exists();
    }

    public function garage(): DrillGarage
    {
        return $this->isOwn() ? $this->own() : self::madeUp();
    }

    private function own(): DrillGarage
    {
        /** @var array<int, string> $places */
        $places = Place::query()->pluck('ulid', 'id')->all();
        $outlets = array_values(Outlet::inOrder()->map(fn (Outlet $o): PlacedOutlet => new PlacedOutlet($this->pieces->outlet($o), $places[$o->place_id] ?? ''))->all());
        $vehicles = array_values(Vehicle::inOrder()->map($this->pieces->vehicle(...))->all());

        return $outlets === [] || $vehicles === [] ? self::madeUp() : new DrillGarage($vehicles, $outlets, $this->pieces->kit($this->pieces->adapters()), self::conditions());
    }

    /** The demo's pieces. */
    public static function madeUp(): DrillGarage
    {
        $demo = Node::fromJson((string) file_get_contents(database_path(self::MADE_UP)));
        $reader = new EquipmentReader;
        $named = static fn (Node $node, string $id): Node => $node->object('spec')->with(['id' => $id, 'name' => $node->text('name')]);
        $vehicles = $adapters = $outlets = [];
        foreach ($demo->objects('vehicles') as $number => $node) {
            $vehicles[] = $reader->vehicle($named($node, "vehicle{$number}"));
        }
        foreach ($demo->objects('adapters') as $number => $node) {
            $adapters[] = $reader->adapter($named($node, "adapter{$number}"));
        }
        foreach ($demo->objects('places') as $place => $found) {
            foreach ($found->objects('outlets') as $number => $node) {
                $outlets[] = new PlacedOutlet($reader->outlet($named($node, "outlet{$place}-{$number}")), "place{$place}");
            }
        }

        return $vehicles === [] || $outlets === [] ? throw new \LogicException('the made-up garage has both') : new DrillGarage($vehicles, $outlets, $adapters, self::conditions());
    }

    private static function conditions(): Conditions
    {
        return (new Conditions)->inAir(UsualNeed::AMBIENT_C);
    }
}
