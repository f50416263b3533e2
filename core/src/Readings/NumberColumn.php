<?php

declare(strict_types=1);

namespace Harmozon\Core\Readings;

use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Json\Node;
use Harmozon\Core\Json\Range;
use Harmozon\Core\Readings\Foreign\ColumnMap;
use Harmozon\Core\Readings\Foreign\ReadingUnit;
use Harmozon\Core\Words\Message;

/** A column of a readings file that holds numbers. */
final readonly class NumberColumn
{
    /** What instruments write when they have no value. */
    private const EMPTY = '/^(?:-{1,3}|–|—|n\/?a|nan|null|none)?$/iu';

    /** Thousands separated by a space or an apostrophe, which are never decimal separators. */
    private const GROUPED = '/^[+-]?\d{1,3}(?:[ \x{A0}\x{2009}\x{202F}\'’]\d{3})+(?:[.,]\d+)?$/u';

    /** Both separators in one number: the last is the decimal one. */
    private const BOTH_SIGNS = '/^[+-]?\d{1,3}(?:(?:\.\d{3})+,|(?:,\d{3})+\.)\d+$/';

    /** A number with its unit behind it: `402 V`, `45%`. */
    private const WITH_UNIT = '/^([+-]?[\d.,\x{A0}\x{2009}\x{202F}\'’ ]*\d)\s*([^\d\s].{0,10})$/u';

    /** Conversion from the written to the stored value: a factor, then an offset. */
    private float $factor;

    private float $offset;

    public string $name;

    /**
     * @param  ColumnMap  $map  what it holds, and in which unit
     * @param  NumberSigns  $signs  of the file
     */
    public function __construct(public ColumnMap $map, public int $position, private Range $range, private NumberSigns $signs)
    {
        [$this->name, $this->factor, $this->offset] = [$map->field, $map->factor(), $map->offset()];
    }

    /** Whether a written figure is plausible for the column. */
    public function mayHold(float $written): bool
    {
        $value = $written * $this->factor + $this->offset;

        return $value >= $this->range->least && $value <= $this->range->most;
    }

    /** @return array{string, ReadingUnit}|null a figure and the unit behind it; null where it is not written so */
    public static function apart(string $text): ?array
    {
        $unit = preg_match(self::WITH_UNIT, $text, $m) === 1 ? ReadingUnit::written($m[2]) : null;

        return $unit === null ? null : [trim($m[1] ?? ''), $unit];
    }

    public static function isEmpty(string $text): bool
    {
        return $text === '' || ! is_numeric($text) && preg_match(self::EMPTY, $text) === 1;
    }

    /** Removes thousands separators, where they can be nothing else. */
    public static function ungrouped(string $text): string
    {
        if (preg_match(self::GROUPED, $text) === 1) {
            return (string) preg_replace('/[ \x{A0}\x{2009}\x{202F}\'’]/u', '', $text);
        }
        if (preg_match(self::BOTH_SIGNS, $text) === 1) {
            return str_replace(strrpos($text, ',') > strrpos($text, '.') ? '.' : ',', '', $text);
        }

        return $text;
    }

    /** A number as it will most likely be read, before it is settled which sign stands before the decimals. */
    public static function figure(string $cell): ?float
    {
        $plain = str_replace(',', '.', self::ungrouped(self::apart($cell)[0] ?? $cell));

        return is_numeric($plain) ? (float) $plain : null;
    }

    /**
     * The number in a cell that is not empty.
     *
     * @throws FieldError
     */
    public function read(string $text): float
    {
        $isPlain = is_numeric($text) && (! $this->signs->hasDecimalComma || ! str_contains($text, '.'));
        $plain = $isPlain ? $text : $this->signs->plain($this->position, $text);
        [$factor, $offset] = [$this->factor, $this->offset];
        if (! $isPlain && ! is_numeric($plain) && ($apart = self::apart($text)) !== null && $apart[1]->fits($this->name)) {
            // The unit beside the figure goes before that of the header; which way is charging stays.
            $plain = $this->signs->plain($this->position, $apart[0]);
            [$factor, $offset] = [($this->factor < 0 ? -1 : 1) * $apart[1]->factor(), $apart[1]->offset()];
        }
        $isConverted = $factor !== 1.0 || $offset !== 0.0;
        if ($isPlain || is_numeric($plain)) {
            $value = (float) $plain;
            if ($isConverted) {
                $value = $value * $factor + $offset;
            }
            if ($value >= $this->range->least && $value <= $this->range->most) {
                return $value;
            }
        }
        $quoted = mb_substr($text, 0, Node::LONGEST_QUOTE);

        throw FieldError::at($this->name, match (true) {
            ! mb_check_encoding($text, 'UTF-8') => Message::of('readings.not_utf8'),
            is_numeric($plain) && $isConverted => Message::of('readings.outside_as', value: $quoted, as: (string) round((float) $plain * $factor + $offset, 6), range: $this->range->message()),
            is_numeric($plain) => Message::of('field.outside', value: $quoted, range: $this->range->message()),
            default => Message::of('readings.not_number', text: $quoted),
        });
    }
}
