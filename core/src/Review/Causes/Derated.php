<?php

declare(strict_types=1);

namespace Harmozon\Core\Review\Causes;

use Harmozon\Core\Power\LimitSet;
use Harmozon\Core\Review\Cause;
use Harmozon\Core\Review\CauseEvidence;
use Harmozon\Core\Review\CauseRule;
use Harmozon\Core\Review\Confidence;
use Harmozon\Core\Review\Finding;
use Harmozon\Core\Review\ReferencePoint;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;

/** Level from the start, and far below every rating: a derated stall. */
final class Derated implements CauseRule
{
    private const BELOW_RATIO = 0.7;

    private const BELOW_PLATES = 0.15;

    /** A level that differs from earlier power by no more than this is the same level (share). */
    private const SAME_LEVEL = 0.03;

    public function find(CauseEvidence $evidence): ?Finding
    {
        $segment = $evidence->segment;
        $limits = $evidence->limits();
        $isLevel = $segment->hasLevelKw || $segment->hasLevelAmps;
        if (! self::isFromStart($evidence) || ! $isLevel || $segment->ratio === null || $segment->ratio >= self::BELOW_RATIO || $limits === null || ! self::isBelowEvery($limits, $segment->amps, $segment->kw)) {
            return null;
        }
        // More in the ramp was a fall, not a level from the start.
        $most = max([0.0, ...array_map(static fn (ReferencePoint $m): float => $m->moment->kw ?? 0.0, $evidence->before())]);
        if ($segment->kw !== null && $most > (1 + self::BELOW_PLATES) * $segment->kw) {
            return null;
        }

        return new Finding(Cause::DeratedStall, Confidence::Low, Message::of(
            'evidence.derated_stall',
            level: Amount::kw($segment->kw),
            share: Amount::ofHundred($segment->ratio),
            minutes: Amount::minutes($segment->seconds() / 60),
        ), $evidence->answer()->chain->outlet->id);
    }

    /** Whether the power was never at another level: what is forecast may have changed meanwhile. */
    private static function isFromStart(CauseEvidence $evidence): bool
    {
        $kw = $evidence->segment->kw;

        return $evidence->isFirst() || ($kw !== null && array_filter($evidence->earlier, static fn (ReferencePoint $m): bool => $m->moment->kw === null || abs($m->moment->kw / $kw - 1) > self::SAME_LEVEL) === []);
    }

    private static function isBelowEvery(LimitSet $limits, ?float $amps, ?float $kw): bool
    {
        $least = min([INF, ...array_map(static fn ($l): float => $l->amps, $limits->amps), ...array_map(static fn ($h): float => $h->duty->effectiveA, $limits->changing->heat)]);
        $below = 1 - self::BELOW_PLATES;

        return ($amps === null || $amps <= $below * $least) && ($kw === null || $kw <= $below * ($limits->leastKw() ?? INF));
    }
}
