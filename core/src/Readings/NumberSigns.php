<?php

declare(strict_types=1);

namespace Harmozon\Core\Readings;

/**
 * Finds the decimal and thousands separators of a readings file. `12.5` is clear, so are `1.234,5` and `1.234.567`;
 * `1.234` alone isn't. Each column decides for itself; where it is unclear, the others decide.
 */
final class NumberSigns
{
    private const POINT = 1;

    private const COMMA = 2;

    /** A point or a comma that may be either separator. */
    private const EITHER_POINT = 4;

    private const EITHER_COMMA = 8;

    /** Whole numbers from 1 to 999, and from 1000 on, without a separator. */
    private const SMALL = 16;

    private const LARGE = 32;

    /** After this many rows an undecided column is read like the others. */
    private const ENOUGH_ROWS = 1000;

    private const GROUPED_BY_POINT = '/^[+-]?[1-9]\d{0,2}(?:\.\d{3})+$/';

    private const GROUPED_BY_COMMA = '/^[+-]?[1-9]\d{0,2}(?:,\d{3})+$/';

    /** @var array<int, int> what was seen, by the position of the column */
    private array $seen = [];

    /** @var array<int, '.'|','> by the position of the column, once it is known */
    private array $decimal = [];

    /** @var array<int, string> a cell that may be either, of a column that has not told */
    private array $open = [];

    private int $seenInAll;

    /** Rows examined. */
    private int $rows = 0;

    private bool $isSettled = false;

    /** Whether any column uses a decimal comma: a point may then separate thousands. */
    public bool $hasDecimalComma = false;

    /**
     * @param  bool  $mayBeComma  whether a comma may stand for the decimal point where nothing tells
     * @param  '.'|','|null  $told  the sign of the decimals, by a mapping; the other one then stands between thousands
     * @param  string|null  $groups  what stands between thousands, by a mapping; null: not told
     */
    private function __construct(private readonly bool $mayBeComma, private readonly ?string $told, private readonly ?string $groups = null)
    {
        // Where commas stand between the cells, a point is that of the decimals, until a quoted column says otherwise.
        $this->seenInAll = $mayBeComma ? 0 : self::POINT;
        $this->hasDecimalComma = $told === ',';
    }

    public static function between(string $delimiter): self
    {
        return new self($delimiter !== ',', null);
    }

    /**
     * @param  '.'|','  $decimal
     * @param  string|null  $groups  what stands between thousands; empty: nothing; null: the other sign may
     */
    public static function told(string $decimal, ?string $groups): self
    {
        return new self($decimal === ',', $decimal, $groups);
    }

    /**
     * @param  array<string, NumberColumn>  $columns
     * @param  list<string>  $cells  of one row
     */
    public function look(array $columns, array $cells): void
    {
        if ($this->told !== null) {
            return;
        }
        if (++$this->rows > self::ENOUGH_ROWS && $this->open === [] && $this->decimal() !== null) {
            $this->isSettled = true;

            return;
        }
        foreach ($columns as $column) {
            $at = $column->position;
            $text = $cells[$at] ?? '';
            if (isset($this->decimal[$at]) || $text === '' || (! $this->mayBeComma && ! str_contains($text, ','))) {
                continue;
            }
            $seen = $this->seen[$at] ?? 0;
            if (($seen & (self::SMALL | self::LARGE)) === (self::SMALL | self::LARGE) && strpbrk($text, '.,') === false) {
                continue;
            }
            $what = self::what($text, $column);
            if ($seen === ($seen | $what) && ! isset($this->open[$at])) {
                continue;
            }
            $this->seen[$at] = $seen | $what;
            $this->seenInAll |= $what & (self::POINT | self::COMMA);
            if (($what & (self::EITHER_POINT | self::EITHER_COMMA)) !== 0) {
                $this->open[$at] = $text;
            }
            $this->close();
        }
    }

    /** Whether no further row can change the result. */
    public function isSettled(): bool
    {
        return $this->isSettled || $this->told !== null;
    }

    /** Whether a number was seen that may be either, so that more rows are needed. */
    public function isOpen(): bool
    {
        return $this->open !== [];
    }

    /** At the end of the rows: whole numbers below or above 1000 without a separator decide an ambiguous one. */
    public function conclude(): void
    {
        foreach (array_keys($this->open) as $at) {
            $seen = $this->seen[$at] ?? 0;
            $sign = ($seen & self::EITHER_POINT) !== 0 ? '.' : ',';
            $hasBoth = ($seen & self::EITHER_POINT) !== 0 && ($seen & self::EITHER_COMMA) !== 0;
            if ($hasBoth || ($seen & (self::SMALL | self::LARGE)) === 0) {
                continue;
            }
            $this->decimal[$at] = ($seen & self::LARGE) !== 0 ? $sign : self::other($sign);
            $this->hasDecimalComma = $this->hasDecimalComma || $this->decimal[$at] === ',';
            unset($this->open[$at]);
        }
    }

    /** @return array{int, string}|null position and a cell of a column that nothing has told of */
    public function unsure(): ?array
    {
        $at = array_key_first($this->open);

        return $at === null ? null : [$at, $this->open[$at]];
    }

    /** The decimal separator of all clear columns; null where none is clear, or they differ. */
    public function decimal(): ?string
    {
        return $this->told ?? match ($this->seenInAll & (self::POINT | self::COMMA)) {
            self::POINT => '.',
            self::COMMA => ',',
            default => null,
        };
    }

    /** A number as PHP reads it, where it is one. */
    public function plain(int $position, string $text): string
    {
        $decimal = $this->told ?? $this->decimal[$position] ?? ($this->isSettled ? $this->decimal() : null);
        if (is_numeric($text)) {
            return $decimal === ',' && $this->isGroupedBy('.', $text) ? str_replace('.', '', $text) : $text;
        }
        if ($decimal === ',' && is_numeric($plain = str_replace(',', '.', $text))) {
            return $plain;
        }
        $plain = NumberColumn::ungrouped($text);
        if ($plain !== $text) {
            return str_replace(',', '.', $plain);
        }
        if (! str_contains($text, ',')) {
            return $this->isGroupedBy('.', $text) ? str_replace('.', '', $text) : $text;
        }
        if ($decimal === '.' || substr_count($text, ',') > 1) {
            return $this->isGroupedBy(',', $text) ? str_replace(',', '', $text) : $text;
        }

        return $decimal === ',' || $this->mayBeComma ? str_replace(',', '.', $text) : $text;
    }

    private function isGroupedBy(string $sign, string $text): bool
    {
        return ($this->groups === null || $this->groups === $sign) && preg_match($sign === '.' ? self::GROUPED_BY_POINT : self::GROUPED_BY_COMMA, $text) === 1;
    }

    private static function what(string $text, NumberColumn $column): int
    {
        if (preg_match('/^[+-]?(\d+(?:[.,]\d+)*)/', $text, $m) !== 1) {
            return 0;
        }
        $number = $m[1];
        [$point, $comma] = [strrpos($number, '.'), strrpos($number, ',')];
        if ($point === false && $comma === false) {
            return match (true) {
                (float) $number >= 1000.0 => self::LARGE,
                (float) $number > 0.0 => self::SMALL,
                default => 0,
            };
        }
        if ($point !== false && $comma !== false) {
            return $point > $comma ? self::POINT : self::COMMA;
        }
        $sign = $point === false ? ',' : '.';
        if (substr_count($number, $sign) > 1) {
            return $sign === '.' ? self::COMMA : self::POINT;
        }
        [$whole, $behind] = explode($sign, $number);
        $isGroup = strlen($behind) === 3 && strlen($whole) <= 3 && $whole[0] !== '0' && $column->mayHold((float) ($whole.$behind));

        return match (true) {
            $isGroup => $sign === '.' ? self::EITHER_POINT : self::EITHER_COMMA,
            default => $sign === '.' ? self::POINT : self::COMMA,
        };
    }

    /** Records the result. */
    private function close(): void
    {
        foreach ($this->seen as $at => $seen) {
            if (isset($this->decimal[$at])) {
                continue;
            }
            $own = $seen & (self::POINT | self::COMMA);
            // A column that tells both has decimals of both: none of its signs stands between thousands.
            $told = $own !== 0 ? $own : (isset($this->open[$at]) ? $this->seenInAll : 0);
            if ($told === self::POINT || $told === self::COMMA) {
                $this->decimal[$at] = $told === self::POINT ? '.' : ',';
                $this->hasDecimalComma = $this->hasDecimalComma || $told === self::COMMA;
                unset($this->open[$at]);
            } elseif ($own !== 0) {
                unset($this->open[$at]);
            }
        }
    }

    /** @return '.'|',' */
    private static function other(string $sign): string
    {
        return $sign === '.' ? ',' : '.';
    }
}
