<?php

declare(strict_types=1);

namespace Harmozon\Core\Power;

/** A span of charge between two knots of the curves: volts and charge curve are straight lines in it. */
final readonly class CurveSegment
{
    /** A span shorter than this has no slope (percent). */
    private const SHORTEST_PERCENT = 1e-9;

    private function __construct(
        public float $fromSoc,
        public float $toSoc,
        private float $volts,
        public float $voltsPerPercent,
        private float $curveKw,
        public float $curveKwPerPercent,
    ) {
    }

    /** @return non-empty-list<self> */
    public static function between(LimitSet $limits, float $fromSoc, float $toSoc): array
    {
        $curve = $limits->curve?->kw;
        $ends = array_unique([...$limits->plugV->knotsBetween($fromSoc, $toSoc), ...($curve?->knotsBetween($fromSoc, $toSoc) ?? []), $toSoc]);
        sort($ends);
        $segments = [];
        $from = $fromSoc;
        foreach ($ends as $to) {
            $length = max($to - $from, self::SHORTEST_PERCENT);
            [$volts, $kw] = [$limits->plugV->at($from), $curve?->at($from) ?? INF];
            $segments[] = new self(
                $from, $to, $volts, ($limits->plugV->at($to) - $volts) / $length, $kw, $curve === null ? 0.0 : ($curve->at($to) - $kw) / $length,
            );
            $from = $to;
        }

        return $segments;
    }

    /**
     * Charges at which the current allowed by a power limit and the charge curve may be highest: the ends, since power
     * and voltage are straight lines in between, and where the two cross.
     *
     * @return list<float>
     */
    public function turns(float $constantKw): array
    {
        $percent = $this->curveKwPerPercent === 0.0 || $constantKw === INF ? -1.0 : ($constantKw - $this->curveKw) / $this->curveKwPerPercent;

        return [$this->fromSoc, $this->toSoc, ...($percent > 0 && $percent < $this->toSoc - $this->fromSoc ? [$this->fromSoc + $percent] : [])];
    }

    public function voltsAt(float $soc): float
    {
        return $this->volts + $this->voltsPerPercent * ($soc - $this->fromSoc);
    }

    public function curveKwAt(float $soc): float
    {
        return $this->curveKw + $this->curveKwPerPercent * ($soc - $this->fromSoc);
    }
}
