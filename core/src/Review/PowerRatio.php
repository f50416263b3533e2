<?php

declare(strict_types=1);

namespace Harmozon\Core\Review;

use Random\Engine\Mt19937;
use Random\Randomizer;

/** How the power of one session stands to that of another over the same charge, with the interval that it lies in. */
final readonly class PowerRatio
{
    /** The interval is drawn from so many samples, of blocks of so many percent of charge, and holds this share of them. */
    private const SAMPLES = 1000;

    private const BLOCK_PERCENT = 5;

    private const HOLDS = 0.9;

    /** The same samples on every machine and every day. */
    private const SEED = 14;

    /** As good as none (share). */
    private const NO_DIFFERENCE = 0.03;

    /** Rounding of shares. */
    private const SAME = 1e-9;

    private function __construct(public float $value, public float $low, public float $high)
    {
    }

    /**
     * @param  non-empty-list<array{float, float}>  $pairs  kW with and without, percent by percent
     */
    public static function of(array $pairs): self
    {
        $blocks = array_chunk($pairs, self::BLOCK_PERCENT);
        $sums = array_map(static fn (array $block): array => [array_sum(array_column($block, 0)), array_sum(array_column($block, 1))], $blocks);
        $random = new Randomizer(new Mt19937(self::SEED));
        $last = count($sums) - 1;
        $ratios = [];
        for ($sample = 0; $sample < self::SAMPLES; $sample++) {
            $drawn = [];
            for ($i = 0; $i <= $last; $i++) {
                $drawn[] = $sums[$random->getInt(0, $last)];
            }
            $ratios[] = self::ratio($drawn);
        }
        sort($ratios);
        $outside = (int) round(self::SAMPLES * (1 - self::HOLDS) / 2);

        return new self(self::ratio($sums), $ratios[$outside], $ratios[self::SAMPLES - 1 - $outside]);
    }

    public function difference(): Difference
    {
        return match (true) {
            $this->low >= 1 - self::NO_DIFFERENCE - self::SAME && $this->high <= 1 + self::NO_DIFFERENCE + self::SAME => Difference::NoDifference,
            $this->high < 1 => Difference::Slower,
            $this->low > 1 => Difference::Faster,
            default => Difference::CannotTell,
        };
    }

    /** @param  list<array{float|int, float|int}>  $sums */
    private static function ratio(array $sums): float
    {
        $without = array_sum(array_column($sums, 1));

        return $without > 0 ? array_sum(array_column($sums, 0)) / $without : 1.0;
    }
}
