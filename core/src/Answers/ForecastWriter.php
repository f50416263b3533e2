<?php

declare(strict_types=1);

namespace Harmozon\Core\Answers;

use Harmozon\Core\Chain\AssumedFact;
use Harmozon\Core\Chain\Conditions;
use Harmozon\Core\Equipment\Vehicle;
use Harmozon\Core\Forecast\AdapterPassed;
use Harmozon\Core\Forecast\AdvertisedPower;
use Harmozon\Core\Forecast\Bill;
use Harmozon\Core\Forecast\Forecast;
use Harmozon\Core\Forecast\ForecastSpread;
use Harmozon\Core\Forecast\HeatReport;
use Harmozon\Core\Forecast\NextFivePercent;
use Harmozon\Core\Forecast\OpenFact;
use Harmozon\Core\Forecast\Ranking;
use Harmozon\Core\Forecast\RankOrder;
use Harmozon\Core\Forecast\Step;
use Harmozon\Core\Forecast\Stop;
use Harmozon\Core\Forecast\Usage;
use Harmozon\Core\Power\BindingCode;
use Harmozon\Core\Words\Voice;

/**
 * Writes forecasts with the field names of the contract. Energies are rounded to the watt-hour; amounts are computed before
 * that rounding.
 */
final readonly class ForecastWriter
{
    private FitWriter $fit;

    public function __construct(private Voice $voice)
    {
        $this->fit = new FitWriter($voice);
    }

    /** @return array<string, mixed> */
    public function forecast(Forecast $forecast, Conditions $conditions): array
    {
        $answer = $forecast->answer;
        $bill = Bill::ofForecast($forecast, $conditions);

        return [
            'outcome' => $answer->outcome->value,
            'chain' => $answer->chain->linkIds(),
            'minutes' => FitWriter::rounded($forecast->totals->minutes),
            'plug_kwh' => round($forecast->totals->plugKwh, 3),
            'pack_kwh' => round($forecast->totals->packKwh, 3),
            'cabin_kwh' => round($forecast->totals->cabinKwh, 3),
            'cabin_saves' => $forecast->advice->saving === null ? null : [
                'minutes' => FitWriter::rounded($forecast->advice->saving->minutes),
                'plug_kwh' => FitWriter::rounded($forecast->advice->saving->plugKwh, 3),
                'words' => $this->voice->say($forecast->advice->saving->message($forecast->totals->cabinKwh, $conditions->cabin->isAbout)),
            ],
            'mean_kw' => round($forecast->totals->meanKw(), 2),
            'peak_kw' => round($forecast->totals->peakKw, 2),
            'minutes_by_binding' => (object) array_map(static fn (float $m): float => round($m, 2), $forecast->totals->minutesByBinding),
            'stopped' => $forecast->cutShort === null ? null : $this->voice->say($forecast->cutShort),
            'stopped_code' => $forecast->cutShort?->code,
            'soc_end' => round($forecast->totals->socEnd, 2),
            'cost' => $bill === null ? null : $this->bill($bill),
            'theta_end' => (object) self::theta(array_column(array_map(static fn (HeatReport $h): array => [$h->link->linkId, $h->thetaEnd], $forecast->course->heat), 1, 0)),
            'marginal' => array_map(fn (NextFivePercent $m): array => $this->nextFive($m, $forecast, $conditions), $forecast->course->nextFive),
            'km' => FitWriter::rounded($forecast->km(), 1),
            'km_per_hour' => FitWriter::rounded($forecast->kmPerHour($forecast->totals->meanKw()), 1),
            'go_on_at_soc' => FitWriter::rounded($forecast->advice->goOnAtSoc, 1),
            'stop_at' => $forecast->advice->passed === null ? null : self::passed($forecast->advice->passed),
            'stop_words' => $forecast->advice->passed === null ? null : $this->voice->say($forecast->advice->passed->message()),
            'notes' => $this->voice->each($forecast->advice->notes),
            'note_codes' => FitWriter::codes($forecast->advice->notes),
            'soc_to' => round($conditions->reaching($answer->chain->vehicle)->charge->socTo, 2),
            'heat' => array_map($this->heat(...), $forecast->course->heat),
            'longest_binding' => $forecast->totals->longestBinding()[0] ?? null,
            'bindings' => (object) $this->bindings($forecast),
            'unread' => array_map($this->fit->ask(...), $answer->limits->unread ?? []),
            'asks' => array_map($this->fit->ask(...), $forecast->missing),
            'by_standard' => $this->fit->byStandard($answer),
            ...$this->spread(ForecastSpread::of($forecast, $conditions)),
            'points' => array_map(fn (Step $p): array => $this->point($p, $forecast), $forecast->course->points),
        ];
    }

    /** @return array<string, mixed> between what it lies, and what it rests on: the fact that matters most first */
    private function spread(?ForecastSpread $spread): array
    {
        if ($spread === null) {
            return ['about' => false, 'band' => null, 'rests_on' => []];
        }

        return [
            'about' => true,
            'band' => [
                'minutes' => FitWriter::band($spread->minutes),
                'peak_kw' => FitWriter::band($spread->peakKw),
                'plug_kwh' => FitWriter::band($spread->plugKwh, 3),
                'amount' => $spread->amounts,
            ],
            'rests_on' => array_map(fn (OpenFact $d): array => [
                ...$this->fit->assumed($d->assumed),
                'minutes_once_read' => FitWriter::band($d->minutesOnceRead),
                'words' => $this->voice->say($d->message($spread->minutes)),
            ], $spread->openFacts),
        ];
    }

    /** @return array<string, mixed> one stop of the list, with where it stands in each order and why */
    public function ranking(Ranking $ranking): array
    {
        $stops = $places = $reasons = $codes = [];
        foreach (RankOrder::cases() as $order) {
            foreach ($ranking->by($order) as $place => $stop) {
                $id = $stop->outletId();
                $stops[$id] = $stop;
                $places[$id][$order->value] = $place + 1;
                $told = $ranking->reasons($stop, $order);
                $reasons[$id][$order->value] = $this->voice->paragraph($told);
                $codes[$id][$order->value] = FitWriter::codes($told);
            }
        }

        return ['stops' => array_map(fn (Stop $s): array => [
            ...$this->stop($s),
            'places' => $places[$s->outletId()],
            'reasons' => $reasons[$s->outletId()],
            'reason_codes' => $codes[$s->outletId()],
        ], array_values($stops))];
    }

    /**
     * @param  iterable<Vehicle>  $vehicles
     * @return array<string, mixed>
     */
    public function sticker(AdvertisedPower $sticker, iterable $vehicles, Conditions $conditions): array
    {
        $cars = [];
        foreach ($vehicles as $vehicle) {
            $kw = $sticker->forCar($vehicle, $conditions);
            $cars[] = [
                'vehicle' => $vehicle->id,
                'least_v' => FitWriter::rounded($kw['leastV'] ?? null, 0),
                'most_v' => FitWriter::rounded($kw['mostV'] ?? null, 0),
                'least_kw' => FitWriter::rounded($kw['leastKw'] ?? null, 1),
                'most_kw' => FitWriter::rounded($kw['mostKw'] ?? null, 1),
                'takes_kw' => FitWriter::rounded($kw['takesKw'] ?? null, 1),
                'takes_is_about' => $kw['isAbout'] ?? false,
            ];
        }

        return [
            'outlet' => $sticker->outlet->id,
            'sticker_kw' => $sticker->outlet->rating->stickerKw,
            'at_volts' => array_map(static fn (float $v): array => ['v' => $v, 'kw' => FitWriter::rounded($sticker->plateKwAt($v), 1)], AdvertisedPower::VOLTS),
            'cars' => $cars,
        ];
    }

    /** @return array<string, array{words: string, label: string, is_vehicles_own: bool}> by code */
    private function bindings(Forecast $forecast): array
    {
        $bindings = [];
        foreach (array_keys($forecast->totals->minutesByBinding) as $value) {
            $code = BindingCode::from($value);
            $bindings[$value] = ['words' => $this->voice->say($code->message()), 'label' => $this->voice->say($code->label()), 'is_vehicles_own' => $code->isVehiclesOwn()];
        }

        return $bindings;
    }

    /** @return array<string, mixed> */
    private function bill(Bill $bill): array
    {
        return [
            'currency' => $bill->currency(),
            'amount' => $bill->amount(),
            'at_least' => $bill->isAtLeast(),
            'unread' => array_map($this->voice->say(...), $bill->unread()),
            'with_membership' => $bill->withMembership(),
            'without_membership' => $bill->withoutMembership(),
            'idle_fee' => $bill->idleFee(),
            'break_even_kwh_per_month' => $bill->breakEvenKwhPerMonth(),
            'break_even_sessions_per_month' => $bill->breakEvenSessionsPerMonth(),
        ];
    }

    /** @return array<string, mixed> */
    private function nextFive(NextFivePercent $nextFive, Forecast $forecast, Conditions $conditions): array
    {
        $meanKw = $nextFive->minutesPer5 > 0 ? $nextFive->plugKwhPer5 / $nextFive->minutesPer5 * 60 : 0.0;
        $bill = Bill::of($forecast->answer->chain->outlet->site->tariff, new Usage($nextFive->plugKwhPer5, [[$nextFive->minutesPer5, $meanKw, $meanKw]]), $conditions->visit->member);

        return [
            'soc' => round($nextFive->soc, 2),
            'minutes_per_5' => round($nextFive->minutesPer5, 2),
            'plug_kwh_per_5' => round($nextFive->plugKwhPer5, 3),
            'amount_per_5' => $bill?->runningAmount(),
        ];
    }

    /** @return array<string, mixed> */
    private static function passed(AdapterPassed $at): array
    {
        return [
            'adapter' => $at->adapter->id,
            'minute' => round($at->minute, 2),
            'soc' => round($at->soc, 2),
            'allowed_a' => round($at->allowedA, 1),
            'would_carry_a' => round($at->wouldCarryA, 1),
        ];
    }

    /** @return array<string, mixed> */
    private function heat(HeatReport $heat): array
    {
        $minutes = $heat->boostMinutesToday();

        return [
            'link' => $heat->link->linkId,
            'theta_start' => round($heat->link->theta, 3),
            'theta_end' => round($heat->thetaEnd, 3),
            'boost_a' => round($heat->link->duty->boostA, 1),
            'effective_a' => round($heat->link->duty->effectiveA, 1),
            'boost_minutes_today' => $minutes === null || $minutes === INF ? null : round($minutes, 1),
            'full_at_minute' => FitWriter::rounded($heat->fullAtMinute, 1),
        ];
    }

    /** @return array<string, mixed> */
    private function point(Step $point, Forecast $forecast): array
    {
        return [
            't_s' => round($point->tS, 2),
            'soc' => round($point->soc, 3),
            'v' => round($point->flow->volts, 1),
            'a' => round($point->flow->amps, 1),
            'kw' => round($point->flow->kw, 2),
            'car_kw' => FitWriter::rounded($forecast->car?->kwThen($point->soc, [], $point->tS / 60, $point->heat->packC)),
            'binding' => $point->binding->value,
            'binding_link' => $point->linkId === '' ? null : $point->linkId,
            'km_per_hour' => FitWriter::rounded($forecast->kmPerHour($point->flow->kw), 0),
            'theta' => (object) self::theta($point->heat->theta),
            'pack_c' => FitWriter::rounded($point->heat->packC, 1),
        ];
    }

    /** @return array<string, mixed> */
    private function stop(Stop $stop): array
    {
        $forecast = $stop->forecast;

        return [
            'outlet' => $stop->outletId(),
            'adapters' => $forecast->answer->chain->adapterIds(),
            'outcome' => $forecast->answer->outcome->value,
            'title' => $this->voice->begin($forecast->answer->word()),
            'minutes' => FitWriter::rounded($forecast->totals->minutes),
            'about' => $forecast->isGiven() && AssumedFact::ofSession($forecast->answer->chain) !== [],
            'plug_kwh' => round($forecast->totals->plugKwh, 1),
            'peak_kw' => round($forecast->totals->peakKw, 1),
            'soc_end' => round($forecast->totals->socEnd, 1),
            'stopped' => $forecast->cutShort === null ? null : $this->voice->say($forecast->cutShort),
            'stopped_code' => $forecast->cutShort?->code,
            'currency' => $stop->bill?->currency(),
            'amount' => $stop->price,
            'at_least' => $stop->price !== null && $stop->bill?->isAtLeast() === true,
            'risk' => $stop->risk,
        ];
    }

    /**
     * @param  array<array-key, float>  $theta
     * @return array<array-key, float>
     */
    private static function theta(array $theta): array
    {
        return array_map(static fn (float $t): float => round($t, 3), $theta);
    }
}
