<?php

declare(strict_types=1);

namespace Harmozon\Core\Review\Causes;

use Harmozon\Core\Equipment\CurrentKind;
use Harmozon\Core\Power\ColdFactor;
use Harmozon\Core\Review\Cause;
use Harmozon\Core\Review\CauseEvidence;
use Harmozon\Core\Review\CauseRule;
use Harmozon\Core\Review\Confidence;
use Harmozon\Core\Review\Finding;
use Harmozon\Core\Review\PackEstimate;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;

/** What follows a rise that a cold battery explains, as long as its estimated temperature explains the power. */
final class StillCold implements CauseRule
{
    private const WITHIN = 0.08;

    /** From this share on a battery counts as warm. */
    private const AS_WARM = 0.97;

    public function find(CauseEvidence $evidence): ?Finding
    {
        if ($evidence->last?->cause !== Cause::ColdPack || $evidence->answer()->chain->current !== CurrentKind::Dc) {
            return null;
        }
        $estimate = PackEstimate::of($evidence->earlier);
        if ($estimate === null) {
            return null;
        }
        $read = $explained = $weights = $factors = 0.0;
        foreach ($evidence->segment->referencePoints as $referencePoint) {
            if ($referencePoint->moment->kw === null || $referencePoint->expectedKw === null || $referencePoint->carKw === null) {
                continue;
            }
            $weight = max(1.0, $referencePoint->seconds());
            $factor = ColdFactor::at($estimate->celsiusAt($referencePoint->moment->tS));
            $read += $weight * $referencePoint->moment->kw;
            $explained += $weight * min($referencePoint->expectedKw, $factor * $referencePoint->carKw);
            $factors += $weight * $factor;
            $weights += $weight;
        }
        if ($weights <= 0.0 || $explained <= 0.0 || abs($read / $explained - 1) > self::WITHIN || $factors / $weights >= self::AS_WARM) {
            return null;
        }
        $middle = $evidence->segment->referencePoints[intdiv(count($evidence->segment->referencePoints), 2)];

        return new Finding(Cause::ColdPack, Confidence::Low, Message::of(
            'evidence.still_cold', share: Amount::ofHundred($evidence->segment->ratio), celsius: Amount::celsius($estimate->celsiusAt($middle->moment->tS)),
        ));
    }
}
