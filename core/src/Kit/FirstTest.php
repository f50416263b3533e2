<?php

declare(strict_types=1);

namespace Harmozon\Core\Kit;

use Harmozon\Core\Chain\UnreadFact;
use Harmozon\Core\Equipment\Adapter;
use Harmozon\Core\Fit\ChainAnswer;
use Harmozon\Core\Fit\Fitter;
use Harmozon\Core\Fit\Flow;
use Harmozon\Core\Forecast\Forecaster;
use Harmozon\Core\Record\Meter;
use Harmozon\Core\Record\RollingMean;

/**
 * How to test a new adapter with what the garage has: a gentle session first, then towards its rating. A session proves
 * the highest mean of its current over ten minutes.
 */
final readonly class FirstTest
{
    /** A first session stays below this share of the continuous rating, if any charger allows it. */
    private const GENTLE = 0.6;

    /** A further session is worth it from so much more of the rating (share). */
    private const WORTH = 0.15;

    /**
     * @param  list<TestStage>  $stages  the gentlest first
     * @param  float|null  $most  the highest share of the continuous rating that any charger here can prove; null when nothing is known
     * @param  list<UnreadFact>  $unread  facts that keep cars and chargers out of the plan until somebody reads them
     */
    private function __construct(public array $stages, public ?float $most, public array $unread)
    {
    }

    /** @param  KitQuestion  $garage  its cars and outlets, as far as they take this adapter */
    public static function of(Adapter $adapter, KitQuestion $garage): self
    {
        $ratedA = $adapter->rating->plate->continuousA;
        $fitter = new Fitter([], $garage->conditions, $garage->policy);
        $stages = $unread = [];
        foreach ($garage->outlets as $at) {
            foreach ($adapter->input->takes($at->outlet->coupler) ? $garage->vehicles : [] as $vehicle) {
                $answer = $fitter->exactly($at->outlet, [$adapter], $vehicle)->best;
                $unread += $answer->outcome->mayFlow() ? self::missing($answer) : [];
                $meanA = $ratedA !== null && $answer->outcome->flow() === Flow::Yes ? self::meanA($answer) : null;
                if ($meanA !== null) {
                    $stages[] = new TestStage($vehicle, $at->outlet, $meanA, $meanA / $ratedA);
                }
            }
        }
        usort($stages, static fn (TestStage $a, TestStage $b): int => $a->share <=> $b->share);

        return new self(self::chosen($stages), $stages === [] ? null : min(1.0, $stages[count($stages) - 1]->share), array_values($unread));
    }

    /** @return array<string, UnreadFact> by piece and path */
    private static function missing(ChainAnswer $answer): array
    {
        $missing = [];
        foreach ($answer->gates() as $gate) {
            foreach ($gate->missing as $fact) {
                $missing["{$fact->piece} {$fact->path}"] = $fact;
            }
        }

        return $missing;
    }

    /**
     * The gentlest session that still says something, one about halfway, and the one that proves the most.
     *
     * @param  list<TestStage>  $stages  rising
     * @return list<TestStage>
     */
    private static function chosen(array $stages): array
    {
        if ($stages === []) {
            return [];
        }
        $most = $stages[count($stages) - 1];
        $gentle = array_values(array_filter($stages, static fn (TestStage $s): bool => $s->share < self::GENTLE));
        $first = $gentle === [] ? $stages[0] : $gentle[count($gentle) - 1];
        $between = array_values(array_filter($stages, static fn (TestStage $s): bool => $s->share >= $first->share + self::WORTH && $s->share <= $most->share - self::WORTH));

        return match (true) {
            $most->share < $first->share + self::WORTH => [$first],
            $between === [] => [$first, $most],
            default => [$first, $between[intdiv(count($between), 2)], $most],
        };
    }

    /** The highest 10-minute mean of the current that a forecast expects (A). */
    private static function meanA(ChainAnswer $answer): ?float
    {
        $forecast = Forecaster::sparing()->forecast($answer, $answer->conditions);
        $mean = new RollingMean(Meter::SUSTAINED_S);
        foreach ($forecast->course->points as $step) {
            $mean->add($step->tS, $step->flow->amps);
            $mean->add($step->tS + $step->lengthS, $step->flow->endAmps);
        }

        return $mean->highest();
    }
}
