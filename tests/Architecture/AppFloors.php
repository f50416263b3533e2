<?php

declare(strict_types=1);

namespace Tests\Architecture;

use PHPat\Selector\Selector;
use PHPat\Selector\SelectorInterface;
use PHPat\Test\Builder\Rule;
use PHPat\Test\PHPat;

/** The floors of the application: no room uses one that stands on it. Run by PHPStan. */
final class AppFloors
{
    /** @var list<list<string>> rooms, floor by floor, from the ground up */
    private const FLOORS = [
        ['Garage', 'Database', 'Files', 'Words'],
        ['Models', 'Backup'],
        ['Equipment', 'People'],
        ['Sessions', 'Networks', 'Photos'],
        ['Imports', 'Kit'],
        ['Moving', 'Printing', 'Drills', 'Health'],
        ['Demo', 'Bench', 'StandIn'],
        ['Http', 'Console'],
        ['Providers'],
    ];

    /** @return iterable<string, Rule> one a room */
    public function test_nothing_points_back_up(): iterable
    {
        foreach (self::FLOORS as $height => $rooms) {
            foreach ($rooms as $room) {
                $above = array_diff(array_merge(...array_slice(self::FLOORS, $height)), [$room]);
                if ($above !== []) {
                    yield $room => PHPat::rule()
                        ->classes(self::room($room))
                        ->shouldNotDependOn()
                        ->classes(...array_map(self::room(...), array_values($above)))
                        ->because("{$room} stands below them");
                }
            }
        }
    }

    /** A class outside every room would escape the rule above. */
    public function test_every_class_stands_in_a_room(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::AllOf(
                Selector::inNamespace('App'),
                ...array_map(static fn (string $room) => Selector::Not(self::room($room)), array_merge(...self::FLOORS)),
            ))
            ->shouldNotExist()
            ->because('a new room is entered in the plan of the house first');
    }

    private static function room(string $name): SelectorInterface
    {
        return Selector::inNamespace('App\\'.$name);
    }
}
