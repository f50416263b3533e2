<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Equipment;

use Eris\Generators;
use Eris\TestTrait;
use Harmozon\Core\Equipment\Curve;
use Harmozon\Core\Equipment\ImpossibleValue;
use Harmozon\Core\Tests\Say;
use PHPUnit\Framework\TestCase;

final class CurveTest extends TestCase
{
    use TestTrait;

    private static function curve(): Curve
    {
        return Curve::through([[0.0, 300.0], [50.0, 350.0], [100.0, 400.0]]);
    }

    public function test_straight_between_points_and_level_beyond_them(): void
    {
        $curve = Curve::through([[10.0, 100.0], [20.0, 200.0]]);

        self::assertSame([100.0, 100.0, 150.0, 200.0, 200.0], array_map($curve->at(...), [0.0, 10.0, 15.0, 20.0, 100.0]));
        self::assertSame(7.0, Curve::level(7.0)->at(63.0));
    }

    public function test_where_it_first_passes_a_value(): void
    {
        self::assertSame(25.0, self::curve()->firstAbove(325.0, 0, 100));
        self::assertSame(30.0, self::curve()->firstAbove(325.0, 30, 100), 'it is above at the start already');
        self::assertNull(self::curve()->firstAbove(400.0, 0, 100), 'reaching is not passing');
        self::assertNull(self::curve()->firstAbove(390.0, 0, 80));
    }

    public function test_the_highest_value_of_a_span_is_at_least_every_value_in_it(): void
    {
        $this->forAll(Generators::vector(5, Generators::choose(0, 500)), Generators::choose(0, 100), Generators::choose(0, 100))
            ->then(static function (array $values, int $a, int $b): void {
                $curve = Curve::through(array_map(static fn (int $v, int $i): array => [25.0 * $i, (float) $v], $values, array_keys($values)));
                [$from, $to] = [min($a, $b), max($a, $b)];
                $highest = $curve->highestBetween($from, $to);
                $tried = array_map($curve->at(...), range($from, $to));

                self::assertEqualsWithDelta($highest, max($highest, ...$tried), 1e-9);
                self::assertGreaterThanOrEqual(max($tried) - 1e-9, $highest);
            });
    }

    public function test_points_must_rise_and_there_must_be_one(): void
    {
        foreach ([[], [[10.0, 1.0], [10.0, 2.0]]] as $points) {
            try {
                Curve::through($points);
                self::fail('was taken');
            } catch (ImpossibleValue $e) {
                self::assertNotSame('', Say::complaint($e));
            }
        }
    }
}
