<?php

declare(strict_types=1);

namespace Harmozon\Core\Review;

/** The power of a session over its charge, in steps of one percent. */
final readonly class PowerByCharge
{
    /** Charges this close count as equal (percent). */
    private const SAME_SOC = 1e-6;

    /** Steps in which a charge may be shown, from the coarsest down (percent). */
    private const RESOLUTIONS = [1.0, 0.5, 0.1];

    /** How far the middle between two rounded readings is off, in steps (standard deviation: √(1/24)). */
    private const ROUNDING = 0.204;

    /**
     * @param  array<int, array{kw: float, seconds: float}>  $steps  mean power and time of each percent that was passed whole, by its beginning
     * @param  float  $percentPerReading  charge between two readings
     * @param  float  $doubt  standard deviation of the power, where the charge is read in steps and the power falls or rises with it (share)
     */
    private function __construct(public array $steps, public float $percentPerReading = 0.0, public float $doubt = 0.0)
    {
    }

    /**
     * From the first to the last charge that was read the energy tells how it rose in between: screens show whole percents.
     */
    public static function of(ReferencePoints $referencePoints): self
    {
        $nodes = self::nodes($referencePoints);
        if (count($nodes) < 2) {
            return new self([]);
        }
        [$from, $to] = [$nodes[0][0], $nodes[count($nodes) - 1][0]];
        $steps = [];
        $before = self::at($nodes, ceil($from - self::SAME_SOC));
        for ($soc = (int) ceil($from - self::SAME_SOC); $soc + 1 <= $to + self::SAME_SOC; $soc++) {
            $after = self::at($nodes, $soc + 1.0);
            $seconds = $after[0] - $before[0];
            if ($seconds > 0) {
                $steps[$soc] = ['kw' => ($after[1] - $before[1]) / $seconds * 3600, 'seconds' => $seconds];
            }
            $before = $after;
        }

        return new self($steps, ($to - $from) / max(1, count($nodes) - 1), self::doubt($referencePoints, array_column($steps, 'kw')));
    }

    /**
     * The error of the power from a charge read in steps: as much as the power changes with the charge.
     *
     * @param  list<float>  $kw  percent by percent
     */
    private static function doubt(ReferencePoints $referencePoints, array $kw): float
    {
        $read = array_values(array_filter(array_map(static fn (ReferencePoint $m): ?float => $m->moment->soc, $referencePoints->all), static fn (?float $soc): bool => $soc !== null));
        $third = intdiv(count($kw), 3);
        if ($read === [] || $third < 1 || array_sum($kw) <= 0.0) {
            return 0.0;
        }
        $mean = array_sum($kw) / count($kw);
        $perPercent = abs(array_sum(array_slice($kw, -$third)) - array_sum(array_slice($kw, 0, $third))) / $third / $mean / (count($kw) - $third);
        foreach (self::RESOLUTIONS as $step) {
            if (array_filter($read, static fn (float $soc): bool => abs($soc / $step - round($soc / $step)) > self::SAME_SOC) === []) {
                return self::ROUNDING * $step * $perPercent;
            }
        }

        return 0.0;
    }

    /** @return list<array{float, float, float}> charge, time (s) and energy (kWh), all rising */
    private static function nodes(ReferencePoints $referencePoints): array
    {
        $kwh = 0.0;
        $nodes = $read = [];
        $last = null;
        foreach ($referencePoints->all as $referencePoint) {
            $kwh += $referencePoint->moment->kwhSince($last);
            $last = $referencePoint->moment;
            if ($referencePoint->moment->tS < $referencePoints->firstFlowS) {
                continue;
            }
            $nodes[] = [$referencePoint->soc ?? 0.0, $referencePoint->moment->tS, $kwh];
            if ($referencePoint->moment->soc !== null) {
                $read[] = [$referencePoint->moment->soc, $kwh];
            }
        }
        if ($nodes !== [] && $referencePoints->all[0]->soc === null) {
            return [];
        }
        [$first, $end] = [$read[0] ?? null, $read[count($read) - 1] ?? null];
        if ($first !== null && $end !== null && $end[1] > $first[1] && $end[0] > $first[0]) {
            $perKwh = ($end[0] - $first[0]) / ($end[1] - $first[1]);
            $nodes = array_map(static fn (array $n): array => [$first[0] + ($n[2] - $first[1]) * $perKwh, $n[1], $n[2]], $nodes);
        }
        $rising = [];
        foreach ($nodes as $node) {
            if ($rising === [] || $node[0] >= $rising[count($rising) - 1][0]) {
                $rising[] = $node;
            }
        }

        return $rising;
    }

    /**
     * @param  non-empty-list<array{float, float, float}>  $nodes
     * @return array{float, float} time (s) and energy (kWh) when this charge was passed
     */
    private static function at(array $nodes, float $soc): array
    {
        $before = $nodes[0];
        foreach ($nodes as $node) {
            if ($node[0] >= $soc) {
                $length = $node[0] - $before[0];
                $share = $length < self::SAME_SOC ? 1.0 : ($soc - $before[0]) / $length;

                return [$before[1] + $share * ($node[1] - $before[1]), $before[2] + $share * ($node[2] - $before[2])];
            }
            $before = $node;
        }

        return [$before[1], $before[2]];
    }
}
