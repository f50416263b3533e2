<?php

declare(strict_types=1);

namespace Harmozon\Core\Review\Memory;

use Harmozon\Core\Equipment\Curve;
use Harmozon\Core\Review\Median;

/** A car's charge curve as its sessions show it, beside the one that was entered. */
final readonly class LearnedCurve
{
    public const FEWEST_SESSIONS = 3;

    /** @param  non-empty-list<array{soc: float, kw: float, low: float, high: float, sessions: int}>  $points  median and spread in the middle of each bin */
    private function __construct(public array $points, public int $sessions)
    {
    }

    /**
     * @param  list<CarPace>  $sessions
     * @return self|null null from fewer than three sessions
     */
    public static function of(array $sessions): ?self
    {
        $bins = [];
        foreach ($sessions as $session) {
            foreach ($session->kw as $bin => $kw) {
                $bins[$bin][] = $kw;
            }
        }
        ksort($bins);
        $points = [];
        foreach ($bins as $bin => $kw) {
            if (count($kw) >= self::FEWEST_SESSIONS) {
                $points[] = ['soc' => $bin + CarPace::BIN_PERCENT / 2, 'kw' => Median::of($kw), 'low' => min($kw), 'high' => max($kw), 'sessions' => count($kw)];
            }
        }

        return $points === [] ? null : new self($points, max(array_column($points, 'sessions')));
    }

    /**
     * The learned curve, and the entered one outside its range.
     *
     * @param  'kw'|'low'|'high'  $which  the median, or an end of the spread
     */
    public function over(?Curve $entered, string $which = 'kw'): Curve
    {
        $learned = array_map(static fn (array $p): array => [$p['soc'], $p[$which]], $this->points);
        [$from, $to] = [$learned[0][0], $learned[count($learned) - 1][0]];
        $kept = [];
        foreach ($entered->soc ?? [] as $i => $soc) {
            if ($soc < $from - CarPace::BIN_PERCENT || $soc > $to + CarPace::BIN_PERCENT) {
                $kept[] = [$soc, $entered->value[$i] ?? 0.0];
            }
        }
        $points = [...$kept, ...$learned];
        usort($points, static fn (array $a, array $b): int => $a[0] <=> $b[0]);

        return Curve::through($points);
    }
}
