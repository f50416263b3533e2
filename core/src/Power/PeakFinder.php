<?php

declare(strict_types=1);

namespace Harmozon\Core\Power;

/**
 * The exact maximum of the smallest limit over a span of charge. Between the points of the curves every limit is a
 * straight line, so the maximum lies at a point or where two of the three envelopes (amps, constant kW, charge curve)
 * cross.
 */
final class PeakFinder
{
    /** Limits closer than this share of the power are one limit. */
    private const SAME = 1e-9;

    /** @return Peak|null null when no limit of the chain is known */
    public function find(LimitSet $limits, float $fromSoc, float $toSoc): ?Peak
    {
        $amps = $limits->leastA();
        $constKw = $limits->leastKw();
        $curve = $limits->curve?->kw;
        if ($amps === null && $constKw === null && $curve === null) {
            return null;
        }
        $lines = static fn (float $soc): array => [
            $amps === null ? INF : $amps * $limits->kwPerAmp($soc),
            $constKw ?? INF,
            $curve?->at($soc) ?? INF,
        ];

        $knots = [$fromSoc, ...$limits->plugV->knotsBetween($fromSoc, $toSoc), ...($curve?->knotsBetween($fromSoc, $toSoc) ?? []), $toSoc];
        sort($knots);
        $bestKw = -1.0;
        $bestSoc = $fromSoc;
        $leftSoc = $fromSoc;
        $left = $lines($fromSoc);
        foreach ($knots as $rightSoc) {
            $right = $lines($rightSoc);
            foreach ([0.0, 1.0, ...self::crossings($left, $right)] as $share) {
                $kw = INF;
                foreach ($left as $i => $from) {
                    $kw = min($kw, $from === INF ? INF : $from + $share * ($right[$i] - $from));
                }
                if ($kw > $bestKw + self::SAME) {
                    $bestKw = $kw;
                    $bestSoc = $leftSoc + $share * ($rightSoc - $leftSoc);
                }
            }
            [$leftSoc, $left] = [$rightSoc, $right];
        }

        return $this->named($limits, $bestKw, $bestSoc);
    }

    /**
     * @param  array<int, float>  $left
     * @param  array<int, float>  $right
     * @return list<float> shares of the stretch, strictly inside it, where two lines cross
     */
    private static function crossings(array $left, array $right): array
    {
        $shares = [];
        foreach ([[0, 1], [0, 2], [1, 2]] as [$i, $j]) {
            if ($left[$i] === INF || $left[$j] === INF) {
                continue;
            }
            $gapLeft = $left[$i] - $left[$j];
            $gapRight = $right[$i] - $right[$j];
            if ($gapLeft * $gapRight < 0) {
                $shares[] = $gapLeft / ($gapLeft - $gapRight);
            }
        }

        return $shares;
    }

    /** Of several links that bind at once, the one that is not the vehicle's own is named: it is what could be changed. */
    private function named(LimitSet $limits, float $kw, float $soc): Peak
    {
        $ceiling = $kw * (1 + self::SAME) + self::SAME;
        /** @var list<array{BindingCode, string}> $binding */
        $binding = [];
        if ($limits->curve !== null && $limits->curve->kw->at($soc) <= $ceiling) {
            $binding[] = [$limits->curve->code, $limits->curve->linkId];
        }
        foreach ($limits->amps as $limit) {
            if ($limit->amps * $limits->kwPerAmp($soc) <= $ceiling) {
                $binding[] = [$limit->code, $limit->linkId];
            }
        }
        foreach ($limits->kw as $limit) {
            if ($limit->kw <= $ceiling) {
                $binding[] = [$limit->code, $limit->linkId];
            }
        }
        usort($binding, static fn (array $a, array $b): int => $a[0]->precedence() <=> $b[0]->precedence());

        return new Peak($kw, $soc, $binding[0][0], $binding[0][1]);
    }
}
