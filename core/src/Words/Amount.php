<?php

declare(strict_types=1);

namespace Harmozon\Core\Words;

/**
 * A figure in a message, in SI units, with no more digits than a rating plate would carry. An unknown figure is shown as
 * unknown, never as zero.
 */
final readonly class Amount
{
    /** Decimals of a share, in answers and sentences alike, so that both round to the same figure. */
    public const SHARE_DECIMALS = 4;

    /**
     * @param  int|null  $decimals  null: as many as the value has, up to six digits
     * @param  bool  $isTrimmed  without zeros at the end of its decimals
     * @param  string|null  $exact  money's own decimal text, which no float may touch
     * @param  string|null  $currency  ISO 4217, for money
     */
    private function __construct(
        public ?float $value,
        public Unit $unit,
        public ?int $decimals,
        public bool $isTrimmed = true,
        public ?string $exact = null,
        public ?string $currency = null,
    ) {
    }

    /** Below this figure, with one decimal. */
    private static function finerBelow(int $many, ?float $value, Unit $unit): self
    {
        return new self($value, $unit, $value < $many ? 1 : 0);
    }

    public static function volts(?float $v): self
    {
        return new self($v, Unit::Volts, 0);
    }

    public static function amps(?float $a): self
    {
        return self::finerBelow(100, $a, Unit::Amps);
    }

    public static function kw(?float $kw): self
    {
        return self::finerBelow(100, $kw, Unit::KiloWatts);
    }

    public static function kwh(float $kwh): self
    {
        return new self($kwh, Unit::KiloWattHours, 1, isTrimmed: false);
    }

    public static function percent(?float $percent): self
    {
        return new self($percent, Unit::Percent, 0);
    }

    /** A share of one, in percent. */
    public static function ofHundred(?float $share): self
    {
        return self::percent($share === null ? null : 100 * round($share, self::SHARE_DECIMALS));
    }

    public static function minutes(?float $minutes): self
    {
        return self::finerBelow(10, $minutes, Unit::Minutes);
    }

    /** Minutes, or hours and minutes from two hours on. */
    public static function duration(?float $minutes): self
    {
        return self::finerBelow(10, $minutes, Unit::Duration);
    }

    public static function metres(?float $m): self
    {
        return new self($m, Unit::Metres, 1);
    }

    public static function grams(?float $g): self
    {
        return new self($g, Unit::Grams, 0);
    }

    /** Along the road. */
    public static function km(?float $km): self
    {
        return self::finerBelow(10, $km, Unit::Kilometres);
    }

    public static function celsius(?float $c): self
    {
        return new self($c, Unit::Celsius, 1);
    }

    /** A difference of two temperatures. */
    public static function kelvin(?float $k): self
    {
        return new self($k, Unit::Kelvin, 1);
    }

    /** To tenths, where the unit stands beside another figure. */
    public static function tenths(?float $figure): self
    {
        return new self($figure, Unit::One, 1);
    }

    /** A share to hundredths, such as a heat load. */
    public static function share(?float $share): self
    {
        return new self($share, Unit::One, 2, isTrimmed: false);
    }

    /** How many there are. */
    public static function count(int $count): self
    {
        return new self($count, Unit::Count, 0);
    }

    /** A figure as somebody entered it, not rounded like a rating. */
    public static function asGiven(?float $value, Unit $unit = Unit::One): self
    {
        return new self($value, $unit, null);
    }

    public static function money(string $decimal, string $currency): self
    {
        return new self((float) $decimal, Unit::Money, null, exact: $decimal, currency: $currency);
    }

    /** @return array{value: float|null, unit: string, decimals: int|null, trimmed: bool, exact: string|null, currency: string|null} */
    public function toArray(): array
    {
        return [
            'value' => $this->value, 'unit' => $this->unit->value, 'decimals' => $this->decimals,
            'trimmed' => $this->isTrimmed, 'exact' => $this->exact, 'currency' => $this->currency,
        ];
    }

    /** @param  mixed  $kept  what toArray() gave; anything else is no amount */
    public static function fromArray(mixed $kept): ?self
    {
        if (! is_array($kept) || ! is_string($kept['unit'] ?? null) || ! array_key_exists('value', $kept)) {
            return null;
        }
        [$unit, $value] = [Unit::tryFrom($kept['unit']), $kept['value']];
        if ($unit === null || ! ($value === null || is_numeric($value))) {
            return null;
        }
        $text = static fn (string $key): ?string => is_string($kept[$key] ?? null) ? $kept[$key] : null;

        return new self($value === null ? null : (float) $value, $unit, is_int($kept['decimals'] ?? null) ? $kept['decimals'] : null, ($kept['trimmed'] ?? true) === true, $text('exact'), $text('currency'));
    }
}
