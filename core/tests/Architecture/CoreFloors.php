<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Architecture;

use PHPat\Selector\Selector;
use PHPat\Selector\SelectorInterface;
use PHPat\Test\Builder\Rule;
use PHPat\Test\PHPat;

/**
 * The floors of the core, from the ground up: a room knows itself and what stands below it, and nothing points back up.
 * Outside it knows PHP, PSR interfaces and decimal arithmetic. Run by PHPStan.
 */
final class CoreFloors
{
    /** @var array<string, list<string>> rooms, and those below that each may use */
    private const ROOMS = [
        'Words' => [],
        'Equipment' => ['Words'],
        'Chain' => ['Words', 'Equipment'],
        'Catalogue' => ['Words', 'Equipment'],
        'Power' => ['Words', 'Equipment', 'Chain'],
        'Fit' => ['Words', 'Equipment', 'Chain', 'Catalogue', 'Power'],
        'Forecast' => ['Words', 'Equipment', 'Chain', 'Catalogue', 'Power', 'Fit'],
        'Record' => ['Words', 'Equipment', 'Chain', 'Catalogue', 'Power', 'Fit'],
        'Bench' => ['Words', 'Equipment', 'Chain', 'Catalogue', 'Power', 'Fit', 'Forecast', 'Record'],
        'Steps' => ['Words', 'Equipment', 'Chain', 'Fit', 'Forecast'],
        'Kit' => ['Words', 'Equipment', 'Chain', 'Catalogue', 'Power', 'Fit', 'Forecast', 'Record'],
        'Drills' => ['Words', 'Equipment', 'Chain', 'Catalogue', 'Power', 'Fit', 'Forecast', 'Record', 'Bench', 'Kit'],
        'Review' => ['Words', 'Equipment', 'Chain', 'Catalogue', 'Power', 'Fit', 'Forecast', 'Record', 'Steps'],
        // Formats: what comes in, and what goes out.
        'Json' => ['Words', 'Equipment'],
        'Case' => ['Words', 'Equipment', 'Chain', 'Catalogue', 'Power', 'Fit', 'Record', 'Bench', 'Kit', 'Json'],
        'Readings' => ['Words', 'Record', 'Json'],
        'Ocpi' => ['Words', 'Equipment', 'Json'],
        'Answers' => ['Words', 'Equipment', 'Chain', 'Catalogue', 'Power', 'Fit', 'Forecast', 'Record', 'Steps', 'Bench', 'Kit', 'Drills', 'Review', 'Json', 'Readings', 'Ocpi'],
    ];

    /** @return iterable<string, Rule> one a room */
    public function test_nothing_points_back_up(): iterable
    {
        foreach (self::ROOMS as $room => $below) {
            yield $room => PHPat::rule()
                ->classes(self::room($room))
                ->canOnlyDependOn()
                ->classes(
                    self::room($room),
                    ...array_map(self::room(...), $below),
                    ...[Selector::inNamespace('Psr'), Selector::inNamespace('Brick\Math'), Selector::isStandardClass()],
                )
                ->because("{$room} stands on ".($below === [] ? 'the ground' : implode(', ', $below)));
        }
    }

    /** A class outside every room would escape the rule above. */
    public function test_every_class_stands_in_a_room(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::AllOf(
                Selector::inNamespace('Harmozon\Core'),
                Selector::Not(Selector::inNamespace('Harmozon\Core\Tests')),
                ...array_map(static fn (string $room) => Selector::Not(self::room($room)), array_keys(self::ROOMS)),
            ))
            ->shouldNotExist()
            ->because('a new room is entered in the plan of the house first');
    }

    private static function room(string $name): SelectorInterface
    {
        return Selector::inNamespace('Harmozon\Core\\'.$name);
    }
}
