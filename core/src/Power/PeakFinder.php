<?php

declare(strict_types=1);

namespace Harmozon\Core\Power;

use Harmozon\Core\Equipment\Curve;
use Harmozon\Core\Equipment\Quantity;

/**
 * The exact maximum of the smallest limit over a span of charge. Between the points of the curves every limit is a
 * straight line, so the maximum lies at a point or where two of the three envelopes (amps, constant kW, charge curve)
 * cross.
 */
final class PeakFinder
{
    /** Limits closer than this share of the power are one limit. */
    private const SAME = 1e-9;

    /** @var \WeakMap<Curve, array{Curve|null, float, float, non-empty-list<CurveSegment>}> by the volts: what was cut from them last, since a board asks for the same car again */
    private readonly \WeakMap $cut;

    public function __construct()
    {
        $this->cut = new \WeakMap;
    }

    /** @return Peak|null null when no limit of the chain is known */
    public function find(LimitSet $limits, float $fromSoc, float $toSoc): ?Peak
    {
        if (! $limits->isKnown()) {
            return null;
        }
        $kwPerV = ($limits->leastA() ?? INF) * $limits->phases / 1000;
        $constantKw = $limits->leastKw() ?? INF;
        $bestKw = -1.0;
        $bestSoc = $fromSoc;
        foreach ($this->stretches($limits, $fromSoc, $toSoc) as $segment) {
            foreach (self::shares($segment, $kwPerV, $constantKw) as $share) {
                $soc = $segment->fromSoc + $share * ($segment->toSoc - $segment->fromSoc);
                $kw = min($kwPerV * $segment->voltsAt($soc), $constantKw, $segment->curveKwAt($soc));
                if ($kw > $bestKw + self::SAME) {
                    $bestKw = $kw;
                    $bestSoc = $soc;
                }
            }
        }

        return $this->named($limits, $bestKw, $bestSoc);
    }

    /** @return non-empty-list<CurveSegment> */
    private function stretches(LimitSet $limits, float $fromSoc, float $toSoc): array
    {
        $curve = $limits->curve?->kw;
        [$knownCurve, $knownFrom, $knownTo, $segments] = $this->cut[$limits->plugV] ?? [null, -1.0, -1.0, null];
        if ($segments === null || $knownCurve !== $curve || $knownFrom !== $fromSoc || $knownTo !== $toSoc) {
            $segments = CurveSegment::between($limits, $fromSoc, $toSoc);
            $this->cut[$limits->plugV] = [$curve, $fromSoc, $toSoc, $segments];
        }

        return $segments;
    }

    /** @return list<float> shares of a stretch at which its maximum may lie: its ends, and where two lines cross */
    private static function shares(CurveSegment $segment, float $kwPerV, float $constantKw): array
    {
        $shares = [0.0, 1.0];
        $left = [$kwPerV * $segment->voltsAt($segment->fromSoc), $constantKw, $segment->curveKwAt($segment->fromSoc)];
        $right = [$kwPerV * $segment->voltsAt($segment->toSoc), $constantKw, $segment->curveKwAt($segment->toSoc)];
        foreach ([[0, 1], [0, 2], [1, 2]] as [$i, $j]) {
            $gapLeft = $left[$i] - $left[$j];
            $gapRight = $right[$i] - $right[$j];
            if ($gapLeft * $gapRight < 0 && is_finite($gapLeft)) {
                $shares[] = $gapLeft / ($gapLeft - $gapRight);
            }
        }

        return $shares;
    }

    /** When several links bind at once, the first by precedence is named. */
    private function named(LimitSet $limits, float $kw, float $soc): Peak
    {
        $ceiling = $kw * (1 + self::SAME) + self::SAME;
        $kwPerAmp = $limits->kwPerAmp($soc);
        $binding = null;
        foreach ([...($limits->curve === null ? [] : [$limits->curve]), ...$limits->amps, ...$limits->kw] as $limit) {
            $allowedKw = match (true) {
                $limit instanceof AmpLimit => $limit->amps * $kwPerAmp,
                $limit instanceof KwLimit => $limit->kw,
                default => $limit->kw->at($soc),
            };
            if ($allowedKw <= $ceiling && ($binding === null || $limit->code->precedence() < $binding->code->precedence())) {
                $binding = $limit;
            }
        }

        return new Peak($kw, $soc, $binding->code ?? BindingCode::VehicleCurve, $binding->linkId ?? '', match (true) {
            $binding instanceof AmpLimit => [Quantity::Amps, $binding->amps],
            $binding instanceof KwLimit && $binding->code->isRating() => [Quantity::Kw, $binding->kw],
            default => null,
        });
    }
}
