<?php

declare(strict_types=1);

namespace Harmozon\Core\Review\Causes;

use Harmozon\Core\Review\CauseEvidence;
use Harmozon\Core\Review\CauseRule;
use Harmozon\Core\Review\Finding;
use Harmozon\Core\Review\PowerMatch;

/** The power stays at the level of the segment before while the forecast changes: the cause stays the same, too. */
final class Continued implements CauseRule
{
    private const SAME_LEVEL = 0.03;

    public function find(CauseEvidence $evidence): ?Finding
    {
        $before = $evidence->lastSegment;
        // Nearer to what is expected the reference tells it, unless it was at a link's figure.
        if ($before === null || $evidence->last === null || $evidence->last->cause->isOpen() || ($evidence->last->limit === null && ($evidence->segment->ratio ?? 1.0) >= PowerMatch::NEAR_FROM_SHARE)) {
            return null;
        }
        $isSame = static fn (?float $level, ?float $was, bool $isLevel): bool => $level !== null && $was !== null && $isLevel && abs($level - $was) <= self::SAME_LEVEL * $was;

        return $isSame($evidence->segment->kw, $before->kw, $evidence->segment->isSteadyKw) || $isSame($evidence->segment->amps, $before->amps, $evidence->segment->isSteadyAmps) ? $evidence->last : null;
    }
}
