<?php

declare(strict_types=1);

namespace Harmozon\Core\Review\Memory;

use Brick\Math\BigDecimal;

/** Energy, time and money of some sessions, currency by currency. */
final class Sums
{
    private int $sessions = 0;

    private float $kwh = 0.0;

    private float $minutes = 0.0;

    /** @var array<string, BigDecimal> by currency */
    private array $money = [];

    /**
     * @param  float|null  $kwh  null was not read, and adds nothing
     * @param  array{amount: string, currency: string}|null  $paid
     */
    public function add(?float $kwh, ?float $minutes, ?array $paid): void
    {
        $this->sessions++;
        $this->kwh += $kwh ?? 0.0;
        $this->minutes += $minutes ?? 0.0;
        if ($paid !== null) {
            $this->money[$paid['currency']] = ($this->money[$paid['currency']] ?? BigDecimal::zero())->plus($paid['amount']);
        }
    }

    /** @return array{sessions: int, kwh: float, hours: float, money: list<array{currency: string, amount: string}>} */
    public function told(): array
    {
        ksort($this->money);

        return [
            'sessions' => $this->sessions,
            'kwh' => round($this->kwh, 1),
            'hours' => round($this->minutes / 60, 2),
            'money' => array_map(static fn (string $currency, BigDecimal $amount): array => ['currency' => $currency, 'amount' => (string) $amount], array_keys($this->money), array_values($this->money)),
        ];
    }
}
