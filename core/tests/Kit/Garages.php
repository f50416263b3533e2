<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Kit;

use Harmozon\Core\Case\CaseReader;
use Harmozon\Core\Chain\Conditions;
use Harmozon\Core\Fit\AdapterPolicy;
use Harmozon\Core\Json\Node;
use Harmozon\Core\Kit\KitQuestion;
use Harmozon\Core\Kit\PlacedOutlet;
use Harmozon\Core\Kit\Travel;
use Harmozon\Core\Tests\Cases;

/** Garages for questions about the kit. */
final class Garages
{
    private const SHAPES = ['ccs1', 'j3400', 'chademo', 'gbt_dc'];

    /**
     * @param  list<array<string, mixed>>  $cars  changes to the standard car, one set each
     * @param  list<array<string, mixed>>  $outlets  changes to the standard post; `place` is its place
     * @param  list<array<string, mixed>>  $owned  changes to the standard adapter
     * @param  list<array<string, mixed>>  $candidates
     * @param  list<string>  $together
     */
    public static function question(array $cars, array $outlets, array $owned, array $candidates, array $together = [], bool $isTour = false): KitQuestion
    {
        $adapters = static fn (array $changes): array => array_map(static fn (array $a): array => Cases::changed(Cases::ADAPTER, $a), $changes);
        $read = (new CaseReader)->garage(Node::of([
            'format' => 'harmozon/garage', 'version' => 1,
            'vehicles' => array_map(static fn (array $c): array => Cases::changed(Cases::CAR, $c), $cars),
            'outlets' => array_map(static fn (array $o): array => Cases::changed(Cases::DC_POST, array_diff_key($o, ['place' => true])), $outlets),
            'adapters' => [...$adapters($owned), ...$adapters($candidates)],
        ]));

        return new KitQuestion(
            $read->vehicles,
            array_map(static fn (array $o, int $n): PlacedOutlet => new PlacedOutlet($read->outlets[$n], (string) ($o['place'] ?? $read->outlets[$n]->id)), $outlets, array_keys($outlets)),
            array_slice($read->adapters, 0, count($owned)),
            array_slice($read->adapters, count($owned)),
            AdapterPolicy::Certified,
            new Conditions,
            new Travel($together, $isTour),
            'USD',
        );
    }

    /** @param  list<string>  $together */
    public static function seeded(int $seed, int $candidates, array $together = [], bool $isTour = false): KitQuestion
    {
        $random = new \Random\Randomizer(new \Random\Engine\Mt19937($seed));
        $shape = static fn (): string => self::SHAPES[$random->getInt(0, 3)];
        $many = static fn (int $least, int $most, callable $make): array => array_map($make, range(1, $random->getInt($least, $most)));
        $adapter = static fn (string $id): array => [
            'id' => $id, 'name' => $id, 'input' => $input = $shape(), 'output' => self::other($input, $shape()),
            'plate.continuous_a' => $random->getInt(5, 30) * 10, 'plate.max_v' => $random->getInt(0, 4) === 0 ? 300 : 1000,
            'recalled' => $random->getInt(0, 8) === 0, 'certification' => $random->getInt(0, 8) === 0 ? null : 'certified',
            'price' => $random->getInt(0, 5) === 0 ? null : (string) ($random->getInt(1, 4) * 50),
        ];

        return self::question(
            $many(2, 4, static fn (int $n): array => ['id' => "v{$n}", 'inlets.0.coupler' => $shape(), 'inlets.0.dc.signalling' => $random->getInt(0, 7) === 0 ? ['can_chademo'] : ['plc']]),
            $many(4, 8, static fn (int $n): array => ['id' => "o{$n}", 'coupler' => $shape(), 'max_kw' => $random->getInt(2, 15) * 10, 'place' => 'p'.$random->getInt(1, 3)]),
            array_slice($many(1, 3, static fn (int $n): array => $adapter("a{$n}")), 1),
            array_map(static fn (int $n): array => $adapter("k{$n}"), range(1, $candidates)),
            $together,
            $isTour,
        );
    }

    /** Adapters rarely join a shape to itself. */
    private static function other(string $shape, string $other): string
    {
        return $shape !== $other ? $other : self::SHAPES[(array_search($shape, self::SHAPES, true) + 1) % 4];
    }
}
