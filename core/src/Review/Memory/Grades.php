<?php

declare(strict_types=1);

namespace Harmozon\Core\Review\Memory;

use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;

/** How good the forecasts of some sessions have been. */
final readonly class Grades
{
    /** The fewest forecasts from which a bias is shown. */
    private const FEWEST = 3;

    /** Forecasts are biased when the mean error is this share of the mean absolute error. */
    private const LEANS = 0.6;

    /** Smaller errors don't count (minutes). */
    private const LEAST_MINUTES = 0.5;

    private function __construct(public int $sessions, public float $meanMinutes, public float $leanMinutes, public float $meanKw, public float $biasKw)
    {
    }

    /** @param  list<array{minutes: float, measured_minutes: float, mean_error_kw: float, bias_kw: float}>  $grades */
    public static function of(array $grades): ?self
    {
        $n = count($grades);
        if ($n === 0) {
            return null;
        }
        $errors = array_map(static fn (array $g): float => $g['measured_minutes'] - $g['minutes'], $grades);

        return new self($n, array_sum(array_map(abs(...), $errors)) / $n, array_sum($errors) / $n, array_sum(array_column($grades, 'mean_error_kw')) / $n, array_sum(array_column($grades, 'bias_kw')) / $n);
    }

    public function message(): Message
    {
        $told = ['count' => Amount::count($this->sessions), 'minutes' => Amount::minutes($this->meanMinutes), 'kw' => Amount::kw($this->meanKw)];
        $leans = $this->sessions >= self::FEWEST && abs($this->leanMinutes) >= max(self::LEAST_MINUTES, self::LEANS * $this->meanMinutes);

        return match (true) {
            $leans && $this->leanMinutes > 0 => Message::of('grades.too_quick', count: $told['count'], minutes: $told['minutes'], kw: $told['kw'], lean: Amount::minutes($this->leanMinutes)),
            $leans => Message::of('grades.too_slow', count: $told['count'], minutes: $told['minutes'], kw: $told['kw'], lean: Amount::minutes(-$this->leanMinutes)),
            default => Message::of('grades.even', count: $told['count'], minutes: $told['minutes'], kw: $told['kw']),
        };
    }
}
