<?php

declare(strict_types=1);

namespace Harmozon\Core\Forecast;

/** When a session passes each multiple of 5 %, its end, and one step beyond; and what every 5 % took. */
final class FivePercentMarks
{
    private const SAME_SOC = 1e-6;

    /** Digits of a state of charge that tell one mark from another. */
    private const MARK_DIGITS = 4;

    /** @var array<string, array{soc: float, s: float, kwh: float}> by mark */
    private array $passed = [];

    /** The next mark; INF after the last. */
    private float $next;

    /** @var list<float> those behind it */
    private array $ahead;

    /** @param  float  $lastSoc  how far the walk goes for the sake of the next 5 % */
    public function __construct(private readonly float $fromSoc, private readonly float $endSoc, private readonly float $lastSoc)
    {
        $this->ahead = $this->marks();
        $this->next = $fromSoc;
    }

    /** @return list<float> states of charge at which a step must end, rising */
    public function marks(): array
    {
        $marks = [];
        foreach ([...$this->multiples(), $this->endSoc, $this->lastSoc] as $soc) {
            if ($soc > $this->fromSoc && $soc <= $this->lastSoc) {
                $marks[] = $soc;
            }
        }
        $marks = array_unique($marks);
        sort($marks);

        return $marks;
    }

    /** @param  float  $kwh  through the plug so far */
    public function pass(float $soc, float $tS, float $kwh): void
    {
        while ($soc >= $this->next - self::SAME_SOC) {
            $this->passed[self::key($this->next)] = ['soc' => $soc, 's' => $tS, 'kwh' => $kwh];
            $this->next = array_shift($this->ahead) ?? INF;
        }
    }

    /** @return list<NextFivePercent> from every multiple of 5 % below the end, and from the end on */
    public function marginal(): array
    {
        $nextFive = [];
        foreach (array_unique([...array_filter($this->multiples(), fn (float $s): bool => $s < $this->endSoc), $this->endSoc]) as $soc) {
            $from = $this->passed[self::key($soc)] ?? null;
            $to = $this->passed[self::key(min($soc + NextFivePercent::STEP_PERCENT, 100.0))] ?? null;
            if ($from !== null && $to !== null && $to['soc'] > $from['soc']) {
                $share = NextFivePercent::STEP_PERCENT / ($to['soc'] - $from['soc']);
                $nextFive[] = new NextFivePercent($soc, ($to['s'] - $from['s']) / 60 * $share, ($to['kwh'] - $from['kwh']) * $share);
            }
        }

        return $nextFive;
    }

    /** @return list<float> the multiples of 5 % in the walk */
    private function multiples(): array
    {
        $multiples = [];
        for ($soc = NextFivePercent::STEP_PERCENT * ceil($this->fromSoc / NextFivePercent::STEP_PERCENT); $soc <= $this->lastSoc; $soc += NextFivePercent::STEP_PERCENT) {
            $multiples[] = $soc;
        }

        return $multiples;
    }

    private static function key(float $soc): string
    {
        return (string) round($soc, self::MARK_DIGITS);
    }
}
