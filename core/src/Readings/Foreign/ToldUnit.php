<?php

declare(strict_types=1);

namespace Harmozon\Core\Readings\Foreign;

/** What a header, or a cell in the row of units below it, says of a unit. One we can't convert is told, never passed over. */
final readonly class ToldUnit
{
    /** Where a unit stands in a header, the surest place first: in brackets, after a comma or slash, at the end. */
    private const PLACES = ['/[\[(]\s*([^\])]+?)\s*[\])]/u', '/[,\/]\s*(\S+)\s*$/u', '/[_ ]([^_ ]+)$/u'];

    /** Units that are no word in any language, wherever they stand. */
    private const ANYWHERE = '/(?:^|[\s_])(kW|W|MW|mA|mV|kV|°C|°F|degC|degF)(?=$|[\s_])/u';

    /** Units of something else, or of another scale. */
    private const OTHERS = '/(?<![\p{L}\d])(?:[kM]?Wh|[km]?Ah|b?hp|PS|[km]?VA|k?var|[kM]J|BTU(?:\/h)?|[km]?ohms?|[km]?Ω|k?Pa|psi|k?Hz|rpm|km\/h|mph|°R|degR|[µμu][sVA]|mW|ns|(?:d|da|h)[VA]|KWH|KWh|kwh|WH|wh|AH|ah|mah|KVA|kva|HP)(?![\p{L}\d])/u';

    /** Another scale, a rate or a share of a known unit: `0.1 A`, `x10`, `A/10`, `%/h`, `A/phase`. */
    private const SCALED = '/^(?:\d+[.,]?\d*\s*[\p{L}%°]+|[x×*÷\/]\s*\d+|[\p{L}%°]{1,3}\s*[x×*÷\/]\s*\d+|(?:[km]?W|[km]?A|[km]?V|%|°[CF])\/\p{L}+)$/u';

    /** What stands in brackets and is no unit: which current, which phase, which side, or how a clock is written. */
    private const NO_UNIT = '/^(?:-+|[hmsdyt:.\/\- ]+|text|date|time|12 ?h|24 ?h|d\.?c\.?|a\.?c\.?|l[123]|avg|mean|raw|pack|h\.?v|bms|obc|evse|car|ev|in|out|ccs ?\d?|left|rear|live|now)$/iu';

    private const DAYS = '/^(?:days?|tage?|jours?)$/iu';

    /** As long as a unit may be (letters). */
    private const LONGEST = 4;

    private const UNIT_BELOW = '/^[^\d+-].{0,11}$/u';

    /** @param  string  $unknown  as it is written; empty where nothing unknown is said */
    private function __construct(public ?ReadingUnit $unit, public string $unknown = '')
    {
    }

    public static function inHeader(string $header): self
    {
        $told = array_map(static fn (string $place): string => preg_match($place, $header, $m) === 1 ? $m[1] : '', self::PLACES);
        foreach ([trim($header), ...$told] as $text) {
            if (ReadingUnit::written($text) !== null) {
                return new self(ReadingUnit::written($text));
            }
        }
        $within = self::within($told[0]);
        if ($within !== null) {
            return new self($within);
        }
        if (preg_match(self::OTHERS, $header, $m) === 1) {
            return new self(null, $m[0]);
        }
        if (preg_match(self::ANYWHERE, $header, $m) === 1) {
            return new self(ReadingUnit::written($m[1]));
        }
        [$inBrackets, , $last] = $told;
        $isUnknown = preg_match(self::SCALED, $last) === 1 || self::isLikeUnit($inBrackets, HeaderWords::isClock($header));

        return new self(null, $isUnknown ? ($inBrackets === '' ? $last : $inBrackets) : '');
    }

    /** @return self|null null for a cell that stands in no row of units; one with neither a unit nor an unknown one says nothing */
    public static function below(string $cell): ?self
    {
        $bare = trim($cell, " \t[]()");
        $unit = ReadingUnit::written($bare);
        if ($unit !== null || $bare === '' || preg_match(self::NO_UNIT, $bare) === 1) {
            return new self($unit);
        }

        return preg_match(self::UNIT_BELOW, $bare) === 1 ? new self(null, $bare) : null;
    }

    /** A unit beside other words in brackets: `(A DC)`, `(kW, mean)`. */
    private static function within(string $inBrackets): ?ReadingUnit
    {
        if (preg_match(self::SCALED, $inBrackets) === 1) {
            return null;
        }
        $units = array_filter(array_map(ReadingUnit::written(...), self::words($inBrackets)));

        return count($units) === 1 ? reset($units) : null;
    }

    /** @return list<string> */
    private static function words(string $text): array
    {
        $words = preg_split('/[\s,;]+/u', $text);

        return $words === false ? [] : $words;
    }

    public function isSilent(): bool
    {
        return $this->unit === null && $this->unknown === '';
    }

    public function written(): string
    {
        return $this->unit->value ?? $this->unknown;
    }

    /** Beside the name of a clock, letters alone are a time zone. */
    private static function isLikeUnit(string $told, bool $isClock): bool
    {
        if ($told === '' || ctype_digit($told) || preg_match(self::NO_UNIT, $told) === 1) {
            return false;
        }

        return preg_match(self::SCALED, $told) === 1 || preg_match(self::DAYS, $told) === 1 || (! $isClock && mb_strlen($told) <= self::LONGEST);
    }
}
