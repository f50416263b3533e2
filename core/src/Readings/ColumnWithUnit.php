<?php

declare(strict_types=1);

namespace Harmozon\Core\Readings;

use Harmozon\Core\Readings\Foreign\ReadingUnit;
use Harmozon\Core\Record\Point;

/** One of our column names with a unit: `handle (degF)`, `Adapter [K]`, `amps_mA`. It is read with that unit. */
final readonly class ColumnWithUnit
{
    private const PATTERNS = ['/^(.+?)\s*[\[(]\s*([^\])]+?)\s*[\])]$/u', '/^(.+?)\s*[,\/]\s*(\S+)$/u', '/^(.+)[_ ]([^_ ]+)$/u'];

    private function __construct(public string $field, public ReadingUnit $unit)
    {
    }

    /** @return self|null null for any other header, or a unit that such a field is not counted in */
    public static function of(string $header): ?self
    {
        foreach (self::PATTERNS as $pattern) {
            if (preg_match($pattern, trim($header), $m) === 1) {
                [$field, $unit] = [self::field(mb_strtolower($m[1])), ReadingUnit::written($m[2])];
                if ($field !== null && $unit?->fits($field) === true) {
                    return new self($field, $unit);
                }
            }
        }

        return null;
    }

    private static function field(string $name): ?string
    {
        $point = Point::tryFrom(preg_replace('/_c$/', '', $name) ?? '');

        return match (true) {
            $point !== null => $point->value.'_c',
            in_array($name, ['volts', 'amps', 'kw', 'soc_pct', 't_s'], true) => $name,
            $name === 'soc' => 'soc_pct',
            $name === 't' => 't_s',
            default => null,
        };
    }
}
