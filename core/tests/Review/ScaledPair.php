<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Review;

use Harmozon\Core\Record\Judge;
use Harmozon\Core\Record\Reading;
use Harmozon\Core\Review\Comparison;
use Harmozon\Core\Review\RecordedSession;
use Harmozon\Core\Tests\Cases;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Two sessions of one car of which the first has a known share of the power of the second, read with noise. */
final class ScaledPair
{
    private readonly Randomizer $random;

    public readonly float $scale;

    public function __construct(int $seed, private readonly int $everyS, private readonly float $noise, ?float $scale = null, private readonly int $decimals = 1)
    {
        $this->random = new Randomizer(new Mt19937($seed));
        $this->scale = $scale ?? 0.85 + 0.3 * $this->random->getInt(0, 1000) / 1000;
    }

    public function comparison(): Comparison
    {
        return Comparison::of($this->session($this->scale), $this->session(1.0));
    }

    private function session(float $scale): RecordedSession
    {
        $from = 10 + $this->random->getInt(0, 40) / 10;
        $to = 60 + $this->random->getInt(0, 200) / 10;
        $case = Cases::read(Cases::file(case: ['conditions.soc_from' => $from, 'conditions.soc_to' => $to]));
        $judge = new Judge($case->fitter()->answer($case->outlet, $case->vehicle)->best, $case->conditions);
        $soc = $from;
        for ($tS = 40; $soc < $to; $tS++) {
            $kw = $scale * ($soc < 40 ? 120.0 : 120.0 - 1.2 * ($soc - 40));
            if ($tS % $this->everyS === 0) {
                $read = $kw * (1 + $this->noise * $this->gauss());
                $volts = 320 + ($soc - 10) * 4 / 7;
                $judge->add(new Reading(1000 * $tS, round($soc, $this->decimals), round($volts, 1), round($read * 1000 / $volts, 1), round($read, 1)));
            }
            $soc += $kw / 3600 * 0.95 / 60 * 100;
        }

        return RecordedSession::of($case->fitter()->answer($case->outlet, $case->vehicle)->best, $case->conditions, $judge->judgement(), [], null);
    }

    private function gauss(): float
    {
        return array_sum(array_map(fn (): int => $this->random->getInt(-500_000, 500_000), range(1, 12))) / 1_000_000;
    }
}
