<?php

declare(strict_types=1);

namespace Harmozon\Core\Case;

use Harmozon\Core\Catalogue\CarKinds;
use Harmozon\Core\Catalogue\TypicalCurve;
use Harmozon\Core\Catalogue\TypicalFigure;
use Harmozon\Core\Equipment\Curve;
use Harmozon\Core\Equipment\Origin;

/**
 * A battery's voltage is entered as one figure: its nominal voltage, or the name of its class. The voltage over charge is then that
 * of the class, scaled to the nominal voltage; the figure was read, the curve is typical, with the spread of its class.
 */
final readonly class PackVolts
{
    /** The state of charge at which a battery of a class has its nominal voltage (per cent). */
    private const NOMINAL_SOC = 50.0;

    public function __construct(private CarKinds $kinds)
    {
    }

    /** The class whose nominal voltage is nearest. */
    public function classOf(float $nominalV): string
    {
        $distances = [];
        foreach ($this->kinds->classes as $class) {
            $distances[$class->id] = abs($class->volts->value->at(self::NOMINAL_SOC) - $nominalV);
        }
        asort($distances);

        return (string) array_key_first($distances);
    }

    /** @return TypicalCurve|null null where neither is told */
    public function curve(?float $nominalV, ?string $class): ?TypicalCurve
    {
        if ($nominalV === null) {
            return $this->kinds->class($class)?->volts;
        }
        $volts = $this->kinds->class($this->classOf($nominalV))?->volts;

        return $volts?->times(TypicalFigure::exactly($nominalV / $volts->value->at(self::NOMINAL_SOC)));
    }

    /**
     * A car's plate whose voltage was just entered as one figure, with the curve that follows from it. A curve that was
     * typed, before or with it, stays as typed.
     *
     * @param  array<string, mixed>  $before  the plate as it was; empty for a new one
     * @param  array<string, mixed>  $after  the plate as it is typed
     * @param  string  $day  ISO 8601
     * @return array<string, mixed>
     */
    public function completed(array $before, array $after, string $day): array
    {
        [$was, $is] = [self::pack($before), self::pack($after)];
        $isTold = self::told($is) !== [null, null] && self::told($is) !== self::told($was);
        $origins = is_array($after['origins'] ?? null) ? $after['origins'] : [];
        $isTyped = ($was['voltage_by_soc'] ?? null) !== null && ! self::isTypical($origins['pack.voltage_by_soc'] ?? null);
        if (! $isTold || $isTyped || json_encode($is['voltage_by_soc'] ?? null) !== json_encode($was['voltage_by_soc'] ?? null)) {
            return $after;
        }
        $curve = $this->curve(...self::told($is));
        if ($curve === null) {
            return $after;
        }

        return [
            ...$after,
            'pack' => [...$is, 'voltage_by_soc' => self::pairs($curve->value)],
            'origins' => [...$origins, 'pack.voltage_by_soc' => self::origin($curve, $day)],
        ];
    }

    private static function isTypical(mixed $origin): bool
    {
        return is_array($origin) && ($origin['origin'] ?? null) === Origin::Typical->value;
    }

    /** @return array<string, mixed> where a curve comes from that nobody has read */
    public static function origin(TypicalCurve $curve, string $day): array
    {
        return ['origin' => Origin::Typical->value, 'on' => $day, 'low' => self::pairs($curve->low), 'high' => self::pairs($curve->high)];
    }

    /** @return list<array{float, float}> */
    public static function pairs(Curve $curve): array
    {
        return array_map(static fn (float $soc, float $value): array => [$soc, round($value, 1)], $curve->soc, $curve->value);
    }

    /**
     * @param  array<string, mixed>  $plate
     * @return array<string, mixed>
     */
    private static function pack(array $plate): array
    {
        $pack = $plate['pack'] ?? null;

        return is_array($pack) ? array_combine(array_map(strval(...), array_keys($pack)), array_values($pack)) : [];
    }

    /**
     * @param  array<string, mixed>  $pack
     * @return array{float|null, string|null} nominal volts and class
     */
    private static function told(array $pack): array
    {
        $volts = $pack['nominal_v'] ?? null;
        $class = $pack['class'] ?? null;

        return [is_int($volts) || is_float($volts) ? (float) $volts : null, is_string($class) ? $class : null];
    }
}
