<?php

declare(strict_types=1);

namespace Harmozon\Core\Review\Memory;

use Harmozon\Core\Review\Cause;
use Harmozon\Core\Review\PowerByCharge;
use Harmozon\Core\Review\RecordedSession;
use Harmozon\Core\Review\ReferencePoint;

/** The power of one session at those charges where the car itself set the pace. */
final readonly class CarPace
{
    /** Width of a bin (percent). */
    public const BIN_PERCENT = 5;

    /** @param  array<int, float>  $kw  mean power at the plug, by the beginning of each bin */
    public function __construct(public array $kw)
    {
    }

    /** A bin counts where most of it was the car's own curve. */
    public static function of(RecordedSession $recorded): self
    {
        $sums = [];
        foreach (PowerByCharge::of($recorded->diagnosis->referencePoints)->steps as $soc => $step) {
            $cause = self::causeAt($recorded, (float) $soc);
            if ($cause === Cause::VehicleCurve) {
                $sums[self::BIN_PERCENT * intdiv($soc, self::BIN_PERCENT)][] = $step['kw'];
            }
        }

        return new self(array_map(static fn (array $kw): float => array_sum($kw) / count($kw), array_filter($sums, static fn (array $kw): bool => 2 * count($kw) > self::BIN_PERCENT)));
    }

    private static function causeAt(RecordedSession $recorded, float $soc): ?Cause
    {
        $referencePoints = array_filter($recorded->diagnosis->referencePoints->all, static fn (ReferencePoint $m): bool => $m->moment->flows() && $m->soc !== null && $m->soc <= $soc + 0.5);
        $referencePoint = $referencePoints === [] ? null : end($referencePoints);
        foreach ($recorded->diagnosis->heldBackBy as $limited) {
            if ($referencePoint !== null && $referencePoint->moment->tS >= $limited->fromS && $referencePoint->moment->tS < $limited->toS) {
                return $limited->finding->cause;
            }
        }

        return null;
    }
}
