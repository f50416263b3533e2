<?php

declare(strict_types=1);

namespace App\Database\Move;

use Illuminate\Database\Connection;

/**
 * A table as both databases have it: its columns by the kind of their values, and the order of its rows.
 *
 * @phpstan-type Row array<string, mixed>
 */
final readonly class Table
{
    private const BOOLEAN = ['bool', 'boolean', 'tinyint'];

    private const BYTES = ['bytea', 'blob'];

    private const FLOAT = ['float', 'float8', 'double', 'real'];

    private const WHOLE = ['integer', 'int2', 'int4', 'int8', 'bigint', 'smallint'];

    private const DATE = ['date'];

    /**
     * @param  array<string, Value>  $columns
     * @param  list<string>  $key
     * @param  list<string>  $after  tables whose rows must be there first
     */
    private function __construct(public string $name, public array $columns, public array $key, public array $after)
    {
    }

    public static function of(Connection $database, string $name): self
    {
        $schema = $database->getSchemaBuilder();
        $columns = [];
        foreach ($schema->getColumns($name) as $column) {
            $columns[(string) $column['name']] = self::value((string) $column['type_name']);
        }
        ksort($columns);
        $key = [];
        foreach ($schema->getIndexes($name) as $index) {
            if ($index['primary']) {
                $key = array_values($index['columns']);
            }
        }

        return new self($name, $columns, $key, array_values(array_unique(array_column($schema->getForeignKeys($name), 'foreign_table'))));
    }

    /** The one column of whole numbers that its rows are known by; null where they are known otherwise. */
    public function number(): ?string
    {
        return count($this->key) === 1 && $this->columns[$this->key[0]] === Value::Whole ? $this->key[0] : null;
    }

    private static function value(string $type): Value
    {
        return match (true) {
            in_array($type, self::BOOLEAN, true) => Value::Boolean,
            in_array($type, self::BYTES, true) => Value::Bytes,
            in_array($type, self::FLOAT, true) => Value::Float,
            in_array($type, self::WHOLE, true) => Value::Whole,
            in_array($type, self::DATE, true) => Value::Date,
            default => Value::Text,
        };
    }
}
