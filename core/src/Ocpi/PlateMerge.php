<?php

declare(strict_types=1);

namespace Harmozon\Core\Ocpi;

/**
 * Merges a file's new figures into a plate that people may have edited since the last import. What changed in the file
 * is changed; what a person entered stays, and is named where the file differs.
 */
final class PlateMerge
{
    /** @var list<FigureChange> */
    private array $figures = [];

    /**
     * @param  array<string, mixed>  $here
     * @param  array<string, mixed>  $last
     * @param  array<string, mixed>  $file
     * @return array{array<string, mixed>, list<FigureChange>}
     */
    public static function of(array $here, array $last, array $file): array
    {
        $merge = new self;
        $merged = [];
        foreach (array_keys([...$here, ...$file]) as $key) {
            $merged[$key] = $key === 'stalls'
                ? $merge->stalls(self::listed($here[$key] ?? null), self::listed($last[$key] ?? null), self::listed($file[$key] ?? null))
                : $merge->value((string) $key, $here[$key] ?? null, $last[$key] ?? null, $file[$key] ?? null);
        }

        return [$merged, $merge->figures];
    }

    private function value(string $path, mixed $here, mixed $last, mixed $file): mixed
    {
        if (self::isSame($file, $last) || self::isSame($file, $here)) {
            return $here;
        }
        if (self::isSame($here, $last) && ! (self::isPart($here) && self::isPart($file))) {
            $this->figures[] = new FigureChange($path, $here, $file, false);

            return $file;
        }
        if (! self::isPart($here) || ! self::mayBePart($last) || ! self::mayBePart($file)) {
            $this->figures[] = new FigureChange($path, $here, $file, true);

            return $here;
        }
        [$here, $last, $file] = [(array) $here, (array) $last, (array) $file];
        $merged = [];
        foreach (array_keys([...$here, ...$file]) as $key) {
            $merged[$key] = $this->value("{$path}.{$key}", $here[$key] ?? null, $last[$key] ?? null, $file[$key] ?? null);
        }

        return $merged;
    }

    /**
     * @param  list<array<string, mixed>>  $here
     * @param  list<array<string, mixed>>  $last
     * @param  list<array<string, mixed>>  $file
     * @return list<array<string, mixed>>
     */
    private function stalls(array $here, array $last, array $file): array
    {
        [$lastBy, $fileBy] = [self::byKey($last), self::byKey($file)];
        $merged = $seen = [];
        foreach ($here as $stall) {
            $key = StallKey::of($stall);
            $label = is_string($stall['label'] ?? null) ? $stall['label'] : '';
            if ($key !== null && isset($fileBy[$key])) {
                $merged[] = $this->stall($label, $stall, $lastBy[$key] ?? [], $fileBy[$key]);
                $seen[$key] = true;
            } elseif ($key !== null && isset($lastBy[$key])) {
                $this->figures[] = new FigureChange("stalls.{$label}", $label, null, false);
            } else {
                $merged[] = $stall;
            }
        }
        foreach ($fileBy as $key => $stall) {
            // One that somebody here crossed out stays crossed out.
            if (! isset($seen[$key]) && ! isset($lastBy[$key])) {
                $this->figures[] = new FigureChange('stalls.'.self::text($stall['label'] ?? ''), null, $stall['label'] ?? '', false);
                $merged[] = $stall;
            }
        }

        return $merged;
    }

    /**
     * @param  array<string, mixed>  $here
     * @param  array<string, mixed>  $last
     * @param  array<string, mixed>  $file
     * @return array<string, mixed>
     */
    private function stall(string $label, array $here, array $last, array $file): array
    {
        $merged = [];
        foreach (array_keys([...$here, ...$file]) as $key) {
            $merged[$key] = $this->value("stalls.{$label}.{$key}", $here[$key] ?? null, $last[$key] ?? null, $file[$key] ?? null);
        }

        return $merged;
    }

    /**
     * @param  list<array<string, mixed>>  $stalls
     * @return array<string, array<string, mixed>>
     */
    private static function byKey(array $stalls): array
    {
        $by = [];
        foreach ($stalls as $stall) {
            $key = StallKey::of($stall);
            if ($key !== null) {
                $by[$key] = $stall;
            }
        }

        return $by;
    }

    /** @return list<array<string, mixed>> */
    private static function listed(mixed $value): array
    {
        $list = [];
        foreach (is_array($value) ? $value : [] as $item) {
            if (is_array($item)) {
                /** @var array<string, mixed> $item a stall as it stands in a plate */
                $list[] = $item;
            }
        }

        return $list;
    }

    private static function text(mixed $value): string
    {
        return is_string($value) ? $value : '';
    }

    /** A part of a plate that has figures of its own. */
    private static function isPart(mixed $value): bool
    {
        return is_array($value) && ! array_is_list($value);
    }

    private static function mayBePart(mixed $value): bool
    {
        return $value === null || $value === [] || self::isPart($value);
    }

    /** An unknown figure may be null or missing; 350 equals 350.0. */
    public static function isSame(mixed $a, mixed $b): bool
    {
        if (is_array($a) && is_array($b) && ! array_is_list($a) && ! array_is_list($b)) {
            foreach (array_keys([...$a, ...$b]) as $key) {
                if (! self::isSame($a[$key] ?? null, $b[$key] ?? null)) {
                    return false;
                }
            }

            return true;
        }
        if ((is_int($a) || is_float($a)) && (is_int($b) || is_float($b))) {
            return (float) $a === (float) $b;
        }

        return $a === $b;
    }
}
