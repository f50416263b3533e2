<?php

declare(strict_types=1);

namespace Harmozon\Core\Review\Causes;

use Harmozon\Core\Review\CauseRule;
use Harmozon\Core\Review\Clues;
use Harmozon\Core\Review\Finding;
use Harmozon\Core\Review\Nearness;

/** The level of the stretch before goes on, while what it is held against has changed: so does its cause. */
final class GoesOn implements CauseRule
{
    private const SAME_LEVEL = 0.03;

    public function find(Clues $clues): ?Finding
    {
        $before = $clues->lastStretch;
        // Nearer to what is expected the reference tells it, unless it was at a link's figure.
        if ($before === null || $clues->last === null || $clues->last->cause->isOpen() || ($clues->last->limit === null && ($clues->stretch->ratio ?? 1.0) >= Nearness::NEAR_FROM_SHARE)) {
            return null;
        }
        $isSame = static fn (?float $level, ?float $was, bool $isLevel): bool => $level !== null && $was !== null && $isLevel && abs($level - $was) <= self::SAME_LEVEL * $was;

        return $isSame($clues->stretch->kw, $before->kw, $clues->stretch->isSteadyKw) || $isSame($clues->stretch->amps, $before->amps, $clues->stretch->isSteadyAmps) ? $clues->last : null;
    }
}
