<?php

declare(strict_types=1);

namespace Harmozon\Core\Forecast;

/**
 * Keeps the steps that are worth showing: the beginning of every step but very short ones; where the power falls at once,
 * both sides of the fall.
 */
final class PointKeeper
{
    /** Points closer than this add nothing (s), unless the limiting link changes. */
    private const CLOSEST_S = 4.0;

    /** How long before a fall of the power its upper side is shown (s). */
    private const INSTANT_S = 0.1;

    /** A fall worth showing (kW). */
    private const FALL_KW = 0.5;

    /** @var list<Step> */
    public array $points = [];

    private ?Step $last = null;

    public function add(Step $step, bool $isEnd): void
    {
        $falls = $this->last !== null && abs($this->last->flow->endKw - $step->flow->kw) > self::FALL_KW;
        $newest = $this->points[count($this->points) - 1] ?? null;
        if ($falls && $newest !== null && $newest->tS < $step->tS - 2 * self::INSTANT_S) {
            $newest = $this->points[] = $this->last->justBeforeEnd($step->soc, $step->flow->volts, self::INSTANT_S);
        }
        if ($isEnd || $falls || $newest === null || self::isNews($step, $newest)) {
            $this->points[] = $step;
        }
        $this->last = $step;
    }

    private static function isNews(Step $step, Step $newest): bool
    {
        return $newest->binding !== $step->binding
            || $newest->linkId !== $step->linkId
            || $step->tS - $newest->tS >= self::CLOSEST_S
            || $step->lengthS > Integrator::LONGEST_STEP_S - self::CLOSEST_S;
    }
}
