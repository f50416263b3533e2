<?php

declare(strict_types=1);

namespace Harmozon\Core\Json;

use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;

/** The span in which a quantity is physically believable. Wide on purpose: it catches wrong units, not odd cars. */
final readonly class Range
{
    private function __construct(public float $least, public float $most, private string $unit)
    {
    }

    /** Volts of any coupler known to the standards, with room above. */
    public static function volts(): self
    {
        return new self(1, 2000, 'V');
    }

    public static function amps(): self
    {
        return new self(0.1, 3000, 'A');
    }

    public static function kw(): self
    {
        return new self(0.01, 5000, 'kW');
    }

    public static function curveKw(): self
    {
        return new self(0, 5000, 'kW');
    }

    /** A station's metered energy, which may be 0. */
    public static function countedKwh(): self
    {
        return new self(0, 2000, 'kWh');
    }

    public static function kwh(): self
    {
        return new self(0.1, 2000, 'kWh');
    }

    public static function soc(): self
    {
        return new self(0, 100, '%');
    }

    /** A share in percent, such as a rate of VAT. */
    public static function ofHundred(): self
    {
        return new self(0, 100, '%');
    }

    public static function celsius(): self
    {
        return new self(-60, 250, '°C');
    }

    public static function minutes(): self
    {
        return new self(0.01, 1440, 'min');
    }

    public static function share(): self
    {
        return new self(0.01, 1, '');
    }

    public static function metres(): self
    {
        return new self(0, 50, 'm');
    }

    /** Weight of a piece that is held in the hand. */
    public static function grams(): self
    {
        return new self(1, 20_000, 'g');
    }

    /** Power that heats or cools a cabin. */
    public static function cabinKw(): self
    {
        return new self(0, 20, 'kW');
    }

    public static function heaterKw(): self
    {
        return new self(0, 50, 'kW');
    }

    public static function km(): self
    {
        return new self(0, 5000, 'km');
    }

    public static function kmPerKwh(): self
    {
        return new self(0.05, 30, 'km/kWh');
    }

    public static function heatLoad(): self
    {
        return new self(0, 5, '');
    }

    public static function graceMinutes(): self
    {
        return new self(0, 1440, 'min');
    }

    /** Up to a month; everything has cooled down long before. */
    public static function restMinutes(): self
    {
        return new self(0, 44_640, 'min');
    }

    /** Electrical readings may be 0: nothing flows. */
    public static function readVolts(): self
    {
        return new self(0, 2000, 'V');
    }

    public static function readAmps(): self
    {
        return new self(0, 3000, 'A');
    }

    public static function readKw(): self
    {
        return new self(0, 5000, 'kW');
    }

    /** A thermometer may be far off. What no sensor can show is refused; the rest is kept and flagged. */
    public static function readCelsius(): self
    {
        return new self(-273, 2000, '°C');
    }

    public static function watts(): self
    {
        return new self(10, 5_000_000, 'W');
    }

    public static function seconds(float $longestS): self
    {
        return new self(0, $longestS, 's');
    }

    /** False for infinity and not-a-number. */
    public function holds(float $value): bool
    {
        return $value >= $this->least && $value <= $this->most;
    }

    public function message(): Message
    {
        $span = ['least' => Amount::asGiven($this->least), 'most' => Amount::asGiven($this->most)];

        return $this->unit === '' ? Message::of('amount.range_bare', ...$span) : Message::of('amount.range', ...$span, unit: $this->unit);
    }
}
