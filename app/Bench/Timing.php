<?php

declare(strict_types=1);

namespace App\Bench;

use Harmozon\Core\Words\Amount;

/** The duration of each run. */
final readonly class Timing
{
    /** @param  non-empty-list<float>  $seconds  sorted */
    private function __construct(private array $seconds)
    {
    }

    /** @param  callable(int): mixed  $task  told which run it is, from 0 */
    public static function of(int $runs, callable $task): self
    {
        $seconds = array_map(static fn (int $run): float => self::once(static fn (): mixed => $task($run)), range(0, max(1, $runs) - 1));
        sort($seconds);

        return new self($seconds);
    }

    /**
     * @param  list<float>  $seconds  in any order
     *
     * @throws \RuntimeException where there are none
     */
    public static function ofSeconds(array $seconds): self
    {
        if ($seconds === []) {
            throw new \RuntimeException('nobody was answered');
        }
        sort($seconds);

        return new self($seconds);
    }

    /** The duration of one run (s). */
    public static function once(callable $task): float
    {
        $start = hrtime(true);
        $task();

        return (hrtime(true) - $start) / 1e9;
    }

    /** Whole ms. */
    public function medianMs(): Amount
    {
        return self::ms($this->median());
    }

    /** 95th percentile in whole ms. */
    public function p95Ms(): Amount
    {
        return self::ms($this->p95());
    }

    public function mostMs(): Amount
    {
        return self::ms($this->most());
    }

    public function median(): float
    {
        return $this->seconds[intdiv(count($this->seconds), 2)];
    }

    /** 95th percentile (s). */
    public function p95(): float
    {
        return $this->seconds[max(0, (int) ceil(0.95 * count($this->seconds)) - 1)];
    }

    public function least(): float
    {
        return $this->seconds[0];
    }

    public function most(): float
    {
        return $this->seconds[count($this->seconds) - 1];
    }

    public static function ms(float $seconds): Amount
    {
        return self::whole($seconds * 1000);
    }

    public static function whole(float $value): Amount
    {
        return Amount::count((int) round($value));
    }

    public static function tenths(float $value): Amount
    {
        return Amount::asGiven(round($value, 1));
    }

    /** How many times as long, to a hundredth: fine enough for the limits that are promised. */
    public static function times(float $seconds, float $base): Amount
    {
        return Amount::asGiven(round($seconds / $base, 2));
    }

    public static function peakMegabytes(): Amount
    {
        return self::tenths(memory_get_peak_usage() / 1e6);
    }
}
