<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Review;

use Harmozon\Core\Bench\Script;
use Harmozon\Core\Bench\StandIn;
use Harmozon\Core\Case\FitCase;
use Harmozon\Core\Record\Event;
use Harmozon\Core\Record\EventCode;
use Harmozon\Core\Record\Judge;
use Harmozon\Core\Record\Reading;
use Harmozon\Core\Review\Diagnosis;
use Harmozon\Core\Review\LimitedSegment;
use Harmozon\Core\Tests\Cases;
use Harmozon\Core\Tests\Say;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** A session that the stand-in acts out with a fault of a known kind, read at any interval and with any noise. */
final class Seeded
{
    /** Each with the cause that has to be found, beside the car's own pace. */
    public const KINDS = [
        'handshake' => 'handshake', 'dead cooling' => 'cooling_failed', 'boost of an adapter' => 'adapter_current', 'boost of a cable' => 'cable_current',
        'station amps' => 'station_current', 'station kW' => 'station_power', 'converter' => 'converter_power', 'sharing, noted' => 'sharing', 'sharing, not noted' => 'sharing',
        'cold, announced' => 'cold_pack', 'cold, not announced' => 'cold_pack', 'derated stall' => 'derated_stall', 'settling' => 'settling', "the car's taper" => 'vehicle_curve', 'a curve entered too low' => 'vehicle_curve',
    ];

    /** A segment of another cause that takes less than this share of the time is no matter. */
    private const BESIDE = 0.12;

    private readonly Randomizer $random;

    private FitCase $told;

    /** @var list<Reading> every second */
    private array $readings = [];

    /** @var list<Event> */
    private array $events = [];

    public function __construct(public readonly string $kind, private readonly int $seed)
    {
        $this->random = new Randomizer(new Mt19937($seed));
        $this->act();
    }

    public function diagnosis(int $everyS, float $noise): Diagnosis
    {
        $answer = $this->told->fitter()->answer($this->told->outlet, $this->told->vehicle)->best;
        $judge = new Judge($answer, $this->told->conditions);
        $random = new Randomizer(new Mt19937($this->seed + 1000 * $everyS + (int) (10_000 * $noise)));
        foreach ($this->readings as $reading) {
            if (intdiv($reading->tMs, 1000) % $everyS === 0) {
                $judge->add(self::noisy($reading, $noise, $random));
            }
        }

        return Diagnosis::of($answer, $this->told->conditions, $judge->judgement()->measured, $this->events);
    }

    /** When the neighbour came (s). */
    public function eventS(): float
    {
        return $this->events[0]->tMs / 1000;
    }

    /** Whether the cause is found, and no other takes a share of the time that matters. */
    public function isRight(Diagnosis $diagnosis): bool
    {
        $wanted = self::KINDS[$this->kind];
        $seconds = [];
        foreach ($diagnosis->heldBackBy as $held) {
            $cause = $held->finding->cause->value;
            $seconds[$cause] = ($seconds[$cause] ?? 0.0) + $held->toS - $held->fromS;
        }
        $total = array_sum($seconds);
        foreach ($seconds as $cause => $s) {
            $isOwn = $cause === 'vehicle_curve' || ($wanted === 'settling' && $cause === 'onboard_charger');
            if ($cause !== $wanted && ! $isOwn && $s > self::BESIDE * $total) {
                return false;
            }
        }

        // A handshake and a settling are short beside the session.
        return ($seconds[$wanted] ?? 0.0) > (in_array($wanted, ['handshake', 'settling'], true) ? 0.0 : self::BESIDE * $total);
    }

    public static function told(Diagnosis $diagnosis): string
    {
        return implode("\n", array_map(static fn (LimitedSegment $h): string => sprintf('%5.0f-%5.0f %s %s', $h->fromS, $h->toS, $h->finding->cause->value, Say::it($h->finding->evidence)), $diagnosis->heldBackBy));
    }

    /** Independent on amps and power, a tenth of it on volts. */
    private static function noisy(Reading $r, float $noise, Randomizer $random): Reading
    {
        if ($noise <= 0.0) {
            return $r;
        }
        // Of twelve even numbers the sum is near enough to a normal one.
        $gauss = static fn (): float => array_sum(array_map(static fn (): int => $random->getInt(-500_000, 500_000), range(1, 12))) / 1_000_000;
        $by = static fn (?float $value, float $sigma): ?float => $value === null ? null : round($value * (1 + $sigma * $gauss()), 1);

        return new Reading($r->tMs, $r->socPct, $by($r->volts, $noise / 10), $by($r->amps, $noise), $by($r->kw, $noise), $r->celsius, $r->source);
    }

    private function act(): void
    {
        $from = $this->number(5, 25);
        $peak = $this->number(120, 200);
        $car = ['soc_from' => $from, 'soc_to' => $this->number(75, 85), 'ambient_c' => $this->number(15, 28), 'pack_prepared' => true];
        $base = [
            'conditions' => $car, 'vehicle.pack.usable_kwh' => $this->number(55, 95), 'vehicle.inlets.0.dc.max_kw' => 400, 'vehicle.inlets.0.dc.max_a' => 700,
            'vehicle.charge_curve_kw' => [[0, $peak], [$this->number(25, 40), $peak], [60, $peak * 0.75], [80, $peak * 0.5], [100, 10]], 'outlet.max_a' => 900, 'outlet.cable.continuous_a' => 900,
        ];
        match ($this->kind) {
            'handshake' => $this->late($base, $this->number(150, 280)),
            'dead cooling' => $this->spliced($base, ['conditions.faults.cooling_failed' => true, 'outlet.cable.dry_a' => $this->number(70, 90)], ['outlet.cable.dry_a' => null], $this->number(95, 150)),
            'boost of an adapter' => $this->plain([...$base, 'outlet.coupler' => 'j3400', 'adapters' => [Cases::changed(Cases::ADAPTER, ['holds_back' => true, 'plate.continuous_a' => $this->number(180, 240), 'plate.boost_a' => $this->number(340, 420), 'plate.boost_minutes' => $this->number(5, 9)])], 'conditions.soc_to' => 80]),
            'boost of a cable' => $this->plain([...$base, 'outlet.cable' => ['length_m' => 4, 'cooled' => false, 'continuous_a' => $this->number(180, 240), 'boost_a' => $this->number(340, 420), 'boost_minutes' => $this->number(5, 9)]]),
            'station amps' => $this->plain([...$base, 'outlet.max_a' => $this->number(120, 200)]),
            'station kW' => $this->plain([...$base, 'outlet.max_kw' => $this->number(40, 75)]),
            'converter' => $this->plain([...$base, ...Cases::HIGH_VOLTAGE, 'vehicle.pack.voltage_by_soc' => [[0, 580], [10, 600], [80, 750], [100, 790]], 'vehicle.inlets.0.dc.max_v' => 1000, 'outlet.max_v' => 500, 'vehicle.inlets.0.dc.boost_converter' => ['max_kw' => $this->number(50, 80), 'max_input_a' => 400, 'input_v' => 400]]),
            'sharing, noted' => $this->shared($base, true),
            'sharing, not noted' => $this->shared($base, false),
            'cold, announced' => $this->plain([...$base, 'conditions.pack_prepared' => false, 'conditions.pack_c' => $this->number(-5, 8), 'conditions.ambient_c' => $this->number(-5, 8)]),
            'cold, not announced' => $this->plain([...$base, 'conditions.ambient_c' => $this->number(-5, 8)], ['conditions.pack_prepared' => false, 'conditions.pack_c' => $this->number(-5, 8), 'vehicle.pack.heater_kw' => $this->number(0, 8)]),
            'derated stall' => $this->plain($base, ['conditions.faults.derated_kw' => $this->number(30, 60)]),
            'settling' => $this->settling(),
            "the car's taper" => $this->plain($base),
            default => $this->plain($base, ['vehicle.charge_curve_kw' => array_map(fn (array $p): array => [$p[0], $p[1] * 1.35], $base['vehicle.charge_curve_kw'])]),
        };
    }

    private function number(float $low, float $high): float
    {
        return round($low + ($high - $low) * $this->random->getInt(0, 1000) / 1000, 1);
    }

    /**
     * @param  array<string, mixed>  $told
     * @param  array<string, mixed>  $real
     */
    private function plain(array $told, array $real = []): void
    {
        $this->told = Cases::read(Cases::file(case: $told));
        $this->readings = $this->acted([...$told, ...$real]);
    }

    /** @param  array<string, mixed>  $base */
    private function late(array $base, float $byS): void
    {
        $this->plain($base);
        $byS = (int) $byS;
        $waits = array_map(fn (int $s): Reading => new Reading(1000 * $s, $this->readings[0]->socPct, 0.0, 0.0, 0.0), range(0, $byS - 1));
        $this->readings = [...$waits, ...array_map(static fn (Reading $r): Reading => new Reading($r->tMs + 1000 * $byS, $r->socPct, $r->volts, $r->amps, $r->kw), $this->readings)];
    }

    /**
     * What happens first, and from so many seconds after the first current on what happens then.
     *
     * @param  array<string, mixed>  $base
     * @param  array<string, mixed>  $then
     * @param  array<string, mixed>  $told
     */
    private function spliced(array $base, array $then, array $told, float $afterS): void
    {
        $this->told = Cases::read(Cases::file(case: [...$base, ...$told]));
        $atS = 45 + (int) $afterS;
        $first = array_slice($this->acted($base), 0, $atS);
        $rest = array_values(array_filter($this->acted([...$base, ...$then, 'conditions.soc_from' => $first[count($first) - 1]->socPct]), static fn (Reading $r): bool => $r->tMs >= 60_000));
        $this->readings = [...$first, ...array_map(static fn (Reading $r): Reading => new Reading($r->tMs - 60_000 + 1000 * $atS, $r->socPct, $r->volts, $r->amps, $r->kw), $rest)];
    }

    /** @param  array<string, mixed>  $base */
    private function shared(array $base, bool $isNoted): void
    {
        // Alone, the cabinet has enough for the car.
        $cabinet = ['kw' => round($base['vehicle.charge_curve_kw'][0][1] * $this->number(1.05, 1.4), 1), 'policy' => 'halves', 'partner_active' => false];
        $minute = $isNoted ? $this->number(3, 9) : 0.0;
        $told = [...$base, 'outlet.cabinet' => $cabinet, 'outlet.max_kw' => $cabinet['kw']];
        $this->plain($told, $isNoted ? ['conditions.faults.neighbour_at_minute' => $minute] : ['outlet.cabinet' => [...$cabinet, 'partner_active' => true]]);
        $this->events = $isNoted ? [new Event(EventCode::NeighbourCame, (int) (60_000 * $minute))] : [];
    }

    private function settling(): void
    {
        $amps = $this->number(24, 44);
        $case = ['outlet' => [...Cases::AC_POST, 'supply' => ['volts' => 240, 'amps' => 48, 'phases' => 1]], 'vehicle.inlets.0.ac.max_a' => $amps, 'vehicle.inlets.0.ac.max_kw' => 11.5, 'conditions' => ['soc_from' => 40, 'soc_to' => 46, 'ambient_c' => 20]];
        $this->plain($case);
        $untilMs = (int) (60_000 * $this->number(3, 9));
        $this->readings = array_map(static fn (Reading $r): Reading => $r->tMs < $untilMs ? new Reading($r->tMs, $r->socPct, $r->volts, $r->amps === null ? null : round($r->amps * 0.5, 1), $r->kw === null ? null : round($r->kw * 0.5, 2)) : $r, $this->readings);
    }

    /**
     * @param  array<string, mixed>  $case
     * @return list<Reading>
     */
    private function acted(array $case): array
    {
        $acted = Cases::read(Cases::file(case: $case));
        $really = $acted->fitter()->answer($acted->outlet, $acted->vehicle)->best;

        return StandIn::noted($really->chain, $really->voltage, $acted->conditions, new Script($this->seed, 1))->readings;
    }
}
