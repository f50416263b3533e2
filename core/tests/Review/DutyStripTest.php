<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Review;

use Harmozon\Core\Record\Judge;
use Harmozon\Core\Record\Reading;
use Harmozon\Core\Review\Diagnosis;
use Harmozon\Core\Review\DutyStrip;
use Harmozon\Core\Tests\Cases;
use PHPUnit\Framework\TestCase;

/** What an adapter of 250 A (400 A for 10 minutes) allowed while 400 A flowed: τ is −10 / ln(1 − (250 / 400)²) = 20.19 minutes. */
final class DutyStripTest extends TestCase
{
    private const EVERY_S = 30;

    public function test_a_boost_that_is_spent(): void
    {
        $strip = self::strip(array_fill(0, 31, 400.0));
        $at = array_column($strip->points, null, 'tS');

        self::assertSame(['a1', 600.0], [$strip->linkId, $strip->spentAtS]);
        self::assertSame([0.0, 400.0], [$at['0']['theta'], $at['0']['allowedA']]);
        // 2.56 · (1 − e^(−5 / 20.19)); at ten minutes 1.
        self::assertEqualsWithDelta(0.5616, $at['300']['theta'], 0.0005);
        self::assertEqualsWithDelta(1.0, $at['600']['theta'], 1e-6);
        self::assertSame([400.0, 250.0], [$at['570']['allowedA'], $at['600']['allowedA']]);
    }

    /** From 0 to 400 A in a straight line of ten minutes the mean of the square is 400² / 3: 2.56 / 3 · (1 − e^(−10 / 20.19)) is a third of 1, a little more for the end is hot. */
    public function test_amps_that_rise(): void
    {
        $strip = self::strip(array_map(static fn (int $i): float => 20.0 * $i, range(0, 20)));
        $last = $strip->points[count($strip->points) - 1];

        self::assertNull($strip->spentAtS);
        self::assertGreaterThan(1 / 3, $last['theta']);
        self::assertLessThan(0.45, $last['theta']);
    }

    public function test_a_long_session_is_told_in_as_many_points_as_can_be_seen(): void
    {
        self::assertLessThanOrEqual(301, count(self::strip(array_fill(0, 599, 200.0))->points));
    }

    /** @param  list<float>  $amps  every 30 s */
    private static function strip(array $amps): DutyStrip
    {
        $case = Cases::read(Cases::file(case: ['outlet.coupler' => 'j3400', 'adapters' => [['id' => 'a1', 'name' => 'A1', 'input' => 'j3400', 'output' => 'ccs1', 'current' => 'dc', 'certification' => 'certified', 'holds_back' => true,
            'plate' => ['max_v' => 1000, 'continuous_a' => 250, 'boost_a' => 400, 'boost_minutes' => 10]]]]));
        $answer = $case->fitter()->answer($case->outlet, $case->vehicle)->best;
        $judge = new Judge($answer, $case->conditions);
        foreach ($amps as $i => $a) {
            $judge->add(new Reading(1000 * self::EVERY_S * $i, min(100.0, 10 + $i / 10), 330, $a, round(0.33 * $a, 2)));
        }
        foreach (DutyStrip::each(Diagnosis::of($answer, $case->conditions, $judge->judgement()->measured)) as $strip) {
            if ($strip->linkId === 'a1') {
                return $strip;
            }
        }
        self::fail('the adapter has a duty rating');
    }
}
