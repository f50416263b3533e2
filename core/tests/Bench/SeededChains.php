<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Bench;

use Harmozon\Core\Case\FitCase;
use Harmozon\Core\Fit\ChainAnswer;
use Harmozon\Core\Tests\Cases;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Chains that charge, of every sort: AC and DC, with adapters and without, cold and hot, shared cabinets, step-up converters. */
final class SeededChains
{
    /** @return array{FitCase, ChainAnswer} */
    public static function chain(int $seed): array
    {
        $random = new Randomizer(new Mt19937($seed));
        $number = static fn (float $low, float $high): float => round($low + ($high - $low) * $random->getInt(0, 1000) / 1000, 1);
        $is = static fn (int $percent): bool => $random->getInt(1, 100) <= $percent;
        $from = $number(4, 40);
        $case = [
            'conditions' => ['soc_from' => $from, 'soc_to' => $number($from + 20, 92), 'ambient_c' => $number(-8, 40), 'pack_prepared' => $is(70)],
            'vehicle.pack.usable_kwh' => $number(35, 110),
        ];
        if ($is(25)) {
            $file = Cases::file(case: [...$case, 'vehicle.inlets.0.coupler' => 'type1', 'vehicle.inlets.0.ac.max_a' => $number(12, 48), 'outlet.supply.amps' => $number(10, 60), 'conditions.soc_to' => $from + 9], post: Cases::AC_POST);
        } else {
            $peak = $number(60, 260);
            $hasAdapter = $is(60);
            $isHigh = $is(35);
            $boost = $number(300, 520);
            $file = Cases::file(case: [
                ...$case,
                'vehicle.charge_curve_kw' => [[0, $peak * 0.6], [$number(5, 20), $peak], [$number(40, 55), $peak * 0.8], [80, $peak * 0.45], [100, 8]],
                'vehicle.inlets.0.dc.max_kw' => $peak + 20, 'vehicle.inlets.0.dc.max_a' => $number(350, 700),
                ...($isHigh ? ['vehicle.pack.voltage_by_soc' => Cases::HIGH_VOLTAGE['pack.voltage_by_soc'], 'vehicle.inlets.0.dc.max_v' => 1000] : []),
                ...($hasAdapter ? ['outlet.coupler' => 'j3400', 'adapters' => [Cases::changed(Cases::ADAPTER, ['holds_back' => $is(50) ? true : null, 'plate.continuous_a' => $number(150, 280), 'plate.boost_a' => $boost, 'plate.boost_minutes' => $number(4, 14)])]] : []),
                'outlet.max_a' => $number(200, 650), 'outlet.max_kw' => $number(50, 350),
                'outlet.cable' => $is(50) ? ['length_m' => 4, 'cooled' => true, 'continuous_a' => $number(400, 600)] : ['length_m' => 4, 'cooled' => false, 'continuous_a' => $number(150, 250), 'boost_a' => $number(300, 400), 'boost_minutes' => $number(5, 15)],
                ...($is(30) ? ['outlet.cabinet' => ['kw' => $number(80, 260), 'policy' => 'halves', 'partner_active' => $is(30)]] : []),
            ]);
        }
        $read = Cases::read($file);

        return [$read, $read->fitter()->answer($read->outlet, $read->vehicle)->best];
    }
}
