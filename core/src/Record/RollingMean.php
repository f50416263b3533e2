<?php

declare(strict_types=1);

namespace Harmozon\Core\Record;

/**
 * The highest time-weighted means over windows of fixed length, of a value that is linear between its readings. Exact:
 * a window may begin and end between readings. Readings are examined in batches, and only where a mean could be a new
 * highest. Keeps no more readings than the longest window plus two batches.
 */
final class RollingMean
{
    private const BATCH = 256;

    /** How many readings outside every window are kept before they are dropped together, so that moving the lists costs little. */
    private const MOST_UNUSED = 1024;

    /** @var list<float> times of the readings of this interval (s), rising */
    private array $tS = [];

    /** @var list<float> */
    private array $value = [];

    /** @var list<float> integral of the value up to each reading that was looked at */
    private array $integral = [];

    /** Readings not examined yet. */
    private int $fresh = 0;

    private float $lastS = -INF;

    /** Start of the interval. */
    private float $beganS = 0.0;

    /** The lowest value of the interval. */
    private float $lowest = INF;

    /** @var list<RollingWindow> */
    private readonly array $windows;

    public function __construct(float ...$windowsS)
    {
        $this->windows = array_map(static fn (float $s): RollingWindow => new RollingWindow($s), array_values($windowsS));
    }

    /** @return array{string, string, string, int, float, float, float, list<RollingWindow>} its lists as bytes: they are read again in a tenth of the time */
    public function __serialize(): array
    {
        return [pack('d*', ...$this->tS), pack('d*', ...$this->value), pack('d*', ...$this->integral), $this->fresh, $this->lastS, $this->beganS, $this->lowest, $this->windows];
    }

    /** @param  array{string, string, string, int, float, float, float, list<RollingWindow>}  $remembered */
    public function __unserialize(array $remembered): void
    {
        [$tS, $value, $integral, $this->fresh, $this->lastS, $this->beganS, $this->lowest, $this->windows] = $remembered;
        [$this->tS, $this->value, $this->integral] = [self::floats($tS), self::floats($value), self::floats($integral)];
    }

    /** @return list<float> */
    private static function floats(string $bytes): array
    {
        /** @var array<int, float>|false $floats */
        $floats = unpack('d*', $bytes);

        return $floats === false ? [] : array_values($floats);
    }

    /** @param  int  $window  its place among those asked for */
    public function highest(int $window = 0): ?float
    {
        $this->look();

        return $this->windows[$window]->highest;
    }

    /** Drops the readings so far; the next one begins a new interval. */
    public function interrupt(): void
    {
        $this->look();
        $this->tS = $this->value = $this->integral = [];
        $this->lastS = -INF;
    }

    /** A second reading at the same time is left out. */
    public function add(float $tS, float $value): void
    {
        if ($tS <= $this->lastS) {
            return;
        }
        $this->tS[] = $tS;
        $this->value[] = $value;
        $this->lastS = $tS;
        if (++$this->fresh === self::BATCH) {
            $this->look();
        }
    }

    /** Examines the new readings. */
    private function look(): void
    {
        if ($this->fresh === 0) {
            return;
        }
        $first = max(1, count($this->tS) - $this->fresh);
        if ($this->integral === []) {
            $this->begin();
        }
        $this->fresh = 0;
        $fresh = array_slice($this->value, $first - 1);
        if ($fresh === []) {
            return;
        }
        $this->lowest = min($this->lowest, ...$fresh);
        $this->integrate($first);
        foreach ($this->windows as $window) {
            $window->pass($this->tS, $this->value, $this->integral, $first, $this->beganS, $this->lowest, max($fresh));
        }
        if (count($this->tS) > self::MOST_UNUSED) {
            $this->drop();
        }
    }

    private function begin(): void
    {
        $this->integral = [0.0];
        $this->beganS = $this->tS[0];
        $this->lowest = INF;
        foreach ($this->windows as $window) {
            $window->begin();
        }
    }

    /** @param  int<1, max>  $first */
    private function integrate(int $first): void
    {
        [$tS, $value, $integral] = [$this->tS, $this->value, $this->integral];
        $this->integral = [];
        $sum = $integral[$first - 1];
        for ($i = $first, $count = count($tS); $i < $count; $i++) {
            $sum += ($value[$i - 1] + $value[$i]) / 2 * ($tS[$i] - $tS[$i - 1]);
            $integral[] = $sum;
        }
        $this->integral = $integral;
    }

    private function drop(): void
    {
        $unused = PHP_INT_MAX;
        foreach ($this->windows as $window) {
            $unused = min($unused, $window->unused($this->tS));
        }
        $this->tS = array_slice($this->tS, $unused);
        $this->value = array_slice($this->value, $unused);
        $this->integral = array_slice($this->integral, $unused);
        foreach ($this->windows as $window) {
            $window->forget($unused);
        }
    }
}
