<?php

declare(strict_types=1);

namespace App\Bench;

use Harmozon\Core\Words\Amount;

/** How long something took, run by run. */
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

    /** Of one run (s). */
    public static function once(callable $task): float
    {
        $start = hrtime(true);
        $task();

        return (hrtime(true) - $start) / 1e9;
    }

    /** @return array{median: Amount, p95: Amount, most: Amount} whole ms */
    public function told(): array
    {
        return ['median' => self::ms($this->median()), 'p95' => self::ms($this->at(0.95)), 'most' => self::ms($this->most())];
    }

    public function median(): float
    {
        return $this->seconds[intdiv(count($this->seconds), 2)];
    }

    public function least(): float
    {
        return $this->seconds[0];
    }

    public function most(): float
    {
        return $this->seconds[count($this->seconds) - 1];
    }

    /** Within which this share of the runs ended (s). */
    private function at(float $share): float
    {
        return $this->seconds[max(0, (int) ceil($share * count($this->seconds)) - 1)];
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

    public static function peakMegabytes(): Amount
    {
        return self::tenths(memory_get_peak_usage() / 1e6);
    }
}
