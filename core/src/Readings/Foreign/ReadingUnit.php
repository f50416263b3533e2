<?php

declare(strict_types=1);

namespace Harmozon\Core\Readings\Foreign;

/** The unit of a column in a foreign readings file, and its conversion to what is stored: V, A, kW, °C, s, %. */
enum ReadingUnit: string
{
    case MilliVolts = 'mV';
    case Volts = 'V';
    case KiloVolts = 'kV';
    case MilliAmps = 'mA';
    case Amps = 'A';
    case KiloAmps = 'kA';
    case Watts = 'W';
    case KiloWatts = 'kW';
    case MegaWatts = 'MW';
    case Celsius = 'degC';
    case Fahrenheit = 'degF';
    case Kelvin = 'K';
    case MilliSeconds = 'ms';
    case Seconds = 's';
    case Minutes = 'min';
    case Hours = 'h';
    case Percent = '%';
    case Share = 'share';

    private const ICE_K = 273.15;

    private const ICE_F = 32.0;

    private const C_PER_F = 5 / 9;

    public function factor(): float
    {
        return match ($this) {
            self::MilliVolts, self::MilliAmps, self::Watts, self::MilliSeconds => 0.001,
            self::KiloVolts, self::KiloAmps, self::MegaWatts => 1000.0,
            self::Fahrenheit => self::C_PER_F,
            self::Minutes => 60.0,
            self::Hours => 3600.0,
            self::Share => 100.0,
            default => 1.0,
        };
    }

    /** Offset, added after multiplying. */
    public function offset(): float
    {
        return match ($this) {
            self::Fahrenheit => -self::ICE_F * self::C_PER_F,
            self::Kelvin => -self::ICE_K,
            default => 0.0,
        };
    }

    /** Whether a field of a readings file can have this unit. */
    public function fits(string $field): bool
    {
        return in_array($this, self::of($field), true);
    }

    /** @return list<self> that a field can be counted in, its own first; none for text */
    public static function of(string $field): array
    {
        return match (true) {
            $field === 't_s' => [self::Seconds, self::MilliSeconds, self::Minutes, self::Hours],
            $field === 'soc_pct' => [self::Percent, self::Share],
            $field === 'volts' => [self::Volts, self::MilliVolts, self::KiloVolts],
            $field === 'amps' => [self::Amps, self::MilliAmps, self::KiloAmps],
            $field === 'kw' => [self::KiloWatts, self::Watts, self::MegaWatts],
            str_ends_with($field, '_c') => [self::Celsius, self::Fahrenheit, self::Kelvin],
            default => [],
        };
    }

    /** As written in headers, in any case and with or without a degree sign; null for anything else. */
    public static function written(string $text): ?self
    {
        $plain = str_replace(['°', 'º', ' ', '.'], '', $text);

        return match (true) {
            self::tryFrom($plain) !== null => self::from($plain),
            in_array($plain, ['C', '℃', 'celsius', 'Celsius', 'degc', 'DegC', 'degreesC', 'GradC', 'Grad', 'gradi'], true) => self::Celsius,
            in_array($plain, ['F', '℉', 'fahrenheit', 'Fahrenheit', 'degf', 'DegF', 'degreesF'], true) => self::Fahrenheit,
            in_array(strtolower($plain), ['kelvin'], true) => self::Kelvin,
            in_array(strtolower($plain), ['ms', 'msec', 'millis', 'milliseconds', 'millisekunden'], true) => self::MilliSeconds,
            in_array(strtolower($plain), ['sec', 'secs', 'seconds', 'sek', 'sekunden'], true) => self::Seconds,
            in_array(strtolower($plain), ['minutes', 'mins', 'minute', 'minuten'], true) => self::Minutes,
            in_array(strtolower($plain), ['hours', 'hrs', 'hour', 'std', 'stunden'], true) => self::Hours,
            in_array(strtolower($plain), ['pct', 'percent', 'prozent'], true) => self::Percent,
            in_array(strtolower($plain), ['v', 'volt', 'volts'], true) => self::Volts,
            in_array(strtolower($plain), ['a', 'amp', 'amps', 'ampere', 'amperes', 'ampères'], true) => self::Amps,
            in_array(strtolower($plain), ['kw', 'kilowatt', 'kilowatts'], true) => self::KiloWatts,
            in_array(strtolower($plain), ['mv', 'millivolt', 'millivolts'], true) => self::MilliVolts,
            in_array(strtolower($plain), ['ma', 'milliamp', 'milliamps', 'milliampere'], true) => self::MilliAmps,
            strtolower($plain) === 'kv' => self::KiloVolts,
            in_array(strtolower($plain), ['w', 'watt', 'watts'], true) => self::Watts,
            default => null,
        };
    }
}
