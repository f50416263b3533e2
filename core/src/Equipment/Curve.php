<?php

declare(strict_types=1);

namespace Harmozon\Core\Equipment;

use Harmozon\Core\Words\Message;

/** A quantity over state of charge in percent: straight lines between its points, level beyond its ends. */
final readonly class Curve
{
    /**
     * @param  non-empty-list<float>  $soc  percent, strictly rising
     * @param  non-empty-list<float>  $value  one for each state of charge
     */
    private function __construct(public array $soc, public array $value)
    {
    }

    /**
     * @param  list<array{float, float}>  $points  pairs of percent and value
     *
     * @throws ImpossibleValue when there is no point, or the states of charge do not rise
     */
    public static function through(array $points): self
    {
        if ($points === []) {
            throw ImpossibleValue::of('', Message::of('value.curve_empty'));
        }
        $soc = array_column($points, 0);
        foreach ($soc as $i => $s) {
            if ($i > 0 && $s <= $soc[$i - 1]) {
                throw ImpossibleValue::of(sprintf('[%d][0]', $i), Message::of('value.curve_rises'));
            }
        }

        return new self($soc, array_column($points, 1));
    }

    public static function level(float $value): self
    {
        return new self([0.0], [$value]);
    }

    public function at(float $soc): float
    {
        $last = count($this->soc) - 1;
        if ($soc <= $this->soc[0]) {
            return $this->value[0];
        }
        for ($i = 1; $i <= $last; $i++) {
            if ($soc <= $this->soc[$i]) {
                $share = ($soc - $this->soc[$i - 1]) / ($this->soc[$i] - $this->soc[$i - 1]);

                return $this->value[$i - 1] + $share * ($this->value[$i] - $this->value[$i - 1]);
            }
        }

        return $this->value[$last];
    }

    /** The same curve, shifted up. */
    public function plus(float $more): self
    {
        return $more === 0.0 ? $this : new self($this->soc, array_map(static fn (float $v): float => $v + $more, $this->value));
    }

    public function times(float $factor): self
    {
        return new self($this->soc, array_map(static fn (float $v): float => $v * $factor, $this->value));
    }

    /** The first state of charge in [from, to] where the curve passes above the value; null when it never does. */
    public function firstAbove(float $value, float $from, float $to): ?float
    {
        $left = $from;
        foreach ([...$this->knotsBetween($from, $to), $to] as $right) {
            [$a, $b] = [$this->at($left), $this->at($right)];
            if ($a > $value) {
                return $left;
            }
            if ($b > $value) {
                return $left + ($value - $a) / ($b - $a) * ($right - $left);
            }
            $left = $right;
        }

        return null;
    }

    public function highestBetween(float $from, float $to): float
    {
        $highest = max($this->at($from), $this->at($to));
        foreach ($this->soc as $i => $soc) {
            if ($soc > $from && $soc < $to && $this->value[$i] > $highest) {
                $highest = $this->value[$i];
            }
        }

        return $highest;
    }

    public function lowest(): float
    {
        return min($this->value);
    }

    public function highest(): float
    {
        return max($this->value);
    }

    /** @return list<float> the curve's own points strictly inside the span */
    public function knotsBetween(float $from, float $to): array
    {
        $inside = [];
        foreach ($this->soc as $s) {
            if ($s > $from && $s < $to) {
                $inside[] = $s;
            }
        }

        return $inside;
    }
}
