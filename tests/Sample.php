<?php

declare(strict_types=1);

namespace Tests;

/** Bodies and addresses made up from the OpenAPI document, so that no field of any call is left out of a test. */
final class Sample
{
    private const DEEPEST = 8;

    /** @param  array<string, string>  $known  values that mean something here, by the name of the field that holds them */
    public function __construct(private array $known)
    {
    }

    /** @return array<string, array{string, string}> every call: method and described path */
    public static function operations(): array
    {
        $found = [];
        foreach (Contract::document()['paths'] as $path => $item) {
            foreach (array_intersect_key($item, array_flip(['get', 'post', 'put', 'patch', 'delete'])) as $method => $operation) {
                $found[$operation['operationId']] = [strtoupper($method), $path];
            }
        }

        return $found;
    }

    /** The path with values in place of its parameters. */
    public function path(string $path): string
    {
        return (string) preg_replace_callback('/\{(\w+)\}/', fn (array $m): string => $this->known[$m[1]] ?? 'nothing', $path);
    }

    /** @return list<string> */
    public static function queryNames(string $method, string $path): array
    {
        $item = Contract::document()['paths'][$path];
        $names = [];
        foreach ([...($item['parameters'] ?? []), ...($item[strtolower($method)]['parameters'] ?? [])] as $parameter) {
            $parameter = self::followed($parameter);
            if ($parameter['in'] === 'query') {
                $names[] = str_replace('[]', '', $parameter['name']);
            }
        }

        return $names;
    }

    /** @return list<string> fields of a form with files */
    public static function formNames(string $method, string $path): array
    {
        return array_keys(Contract::document()['paths'][$path][strtolower($method)]['requestBody']['content']['multipart/form-data']['schema']['properties'] ?? []);
    }

    /** @return array<array-key, mixed>|null null where the call has no JSON body */
    public function body(string $method, string $path): ?array
    {
        $schema = Contract::document()['paths'][$path][strtolower($method)]['requestBody']['content']['application/json']['schema'] ?? null;
        $made = $schema === null ? null : $this->of($schema);

        return is_array($made) ? $made : null;
    }

    /**
     * @param  array<array-key, mixed>  $body
     * @return list<string> dotted, of every field on every level
     */
    public static function fields(array $body, string $prefix = ''): array
    {
        $paths = [];
        foreach ($body as $key => $value) {
            $paths[] = $prefix.$key;
            if (is_array($value)) {
                array_push($paths, ...self::fields($value, "{$prefix}{$key}."));
            }
        }

        return $paths;
    }

    /** @param  array<string, mixed>  $schema */
    private function of(array $schema, string $name = '', int $depth = 0): mixed
    {
        $schema = self::followed($schema);
        if (isset($schema['example'])) {
            return $schema['example'];
        }
        foreach ($schema['allOf'] ?? [] as $part) {
            $part = self::followed($part);
            $schema = ['properties' => [...($schema['properties'] ?? []), ...($part['properties'] ?? [])], ...$part, ...$schema];
        }
        if (isset($schema['properties'])) {
            $made = [];
            foreach ($depth < self::DEEPEST ? $schema['properties'] : [] as $field => $of) {
                $made[$field] = $this->of($of, $field, $depth + 1);
            }

            return $made;
        }
        if (isset($this->known[$name])) {
            return $this->known[$name];
        }
        $choice = $schema['oneOf'] ?? $schema['anyOf'] ?? null;
        if ($choice !== null) {
            return $this->of($choice[0], $name, $depth);
        }
        $type = ((array) ($schema['type'] ?? 'object'))[0];

        return $schema['const'] ?? $schema['enum'][0] ?? match ($type) {
            'array' => [$this->of($schema['items'] ?? [], $name, $depth + 1)],
            'number', 'integer' => max($schema['minimum'] ?? 1, $schema['exclusiveMinimum'] ?? 0, 1),
            'boolean' => true,
            'object' => isset($schema['additionalProperties']['type']) ? ['any' => $this->of($schema['additionalProperties'], $name, $depth + 1)] : [],
            default => match ($schema['format'] ?? '') {
                'date-time' => '2026-11-20T10:00:00Z',
                'date' => '2026-11-20',
                'email' => 'somebody@wren.example',
                default => str_pad('a word', $schema['minLength'] ?? 0, ' and another'),
            },
        };
    }

    /**
     * @param  array<string, mixed>  $schema
     * @return array<string, mixed>
     */
    private static function followed(array $schema): array
    {
        while (isset($schema['$ref'])) {
            [, , $kind, $name] = explode('/', $schema['$ref']);
            $schema = Contract::document()['components'][$kind][$name];
        }

        return $schema;
    }
}
