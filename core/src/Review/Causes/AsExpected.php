<?php

declare(strict_types=1);

namespace Harmozon\Core\Review\Causes;

use Harmozon\Core\Review\Cause;
use Harmozon\Core\Review\CauseEvidence;
use Harmozon\Core\Review\CauseRule;
use Harmozon\Core\Review\Confidence;
use Harmozon\Core\Review\Finding;
use Harmozon\Core\Review\PowerMatch;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;

/** As the reference, so the same limit applies. Where it took more, the car's curve was entered too low. */
final class AsExpected implements CauseRule
{
    /** From this much above the forecast, at no rating, the entered curve is too low (share). */
    private const TOO_LOW_FROM = 1.15;

    /** Rounding of shares. */
    private const SAME = 1e-9;

    public function find(CauseEvidence $evidence): ?Finding
    {
        $ratio = $evidence->segment->ratio;
        $step = $evidence->reference->stepAt($evidence->soc());
        if ($ratio === null || $step === null || $ratio < PowerMatch::NEAR_FROM_SHARE - self::SAME) {
            return null;
        }
        $cause = Cause::of($step->binding);
        $isAbove = $ratio > 2 - PowerMatch::NEAR_FROM_SHARE + self::SAME;
        if ($isAbove && ! $cause->isCars()) {
            return $this->beyond($evidence, $step->linkId);
        }
        // A rating that the power isn't level at is named with less confidence.
        $confidence = $cause->isCars() ? Confidence::at($ratio - 1, $evidence->segment->isMeasured) : Confidence::Low;

        return new Finding($cause, $confidence, $isAbove
            ? ($ratio > self::TOO_LOW_FROM ? self::tooLow($ratio) : Message::of('evidence.above', share: Amount::ofHundred($ratio)))
            : Message::of('evidence.as_expected', share: Amount::ofHundred($ratio), binding: $cause->message()), $step->linkId === '' ? null : $step->linkId);
    }

    /** A piece that doesn't limit the current itself: it carried more than its rating, as much as the car takes. */
    private function beyond(CauseEvidence $evidence, string $linkId): ?Finding
    {
        $ofCar = $evidence->segment->carRatio;
        $ratio = $evidence->segment->ratio ?? 1.0;
        if ($ratio > self::TOO_LOW_FROM && ($ofCar === null || $ofCar > 2 - PowerMatch::NEAR_FROM_SHARE)) {
            return new Finding(Cause::VehicleCurve, Confidence::Low, self::tooLow($ratio));
        }

        return $ofCar === null || abs($ofCar - 1) > 1 - PowerMatch::NEAR_FROM_SHARE + self::SAME ? null : new Finding(
            Cause::VehicleCurve, Confidence::at($ofCar - 1, $evidence->segment->isMeasured),
            Message::of('evidence.beyond', share: Amount::ofHundred($evidence->segment->ratio), link: $evidence->answer()->linkName($linkId)),
        );
    }

    private static function tooLow(float $ratio): Message
    {
        return Message::of('evidence.curve_too_low', share: Amount::ofHundred($ratio));
    }
}
