<?php

declare(strict_types=1);

namespace Harmozon\Core\Forecast;

/** Power and charge from one moment on while one limit applies: exact at any time. */
final readonly class PowerPath
{
    /** Exponents below this count as 0. */
    private const TINY = 1e-12;

    /** What reaches the pack (kW at the plug). */
    private float $netKw;

    /**
     * @param  float  $kw  power now
     * @param  float  $kwPerPercent  0 on a ramp
     * @param  float  $kwPerS  of a ramp; 0 otherwise
     * @param  float  $socPerKwS  percent that a kW at the plug brings in a second
     * @param  float  $drawKw  of the power, what the car takes for itself: it brings no charge
     */
    private function __construct(public float $kw, private float $kwPerPercent, private float $kwPerS, private float $socPerKwS, private float $drawKw)
    {
        $this->netKw = $kw - $drawKw;
    }

    /** The power rises with the time. */
    public static function ramp(float $kw, float $kwPerS, float $socPerKwS, float $drawKw = 0.0): self
    {
        return new self($kw, 0.0, $kwPerS, $socPerKwS, $drawKw);
    }

    /** The power is a straight line over the state of charge. */
    public static function line(float $kw, float $kwPerPercent, float $socPerKwS, float $drawKw = 0.0): self
    {
        return new self($kw, $kwPerPercent, 0.0, $socPerKwS, $drawKw);
    }

    public function kwAfter(float $seconds): float
    {
        return $this->drawKw + $this->netKw * exp($this->kwPerPercent * $this->socPerKwS * $seconds) + $this->kwPerS * $seconds;
    }

    /** Percent of charge gained. */
    public function percentAfter(float $seconds): float
    {
        $exponent = $this->kwPerPercent * $this->socPerKwS * $seconds;
        $kwS = abs($exponent) < self::TINY ? $this->netKw * $seconds : $this->netKw * expm1($exponent) / ($this->kwPerPercent * $this->socPerKwS);

        return $this->socPerKwS * ($kwS + $this->kwPerS * $seconds ** 2 / 2);
    }

    /** Seconds until so many percent are gained; INF when they never are. */
    public function secondsTo(float $percent): float
    {
        $kwS = $percent / $this->socPerKwS;
        if ($this->kwPerS > 0) {
            return (sqrt($this->netKw ** 2 + 2 * $this->kwPerS * $kwS) - $this->netKw) / $this->kwPerS;
        }
        if ($this->netKw <= 0.0) {
            return INF;
        }
        $share = $this->kwPerPercent * $percent / $this->netKw;

        return match (true) {
            abs($share) < self::TINY => $kwS / $this->netKw,
            $share <= -1 => INF,
            default => log1p($share) / ($this->kwPerPercent * $this->socPerKwS),
        };
    }
}
