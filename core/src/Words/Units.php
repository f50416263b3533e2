<?php

declare(strict_types=1);

namespace Harmozon\Core\Words;

/** The units for temperatures and lengths. Figures are stored in °C and metres. */
enum Units: string
{
    case Metric = 'metric';
    case Us = 'us';

    private const FAHRENHEIT_PER_KELVIN = 9 / 5;

    private const FAHRENHEIT_AT_0_C = 32.0;

    /** International foot (ISO 80000-3). */
    private const METRES_PER_FOOT = 0.3048;

    /** International mile. */
    private const KM_PER_MILE = 1.609344;

    /** @return array{float|null, string} the value and the sign it is told with */
    public function of(Amount $amount): array
    {
        return match (true) {
            $this === self::Metric => [$amount->value, $amount->unit->value],
            $amount->unit === Unit::Celsius => [self::line($amount->value, self::FAHRENHEIT_PER_KELVIN, self::FAHRENHEIT_AT_0_C), '°F'],
            $amount->unit === Unit::Kelvin => [self::line($amount->value, self::FAHRENHEIT_PER_KELVIN), '°F'],
            $amount->unit === Unit::Metres => [self::line($amount->value, 1 / self::METRES_PER_FOOT), 'ft'],
            $amount->unit === Unit::Kilometres => [self::line($amount->value, 1 / self::KM_PER_MILE), 'mi'],
            default => [$amount->value, $amount->unit->value],
        };
    }

    private static function line(?float $value, float $factor, float $at0 = 0.0): ?float
    {
        return $value === null ? null : $value * $factor + $at0;
    }
}
