<?php

declare(strict_types=1);

namespace Harmozon\Core\Record;

use Harmozon\Core\Equipment\Curve;

/** Works out the third of V, A, kW from the other two, or from the pack's curve, and says which it did. */
final readonly class Completer
{
    /**
     * @param  Curve|null  $plugV  volts at the plug over state of charge; null when not known
     * @param  int  $phases  1 for DC
     */
    public function __construct(private ?Curve $plugV, private int $phases)
    {
    }

    public function complete(Reading $reading): Completed
    {
        $v = Value::measured($reading->volts);
        $a = Value::measured($reading->amps);
        $kw = Value::measured($reading->kw);

        return match (true) {
            $v !== null && $a !== null => new Completed($reading, $v, $a, $kw ?? Value::derived($this->kw($v->value, $a->value))),
            $v !== null && $kw !== null => new Completed($reading, $v, self::derivedOrNull($this->amps($kw->value, $v->value)), $kw),
            $a !== null && $kw !== null => new Completed($reading, self::derivedOrNull($this->volts($kw->value, $a->value)), $a, $kw),
            $reading->socPct !== null && $this->plugV !== null => $this->estimate($reading, $this->plugV->at($reading->socPct), $a, $kw),
            default => new Completed($reading, $v, $a, $kw),
        };
    }

    /** With only amps or only kW read, the pack's curve gives the volts; with neither, nothing is guessed. */
    private function estimate(Reading $reading, float $plugV, ?Value $a, ?Value $kw): Completed
    {
        if ($kw !== null) {
            $amps = $this->amps($kw->value, $plugV);

            return new Completed($reading, Value::estimated($plugV), $amps === null ? null : Value::estimated($amps), $kw);
        }
        if ($a !== null) {
            return new Completed($reading, Value::estimated($plugV), $a, Value::estimated($this->kw($plugV, $a->value)));
        }

        return new Completed($reading, Value::measured($reading->volts), null, null);
    }

    private function kw(float $volts, float $amps): float
    {
        return $volts * $amps * $this->phases / 1000;
    }

    private function amps(float $kw, float $volts): ?float
    {
        return $volts > 0 ? $kw * 1000 / $volts / $this->phases : ($kw > 0 ? null : 0.0);
    }

    private function volts(float $kw, float $amps): ?float
    {
        return $amps > 0 ? $kw * 1000 / $amps / $this->phases : null;
    }

    private static function derivedOrNull(?float $value): ?Value
    {
        return $value === null ? null : Value::derived($value);
    }
}
