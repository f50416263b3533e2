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

/** Less than expected, and rising while nothing else would make it rise: the pack warms up. */
final class Cold implements CauseRule
{
    private const BELOW_RATIO = 0.9;

    private const COLD_AIR_C = 10.0;

    /** A rise by this share is one; the expected power must stay below as much. */
    private const RISE = 0.02;

    public function find(CauseEvidence $evidence): ?Finding
    {
        $segment = $evidence->segment;
        $conditions = $evidence->conditions();
        $isCold = ! $conditions->pack->prepared || ($conditions->ambientC ?? INF) < self::COLD_AIR_C;
        $isRising = $segment->rises(self::RISE, $evidence->next) && ! $segment->isExpectedToRise(self::RISE, $evidence->next);
        if (! $isCold || ! $isRising || $evidence->answer()->chain->current !== CurrentKind::Dc || $segment->ratio === null || $segment->ratio >= self::BELOW_RATIO) {
            return null;
        }
        $last = $segment->referencePoints[count($segment->referencePoints) - 1];

        return new Finding(Cause::ColdPack, Confidence::Low, Message::of(
            'evidence.cold_pack',
            share: Amount::ofHundred($segment->ratio),
            from: Amount::kw($segment->referencePoints[0]->moment->kw),
            to: Amount::kw($last->moment->kw),
        ));
    }
}
