<?php

declare(strict_types=1);

namespace Tests;

/** Every figure of every plate, by dotted path, with values that the shipped schema of a case file allows. */
final class PlateSchema
{
    /** @return iterable<string, mixed> a value by path */
    public static function figures(string $piece): iterable
    {
        $schema = json_decode((string) file_get_contents(__DIR__.'/../public/schema/case.schema.json'), true, flags: JSON_THROW_ON_ERROR);

        yield from self::walk($schema['$defs'], ['$ref' => "#/\$defs/{$piece}"], '');
    }

    /**
     * @param  array<string, mixed>  $defs
     * @param  array<string, mixed>  $at
     * @return iterable<string, mixed>
     */
    private static function walk(array $defs, array $at, string $path): iterable
    {
        $at = self::resolved($defs, $at);
        foreach ($at['anyOf'] ?? [] as $one) {
            $one = self::resolved($defs, $one);
            if (isset($one['properties'])) {
                $at = $one;
            }
        }
        $item = isset($at['items']) ? self::resolved($defs, $at['items']) : [];
        if (isset($at['properties'])) {
            // Where figures come from is written down beside them, not typed as one of them.
            foreach (array_diff_key($at['properties'], ['origins' => true]) as $key => $value) {
                yield from self::walk($defs, $value, $path === '' ? $key : "{$path}.{$key}");
            }
        } elseif (isset($item['properties'])) {
            yield from self::walk($defs, $item, "{$path}.0");
        } else {
            yield $path => self::sample($defs, $at);
        }
    }

    /** @param  array<string, mixed>  $at */
    private static function sample(array $defs, array $at): mixed
    {
        $at = self::resolved($defs, $at);
        foreach ($at['anyOf'] ?? [] as $one) {
            $one = self::resolved($defs, $one);
            if (($one['type'] ?? null) !== 'null') {
                return self::sample($defs, $one);
            }
        }
        $type = array_values(array_diff((array) ($at['type'] ?? []), ['null']))[0] ?? null;

        return match (true) {
            isset($at['properties']) => array_map(static fn (array $one): mixed => self::sample($defs, $one), $at['properties']),
            isset($at['enum']) => array_values(array_filter($at['enum'], static fn (mixed $v): bool => $v !== null))[0],
            isset($at['prefixItems']) => array_map(static fn (array $one): mixed => self::sample($defs, $one), $at['prefixItems']),
            isset($at['items']) => self::isPair($at) ? [50, 60] : [self::sample($defs, $at['items'])],
            $type === 'boolean' => true,
            $type === 'integer' => $at['minimum'] ?? 1,
            $type === 'number' => min($at['maximum'] ?? 40, max($at['minimum'] ?? 0, 40)),
            isset($at['pattern']) => str_contains($at['pattern'], 'socket') ? 'j3400' : (str_contains($at['pattern'], 'A-Z') ? 'EUR' : '1.25'),
            default => 'typed',
        };
    }

    /** @param  array<string, mixed>  $at */
    private static function isPair(array $at): bool
    {
        return ($at['minItems'] ?? null) === 2 && ($at['maxItems'] ?? null) === 2;
    }

    /**
     * @param  array<string, mixed>  $defs
     * @param  array<string, mixed>  $at
     * @return array<string, mixed>
     */
    private static function resolved(array $defs, array $at): array
    {
        return isset($at['$ref']) ? self::resolved($defs, $defs[basename($at['$ref'])]) : $at;
    }
}
