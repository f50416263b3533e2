<?php

declare(strict_types=1);

namespace Harmozon\Core\Words;

/** Figures as they stand in a sentence: with their unit, and no more digits than a plate would carry. */
final class Amount
{
    public static function volts(float $v): string
    {
        return self::trimmed($v, 0).' V';
    }

    public static function amps(float $a): string
    {
        return self::trimmed($a, $a < 100 ? 1 : 0).' A';
    }

    public static function kw(float $kw): string
    {
        return self::trimmed($kw, $kw < 100 ? 1 : 0).' kW';
    }

    public static function percent(float $percent): string
    {
        return self::trimmed($percent, 0).' %';
    }

    public static function minutes(float $minutes): string
    {
        return self::trimmed($minutes, $minutes < 10 ? 1 : 0).' min';
    }

    /** Minutes, or hours and minutes from two hours on. */
    public static function duration(float $minutes): string
    {
        $whole = (int) round($minutes);

        return $whole < 120 ? self::minutes($minutes) : sprintf('%d h %d min', intdiv($whole, 60), $whole % 60);
    }

    public static function metres(float $m): string
    {
        return self::trimmed($m, 1).' m';
    }

    public static function celsius(float $c): string
    {
        return self::trimmed($c, 1).' °C';
    }

    private static function trimmed(float $value, int $decimals): string
    {
        $text = number_format($value, $decimals, '.', '');

        return str_contains($text, '.') ? rtrim(rtrim($text, '0'), '.') : $text;
    }
}
