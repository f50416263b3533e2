<?php

declare(strict_types=1);

namespace Harmozon\Core\Record;

use Harmozon\Core\Chain\Conditions;
use Harmozon\Core\Equipment\Adapter;
use Harmozon\Core\Equipment\Quantity;
use Harmozon\Core\Fit\ChainAnswer;
use Harmozon\Core\Power\Efficiency;
use Harmozon\Core\Power\Limits;
use Harmozon\Core\Power\Link;
use Harmozon\Core\Power\Links;

/** Checks one session of one chain. Readings arrive as a stream; the judgement is available at any moment. */
final class Judge
{
    /** Instrument tolerance (share of the value). */
    public const DEFAULT_TOLERANCE = 0.01;

    private Meter $meter;

    /** @var list<Link> */
    private readonly array $links;

    /** The cabin's load on the car's side. */
    private readonly float $cabinKw;

    public function __construct(
        private readonly ChainAnswer $answer,
        Conditions $conditions,
        private readonly float $tolerance = self::DEFAULT_TOLERANCE,
    ) {
        $this->cabinKw = $conditions->cabin->kw;
        $chain = $answer->chain;
        $this->links = Links::of($chain, $answer->voltage, $conditions);
        $duties = [];
        foreach ($this->links as $link) {
            $duty = $link->heats() ? DutyMeter::of($link->now, $conditions->ambientC, $conditions->earlierUse->thetaOf($link->id), $tolerance) : null;
            if ($duty !== null) {
                $duties[$link->id] = $duty;
            }
        }
        $this->meter = new Meter(
            new ReadingCompleter($answer->voltage->plugV, $chain->phases()),
            new Plausibility(self::possibleKw($answer, $conditions), $chain->vehicle->pack->usableKwh, $chain->phases()),
            $duties,
        );
    }

    /** @return CompletedReading the reading with what follows from it */
    public function add(Reading $reading): CompletedReading
    {
        return $this->meter->add($reading);
    }

    /** A snapshot of the measurements so far, to continue from later. */
    public function remember(): string
    {
        return serialize($this->meter);
    }

    /** Continues from a snapshot by a judge of the same chain, conditions and code. */
    public function recall(string $memory): void
    {
        $meter = unserialize($memory);
        $this->meter = $meter instanceof Meter ? $meter : throw new \LogicException('no judge remembered this');
    }

    public function judgement(): Judgement
    {
        $measured = $this->meter->measured();
        $rows = (new PlateCheck($this->tolerance))->rows($this->links, $measured);
        $temperatures = $this->temperatures($measured);
        [$verdict, $findings] = (new VerdictRule($this->answer))->decide($measured, $rows, $temperatures);

        return new Judgement($verdict, $findings, $measured, $rows, $temperatures, $this->proven($measured), $this->impliedUsableKwh($measured));
    }

    /** The most power the weakest link could ever pass, at the session's highest voltage; null when nothing is known. */
    public static function possibleKw(ChainAnswer $answer, Conditions $conditions): ?float
    {
        $limits = Limits::ofChain($answer->chain, $answer->voltage, new Conditions($conditions->charge));
        if ($limits === null) {
            return null;
        }
        $kwPerAmp = $limits->plugV->highestBetween(0, 100) * $limits->phases / 1000;
        $possible = [
            ...($limits->leastA() === null ? [] : [$limits->leastA() * $kwPerAmp]),
            ...($limits->leastKw() === null ? [] : [$limits->leastKw()]),
            ...($limits->curve === null ? [] : [$limits->curve->kw->highestBetween(0, 100)]),
        ];

        return $possible === [] ? null : min($possible);
    }

    /** The most amps the weakest link could ever pass; null when no link's amps are known. */
    public static function possibleA(ChainAnswer $answer, Conditions $conditions): ?float
    {
        return Limits::ofChain($answer->chain, $answer->voltage, new Conditions($conditions->charge))?->leastA();
    }

    /** @return list<TemperatureRow> */
    private function temperatures(Measurements $measured): array
    {
        $adapter = $this->answer->chain->adapters[0] ?? null;
        $rows = [];
        foreach ($measured->temperatures->points() as $point) {
            $rows[] = TemperatureRow::of($point, $measured->temperatures->hottestC($point) ?? 0.0, $measured->temperatures->highestRiseK($point), $adapter);
        }

        return $rows;
    }

    /** @return list<Proven> */
    private function proven(Measurements $measured): array
    {
        $peakA = $measured->peak(Quantity::Amps)?->value;

        return array_map(static fn (Adapter $adapter): Proven => new Proven(
            $adapter->id,
            $measured->means->tenMinA === null || $adapter->rating->plate->continuousA === null ? null : $measured->means->tenMinA / $adapter->rating->plate->continuousA,
            $peakA === null || ! $adapter->rating->plate->hasBoost() || $adapter->rating->plate->boostA === null ? null : $peakA / $adapter->rating->plate->boostA,
        ), $this->answer->chain->adapters);
    }

    private function impliedUsableKwh(Measurements $measured): ?float
    {
        $gained = $measured->energy->socGained();
        $flowedH = max(0.0, ($measured->count->lastTs ?? 0.0) - ($measured->course->firstFlowS() ?? INF)) / 3600;

        return $measured->energy->kwh === null || $gained === null || $gained < 1
            ? null
            : ($measured->energy->kwh * Efficiency::of($this->answer->chain, $this->answer->voltage) - $this->cabinKw * $flowedH) / ($gained / 100);
    }
}
