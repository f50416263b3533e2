<?php

declare(strict_types=1);

namespace Harmozon\Core\Review\Causes;

use Harmozon\Core\Power\LimitSet;
use Harmozon\Core\Review\Cause;
use Harmozon\Core\Review\CauseRule;
use Harmozon\Core\Review\Clues;
use Harmozon\Core\Review\Confidence;
use Harmozon\Core\Review\Finding;
use Harmozon\Core\Review\Mark;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;

/** Level from the start, and far below every plate: the stall gives less than it says. */
final class Derated implements CauseRule
{
    private const BELOW_RATIO = 0.7;

    private const BELOW_PLATES = 0.15;

    public function find(Clues $clues): ?Finding
    {
        $stretch = $clues->stretch;
        $limits = $clues->limits();
        $isLevel = $stretch->hasLevelKw || $stretch->hasLevelAmps;
        if (! $clues->isFirst() || ! $isLevel || $stretch->ratio === null || $stretch->ratio >= self::BELOW_RATIO || $limits === null || ! self::isBelowEvery($limits, $stretch->amps, $stretch->kw)) {
            return null;
        }
        // More in the ramp was a fall, not a level from the start.
        $most = max([0.0, ...array_map(static fn (Mark $m): float => $m->moment->kw ?? 0.0, $clues->before())]);
        if ($stretch->kw !== null && $most > (1 + self::BELOW_PLATES) * $stretch->kw) {
            return null;
        }

        return new Finding(Cause::DeratedStall, Confidence::Low, Message::of(
            'evidence.derated_stall',
            level: Amount::kw($stretch->kw),
            share: Amount::ofHundred($stretch->ratio),
            minutes: Amount::minutes($stretch->seconds() / 60),
        ), $clues->answer()->chain->outlet->id);
    }

    private static function isBelowEvery(LimitSet $limits, ?float $amps, ?float $kw): bool
    {
        $least = min([INF, ...array_map(static fn ($l): float => $l->amps, $limits->amps), ...array_map(static fn ($h): float => $h->duty->effectiveA, $limits->changing->heat)]);
        $below = 1 - self::BELOW_PLATES;

        return ($amps === null || $amps <= $below * $least) && ($kw === null || $kw <= $below * ($limits->leastKw() ?? INF));
    }
}
