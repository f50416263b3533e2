<?php

declare(strict_types=1);

namespace Harmozon\Core\Readings;

use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Json\Node;
use Harmozon\Core\Json\Range;
use Harmozon\Core\Words\Message;

/** A column of a readings file that holds numbers. */
final readonly class NumberColumn
{
    /** How instruments write that they have no value. */
    private const EMPTY = '/^(?:-{1,3}|–|—|n\/?a|nan|null|none)?$/iu';

    /** Thousands apart by a space or an apostrophe: no sign for decimals is one of those. */
    private const GROUPED = '/^[+-]?\d{1,3}(?:[ \x{A0}\x{2009}\x{202F}\'’]\d{3})+(?:[.,]\d+)?$/u';

    /** Both signs in one number: the last is that of the decimals. */
    private const BOTH_SIGNS = '/^[+-]?\d{1,3}(?:(?:\.\d{3})+,|(?:,\d{3})+\.)\d+$/';

    /**
     * @param  bool  $hasDecimalComma  a comma may stand for the decimal point
     * @param  float  $factor  and then $offset: from what is written to what is kept
     */
    public function __construct(private string $name, public int $position, private Range $range, private bool $hasDecimalComma, private float $factor = 1.0, private float $offset = 0.0)
    {
    }

    public static function isEmpty(string $text): bool
    {
        return $text === '' || ! is_numeric($text) && preg_match(self::EMPTY, $text) === 1;
    }

    /** A number without the signs between its thousands, where they can be nothing else. */
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

    /**
     * The number in a cell that is not empty.
     *
     * @throws FieldError
     */
    public function read(string $text): float
    {
        $plain = $this->hasDecimalComma ? str_replace(',', '.', $text) : $text;
        if (! is_numeric($plain) && self::ungrouped($text) !== $text) {
            // A comma behind thousands can be nothing but a decimal sign.
            $plain = str_replace(',', '.', self::ungrouped($text));
        }
        if (is_numeric($plain)) {
            $value = (float) $plain;
            if ($this->isConverted()) {
                $value = $value * $this->factor + $this->offset;
            }
            if ($value >= $this->range->least && $value <= $this->range->most) {
                return $value;
            }
        }
        $quoted = mb_substr($text, 0, Node::LONGEST_QUOTE);

        throw FieldError::at($this->name, match (true) {
            ! mb_check_encoding($text, 'UTF-8') => Message::of('readings.not_utf8'),
            is_numeric($plain) && $this->isConverted() => Message::of('readings.outside_as', value: $quoted, as: (string) round((float) $plain * $this->factor + $this->offset, 6), range: $this->range->message()),
            is_numeric($plain) => Message::of('field.outside', value: $quoted, range: $this->range->message()),
            default => Message::of('readings.not_number', text: $quoted),
        });
    }

    private function isConverted(): bool
    {
        return $this->factor !== 1.0 || $this->offset !== 0.0;
    }
}
