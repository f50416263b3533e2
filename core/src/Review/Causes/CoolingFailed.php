<?php

declare(strict_types=1);

namespace Harmozon\Core\Review\Causes;

use Harmozon\Core\Chain\Chain;
use Harmozon\Core\Equipment\CurrentKind;
use Harmozon\Core\Review\Cause;
use Harmozon\Core\Review\CauseEvidence;
use Harmozon\Core\Review\CauseRule;
use Harmozon\Core\Review\Confidence;
use Harmozon\Core\Review\Finding;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;

/** On a cooled cable the power drops to very little within minutes of the first power: the coolant pump has failed. */
final class CoolingFailed implements CauseRule
{
    private const BELOW_RATIO = 0.3;

    private const WITHIN_S = 180.0;

    private const BELOW_SOC = 60.0;

    /** It counts as a drop if the power was this many times as high before. */
    private const FELL_FROM = 1.5;

    public function find(CauseEvidence $evidence): ?Finding
    {
        $segment = $evidence->segment;
        $cable = $evidence->answer()->chain->outlet->fittings->cable;
        if ($cable?->isCooledNow() !== true || $evidence->answer()->chain->current !== CurrentKind::Dc || $segment->ratio === null || $segment->kw === null) {
            return null;
        }
        $highest = $evidence->highestKwWithin(self::WITHIN_S);
        $isCrawl = $segment->ratio < self::BELOW_RATIO
            && $segment->fromS <= $evidence->firstFlowS() + self::WITHIN_S
            && $evidence->soc() < self::BELOW_SOC
            && $highest >= self::FELL_FROM * $segment->kw;
        if (! $isCrawl) {
            return null;
        }
        $dryA = $cable->withCoolingFailed()->plateNow()->continuousA;
        $off = $dryA === null || $segment->amps === null ? 1.0 : $segment->amps / $dryA - 1;

        return new Finding(Cause::CoolingFailed, Confidence::at($off, $segment->isMeasured), Message::of(
            'evidence.cooling_failed',
            from: Amount::kw($highest),
            to: Amount::kw($segment->kw),
            after: Amount::minutes(max(0.0, $segment->fromS - $evidence->firstFlowS()) / 60),
            share: Amount::ofHundred($segment->ratio),
        ), Chain::CABLE);
    }
}
