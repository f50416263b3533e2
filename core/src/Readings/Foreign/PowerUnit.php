<?php

declare(strict_types=1);

namespace Harmozon\Core\Readings\Foreign;

use Harmozon\Core\Json\Range;
use Harmozon\Core\Readings\AmbiguousFile;
use Harmozon\Core\Readings\NumberColumn;

/** Whether a column of power whose unit is not told holds W or kW, by what stands in the file. */
final class PowerUnit
{
    /** How far power may be from V × A (times): with three phases it is three times that of one. */
    private const SAME = 4.0;

    /** The most that a car takes (kW). What is above may be a truck's kW, or W. */
    private const MOST_OF_CARS_KW = 1000.0;

    /** W in a kW. */
    private const W = 1000.0;

    /** @throws AmbiguousFile where nothing tells */
    public static function settle(Mapping $mapping, FirstRows $first): Mapping
    {
        $names = array_flip(array_map(static fn (ColumnMap $c): string => $c->field, $mapping->columns));
        if (! isset($names['kw']) || $first->sayUnit($mapping, $names['kw'])) {
            return $mapping;
        }
        $name = (string) $names['kw'];
        $of = static fn (string $field): array => isset($names[$field]) ? array_map(static fn (?float $v): ?float => $v === null ? null : $v * $mapping->columns[$names[$field]]->factor(), $first->figures($names[$field])) : [];
        $largest = $first->cells($name);
        usort($largest, static fn (string $a, string $b): int => abs(NumberColumn::figure($b) ?? 0.0) <=> abs(NumberColumn::figure($a) ?? 0.0));

        return match (self::of($first->figures($name), $of('volts'), $of('amps'))) {
            ReadingUnit::KiloWatts => $mapping,
            ReadingUnit::Watts => $mapping->withUnit($name, ReadingUnit::Watts),
            default => throw AmbiguousFile::ofUnits($largest[0] ?? '', $name, [ReadingUnit::Watts, ReadingUnit::KiloWatts], static fn (ReadingUnit $unit): Mapping => $mapping->withUnit($name, $unit)),
        };
    }

    /**
     * @param  list<float|null>  $power  row by row, as written
     * @param  list<float|null>  $volts  V
     * @param  list<float|null>  $amps  A
     * @return ReadingUnit|null null where nothing tells
     */
    private static function of(array $power, array $volts, array $amps): ?ReadingUnit
    {
        $ratios = [];
        foreach ($power as $i => $written) {
            $watts = ($volts[$i] ?? 0.0) * ($amps[$i] ?? 0.0);
            if ($written !== null && $written !== 0.0 && $watts !== 0.0) {
                $ratios[] = abs($written * self::W / $watts);
            }
        }
        sort($ratios);
        $ratio = $ratios[intdiv(count($ratios), 2)] ?? null;
        $most = max([0.0, ...array_map(abs(...), array_filter($power, is_float(...)))]);

        return match (true) {
            $ratio !== null && self::isNear($ratio, self::W), $most > Range::readKw()->most => ReadingUnit::Watts,
            $ratio !== null && self::isNear($ratio, 1.0), $most <= self::MOST_OF_CARS_KW => ReadingUnit::KiloWatts,
            default => null,
        };
    }

    private static function isNear(float $ratio, float $expected): bool
    {
        return $ratio > $expected / self::SAME && $ratio < $expected * self::SAME;
    }
}
