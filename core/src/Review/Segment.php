<?php

declare(strict_types=1);

namespace Harmozon\Core\Review;

/** A part of a session at one level. */
final readonly class Segment
{
    /** How long amps and kW must stay level to count as level (s). */
    private const LEVEL_S = 180.0;

    private const STEADY_SHARE = 0.8;

    /** Rounding of times (s) and of shares. */
    private const SAME_S = 0.5;

    private const SAME = 1e-9;

    /** The share of measured moments from which a segment counts as measured. */
    private const MEASURED_SHARE = 0.9;

    public float $fromS;

    public float $toS;

    /** The median; null when none was read. */
    public ?float $amps;

    public ?float $kw;

    /** Measured power as a share of the expected one, over the time; null without a reference. */
    public ?float $ratio;

    /** Measured power as a share of what the car alone would take. */
    public ?float $carRatio;

    public bool $hasLevelAmps;

    public bool $hasLevelKw;

    /** Whether most of it is level, even if it is short. */
    public bool $isSteadyAmps;

    public bool $isSteadyKw;

    public bool $isMeasured;

    /** Charge at its middle (%). */
    public ?float $soc;

    /** @param  non-empty-list<ReferencePoint>  $referencePoints */
    public function __construct(public array $referencePoints)
    {
        $this->fromS = $referencePoints[0]->moment->tS;
        $this->toS = $referencePoints[count($referencePoints) - 1]->untilS;
        $amps = Steadiness::of($referencePoints, static fn (ReferencePoint $m): ?float => $m->moment->amps);
        $kw = Steadiness::of($referencePoints, static fn (ReferencePoint $m): ?float => $m->moment->kw);
        $this->amps = $amps->level;
        $this->kw = $kw->level;
        $this->hasLevelAmps = $amps->longestS >= self::LEVEL_S - self::SAME_S;
        $this->hasLevelKw = $kw->longestS >= self::LEVEL_S - self::SAME_S;
        $this->isSteadyAmps = $this->amps > 0.0 && $amps->totalS >= self::STEADY_SHARE * $this->seconds();
        $this->isSteadyKw = $this->kw > 0.0 && $kw->totalS >= self::STEADY_SHARE * $this->seconds();
        $this->soc = $referencePoints[intdiv(count($referencePoints), 2)]->soc;
        $this->isMeasured = count(array_filter($referencePoints, static fn (ReferencePoint $m): bool => $m->moment->isMeasured)) >= self::MEASURED_SHARE * count($referencePoints);
        $this->ratio = self::ratioOf($referencePoints, static fn (ReferencePoint $m): ?float => $m->ratio() === null ? null : $m->expectedKw);
        $this->carRatio = self::ratioOf($referencePoints, static fn (ReferencePoint $m): ?float => $m->carKw);
    }

    public function seconds(): float
    {
        return $this->toS - $this->fromS;
    }

    public function flows(): bool
    {
        return ($this->kw ?? 0.0) > 0.0 || ($this->amps ?? 0.0) > 0.0;
    }

    /** Whether the power rises from its first to its last third by more than so much (share); of very few readings, towards what comes next. */
    public function rises(float $share, ?self $next): bool
    {
        return self::grows(array_map(static fn (ReferencePoint $m): ?float => $m->moment->kw, $this->referencePoints), $share, $next?->referencePoints[0]->moment->kw);
    }

    /** Whether the expected power does. */
    public function isExpectedToRise(float $share, ?self $next): bool
    {
        return self::grows(array_map(static fn (ReferencePoint $m): ?float => $m->expectedKw, $this->referencePoints), $share, $next?->referencePoints[0]->expectedKw);
    }

    /** The highest temperature read at a point (°C); null when none was. */
    public function hottestC(string $point): ?float
    {
        $read = array_filter(array_map(static fn (ReferencePoint $m): ?float => $m->moment->celsius[$point] ?? null, $this->referencePoints), static fn (?float $c): bool => $c !== null);

        return $read === [] ? null : max($read);
    }

    /**
     * @param  list<ReferencePoint>  $referencePoints
     * @param  \Closure(ReferencePoint): (float|null)  $of
     */
    private static function ratioOf(array $referencePoints, \Closure $of): ?float
    {
        $read = $expected = 0.0;
        foreach ($referencePoints as $referencePoint) {
            $kw = $of($referencePoint);
            if ($kw !== null && $referencePoint->moment->kw !== null) {
                $weight = max($referencePoint->seconds(), self::SAME);
                $read += $weight * $referencePoint->moment->kw;
                $expected += $weight * $kw;
            }
        }

        return $expected > 0 ? $read / $expected : null;
    }

    /** @param  list<float|null>  $values */
    private static function grows(array $values, float $share, ?float $next): bool
    {
        $known = array_values(array_filter($values, static fn (?float $v): bool => $v !== null));
        if (count($known) < 3) {
            $known = [...$known, ...($next === null ? [] : [$next])];
        }
        if (count($known) < 2) {
            return false;
        }
        $third = max(1, intdiv(count($known), 3));
        $mean = static fn (array $some): float => array_sum($some) / count($some);

        return $mean(array_slice($known, -$third)) > $mean(array_slice($known, 0, $third)) * (1 + $share);
    }
}
