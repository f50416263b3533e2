<?php

declare(strict_types=1);

namespace Harmozon\Core\Review;

use Harmozon\Core\Chain\Conditions;
use Harmozon\Core\Fit\ChainAnswer;
use Harmozon\Core\Forecast\Forecast;
use Harmozon\Core\Forecast\Forecaster;
use Harmozon\Core\Forecast\Step;
use Harmozon\Core\Power\BindingCode;
use Harmozon\Core\Power\Efficiency;
use Harmozon\Core\Power\Limits;
use Harmozon\Core\Power\LimitSet;
use Harmozon\Core\Record\Course;
use Harmozon\Core\Record\Moment;
use Harmozon\Core\Record\Point;

/** What a session is compared with: the forecast for its own chain, from its own start and ambient temperature. */
final readonly class Reference
{
    private const SAME_SOC = 1e-6;

    /** @param  list<Step>  $flowing  beyond handshake and ramp, rising in charge */
    private function __construct(
        public ChainAnswer $answer,
        public Conditions $conditions,
        public Forecast $forecast,
        public ?LimitSet $limits,
        private ?LimitSet $car,
        private array $flowing,
    ) {
    }

    public static function of(ChainAnswer $answer, Conditions $conditions, Course $course): self
    {
        $own = self::own($conditions, $course->moments());
        $forecast = (new Forecaster(levelStepS: 1800.0, tellsMore: false))->forecast($answer, $own);
        $settled = array_values(array_filter($forecast->course->points, static fn (Step $s): bool => $s->binding !== BindingCode::Handshake && $s->binding !== BindingCode::Ramp));

        return new self($answer, $own, $forecast, Limits::ofChain($answer->chain, $answer->voltage, $own), Limits::ofVehicle($answer->chain, $own), $settled);
    }

    /**
     * @param  list<Moment>  $moments
     */
    private static function own(Conditions $conditions, array $moments): Conditions
    {
        $charges = array_values(array_filter(array_map(static fn (Moment $m): ?float => $m->soc, $moments), static fn (?float $soc): bool => $soc !== null));
        $air = array_values(array_filter(array_map(static fn (Moment $m): ?float => $m->celsius[Point::Ambient->value] ?? null, $moments), static fn (?float $c): bool => $c !== null));
        $own = $conditions->reachedFrom($charges[0] ?? $conditions->charge->socFrom, max([...$charges, $conditions->charge->socTo]));

        return $air === [] ? $own : $own->inAir($air[0]);
    }

    public function isGiven(): bool
    {
        return $this->flowing !== [];
    }

    /** Power at the plug at this charge; null without a forecast. */
    public function kwAt(float $soc): ?float
    {
        [$before, $after, $share] = $this->around($soc);

        return $before === null || $after === null ? null : $before->flow->kw + $share * ($after->flow->kw - $before->flow->kw);
    }

    /** What the car alone would take at this charge; null when that is not known. */
    public function carKwAt(float $soc): ?float
    {
        $step = $this->around($soc)[0];

        return $step === null ? null : $this->car?->kwThen($soc, [], $step->tS / 60, $step->heat->packC);
    }

    /** The forecast's step at this charge; null without a forecast. */
    public function stepAt(float $soc): ?Step
    {
        return $this->around($soc)[0];
    }

    /** Seconds from plugging in to this charge; null without a forecast. */
    public function secondsTo(float $soc): ?float
    {
        [$before, $after, $share] = $this->around($soc);

        return $before === null || $after === null ? null : $before->tS + $share * ($after->tS - $before->tS);
    }

    /** The charge (percent) from energy at the plug over a time; null when the battery is not known. */
    public function percentOf(float $plugKwh, float $seconds): ?float
    {
        $usableKwh = $this->answer->chain->vehicle->pack->usableKwh;

        return $usableKwh === null ? null : 100 * ($plugKwh * Efficiency::of($this->answer->chain, $this->answer->voltage) - $this->conditions->cabin->kw * $seconds / 3600) / $usableKwh;
    }

    /** @return array{Step|null, Step|null, float} the steps on both sides, and how far between them */
    private function around(float $soc): array
    {
        $last = count($this->flowing) - 1;
        if ($last < 0) {
            return [null, null, 0.0];
        }
        [$low, $high] = [0, $last];
        while ($high - $low > 1) {
            $middle = intdiv($low + $high, 2);
            if ($this->flowing[$middle]->soc <= $soc) {
                $low = $middle;
            } else {
                $high = $middle;
            }
        }
        [$before, $after] = [$this->flowing[$low], $this->flowing[$high]];
        $length = $after->soc - $before->soc;

        return [$before, $after, $length < self::SAME_SOC ? 0.0 : max(0.0, min(1.0, ($soc - $before->soc) / $length))];
    }
}
