<?php

declare(strict_types=1);

namespace Harmozon\Core\Forecast;

use Harmozon\Core\Fit\ChainAnswer;
use Harmozon\Core\Power\BindingCode;
use Harmozon\Core\Power\HeatLink;
use Harmozon\Core\Power\LimitSet;
use Harmozon\Core\Words\Message;

/** Adds up the steps of a session: totals up to the target, and the minutes of every 5 % up to one step beyond it. */
final class StepTotals
{
    private const SAME_SOC = 1e-6;

    private float $plugKwh = 0.0;

    /** The charge up to which steps are computed, beyond the end too. */
    private float $allKwh = 0.0;

    private float $peakKw = 0.0;

    private float $cabinKwh = 0.0;

    /** @var array<string, float> seconds by binding code */
    private array $secondsByBinding = [];

    private ?Step $end = null;

    /** @var array<string, float> seconds since plugging in, by link id */
    private array $fullAtS = [];

    private readonly PointKeeper $keeper;

    private readonly NextStopWatch $nextStop;

    /**
     * @param  list<HeatLink>  $heat
     * @param  FivePercentMarks|null  $fives  null when nobody asks what 5 % take
     * @param  float  $cabinKw  what heats or cools the cabin, from the car's side
     * @param  AdapterWatch|null  $adapterWatch  null when nobody asks from when on an adapter would be passed
     */
    public function __construct(
        private readonly array $heat,
        private readonly float $endSoc,
        private readonly ?FivePercentMarks $fives,
        ?float $nextStopKw,
        private readonly ?AdapterWatch $adapterWatch = null,
        private readonly float $cabinKw = 0.0,
    ) {
        $this->keeper = new PointKeeper;
        $this->nextStop = new NextStopWatch($nextStopKw);
    }

    public function add(Step $step): void
    {
        $isFlowing = $step->binding !== BindingCode::Handshake;
        if ($this->fives !== null) {
            if ($isFlowing) {
                $this->fives->pass($step->soc, $step->tS, $this->allKwh);
            }
            $this->allKwh += $step->flow->plugKwh;
        }
        if ($this->end === null) {
            $this->addBeforeEnd($step, $isFlowing);
        }
    }

    private function addBeforeEnd(Step $step, bool $isFlowing): void
    {
        $isEnd = $step->lengthS <= 0.0 || ($isFlowing && $step->soc >= $this->endSoc - self::SAME_SOC);
        $this->nextStop->add($step);
        $this->keeper->add($step, $isEnd);
        if ($isEnd) {
            $this->end = $step;

            return;
        }
        $this->adapterWatch?->add($step);
        $this->plugKwh += $step->flow->plugKwh;
        $this->peakKw = max($this->peakKw, $step->flow->kw, $step->flow->endKw);
        if ($isFlowing) {
            $this->cabinKwh += $this->cabinKw * $step->lengthS / 3600;
            $code = $step->binding->value;
            $this->secondsByBinding[$code] = ($this->secondsByBinding[$code] ?? 0.0) + $step->lengthS;
            $this->watchHeat($step);
        }
    }

    /** Whether the target was reached, as far as the station goes. */
    public function isClosed(): bool
    {
        return $this->end !== null && $this->end->soc >= $this->endSoc - self::SAME_SOC;
    }

    /** @param  float  $efficiency  share of the plug's energy that reaches the car's side */
    public function totals(float $efficiency): ForecastTotals
    {
        $end = $this->end();

        return new ForecastTotals(
            minutes: $end->tS / 60,
            plugKwh: $this->plugKwh,
            packKwh: $this->plugKwh * $efficiency - $this->cabinKwh,
            peakKw: $this->peakKw,
            socEnd: $end->soc,
            minutesByBinding: array_map(static fn (float $seconds): float => $seconds / 60, $this->secondsByBinding),
            cabinKwh: $this->cabinKwh,
        );
    }

    private function end(): Step
    {
        return $this->end ?? throw new \LogicException('a walk ends with a step of no length');
    }

    /**
     * @param  float  $efficiency  share of the plug's energy that reaches the pack
     * @param  Message|null  $cutShort  why it ended before the target
     * @param  LimitSet|null  $car  what the vehicle alone would allow
     * @param  list<Message>  $notes
     * @param  CabinSaving|null  $saving  what switching the cabin off would save; null where it is off
     */
    public function forecast(ChainAnswer $answer, float $efficiency, ?Message $cutShort, ?LimitSet $car, array $notes, ?CabinSaving $saving = null): Forecast
    {
        $end = $this->end();

        return new Forecast(
            answer: $answer,
            totals: $this->totals($efficiency),
            cutShort: $cutShort,
            course: new ForecastCourse(
                points: $this->keeper->points,
                heat: array_map(fn (HeatLink $l): HeatReport => new HeatReport($l, $end->heat->theta[$l->linkId], isset($this->fullAtS[$l->linkId]) ? $this->fullAtS[$l->linkId] / 60 : null), $this->heat),
                nextFive: $this->fives?->marginal() ?? [],
            ),
            car: $car,
            advice: new ForecastAdvice($this->nextStop->goOnAtSoc, $this->adapterWatch?->passed, $notes, $saving),
        );
    }

    /** Notes when each link's boost is spent. */
    private function watchHeat(Step $step): void
    {
        foreach ($this->heat as $link) {
            if (! isset($this->fullAtS[$link->linkId]) && isset($step->heat->spent[$link->linkId])) {
                $this->fullAtS[$link->linkId] = $step->tS;
            }
        }
    }
}
