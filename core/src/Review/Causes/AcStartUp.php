<?php

declare(strict_types=1);

namespace Harmozon\Core\Review\Causes;

use Harmozon\Core\Equipment\CurrentKind;
use Harmozon\Core\Review\Cause;
use Harmozon\Core\Review\CauseEvidence;
use Harmozon\Core\Review\CauseRule;
use Harmozon\Core\Review\Confidence;
use Harmozon\Core\Review\Finding;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;

/** On AC, cars begin with a lower current and take the full one within minutes. Checked before a derated post, which stays low. */
final class AcStartUp implements CauseRule
{
    private const FIRST_MINUTES = 10.0;

    /** Clocks and screens round (minutes). */
    private const ROUNDING_MINUTES = 1.0;

    /** From this share of the expected current on it counts as full. */
    private const FULL_RATIO = 0.9;

    public function find(CauseEvidence $evidence): ?Finding
    {
        $segment = $evidence->segment;
        $next = $evidence->next;
        $isStep = $evidence->answer()->chain->current === CurrentKind::Ac
            && $evidence->isFirst()
            && $segment->toS <= $evidence->firstFlowS() + 60 * (self::FIRST_MINUTES + self::ROUNDING_MINUTES)
            && $next?->amps !== null && $segment->amps !== null && $next->amps > $segment->amps
            && ($next->ratio ?? 1.0) >= self::FULL_RATIO;

        return ! $isStep ? null : new Finding(Cause::Settling, Confidence::at(($next->ratio ?? 2.0) - 1, $segment->isMeasured), Message::of(
            'evidence.settling', first: Amount::amps($segment->amps), minutes: Amount::minutes($segment->seconds() / 60), full: Amount::amps($next->amps),
        ));
    }
}
