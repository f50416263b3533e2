<?php

declare(strict_types=1);

namespace App\Database\Move;

use App\Database\Dialect;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\WrongState;
use Illuminate\Database\Connection;

/**
 * Every row of one database into another of the same tables, compared by counts and checksums. Whoever was interrupted goes
 * on behind the last row that arrived. Nothing is left out but counters, which last for minutes.
 */
final readonly class WholeDatabase
{
    /** Filled by the framework's own steps, or not worth moving. */
    private const OWN = ['migrations', 'counters'];

    /** Rows per transaction. */
    private const ROWS_AT_ONCE = 5_000;

    /** Values in one statement: fewer than either database takes. */
    private const VALUES_AT_ONCE = 30_000;

    private Dialect $left;

    private Dialect $right;

    public function __construct(private Connection $from, private Connection $to)
    {
        $this->left = Dialect::named((string) $from->getName());
        $this->right = Dialect::named((string) $to->getName());
    }

    /**
     * @return list<Moved>
     *
     * @throws WrongState where the tables differ, or a row did not arrive as it left
     */
    public function move(): array
    {
        $tables = $this->tables();
        try {
            return $this->pass($tables);
        } catch (WrongState) {
            // Rows changed since it was interrupted.
            $this->clear();

            return $this->pass($tables);
        }
    }

    /**
     * @param  list<Table>  $tables
     * @return list<Moved>
     *
     * @throws WrongState
     */
    private function pass(array $tables): array
    {
        $moved = [];
        foreach ($tables as $table) {
            $this->copy($table);
            $this->right->setLastNumber($this->to, $table->name, $table->number(), $this->left->lastNumber($this->from, $table->name, $table->number()));
            $there = $this->sum($this->to, $table);
            if ($this->sum($this->from, $table) !== $there) {
                throw WrongState::of('table', Message::of('move.differs', table: $table->name));
            }
            $moved[] = new Moved($table->name, ...$there);
        }

        return $moved;
    }

    /** Whether no row of anybody's is there. */
    public static function isEmpty(Connection $database): bool
    {
        return ! $database->getSchemaBuilder()->hasTable('garages') || $database->table('garages')->doesntExist() && $database->table('users')->doesntExist();
    }

    /** Removes every row of the target. */
    public function clear(): void
    {
        foreach (array_reverse($this->tables()) as $table) {
            $this->to->table($table->name)->delete();
        }
    }

    /**
     * @return list<Table> what a row names before the row itself
     *
     * @throws WrongState
     */
    private function tables(): array
    {
        $waiting = [];
        foreach ($this->names($this->from) as $name) {
            $waiting[$name] = Table::of($this->from, $name);
            if (! in_array($name, $this->names($this->to), true) || array_keys(Table::of($this->to, $name)->columns) !== array_keys($waiting[$name]->columns)) {
                throw WrongState::of('table', Message::of('move.other_tables', table: $name));
            }
        }
        $ordered = [];
        while ($waiting !== []) {
            foreach ($waiting as $name => $table) {
                if (array_intersect($table->after, array_diff(array_keys($waiting), [$name])) === []) {
                    $ordered[] = $table;
                    unset($waiting[$name]);
                }
            }
        }

        return $ordered;
    }

    /** @return list<string> */
    private function names(Connection $database): array
    {
        $names = array_diff(array_column($database->getSchemaBuilder()->getTables($database->getDriverName() === 'pgsql' ? 'public' : null), 'name'), self::OWN);
        sort($names);

        return array_values(array_filter($names, static fn (string $name): bool => ! str_starts_with($name, 'sqlite_')));
    }

    private function copy(Table $table): void
    {
        $number = $table->number();
        if ($number === null) {
            $this->to->transaction(function () use ($table): void {
                $this->to->table($table->name)->delete();
                $this->insert($table, $this->rows($this->from, $table));
            });

            return;
        }
        $last = $this->to->table($table->name)->max($number);
        do {
            $query = $this->from->table($table->name)->orderBy($number)->limit(self::ROWS_AT_ONCE);
            $rows = ($last === null ? $query : $query->where($number, '>', $last))->get()->all();
            $this->to->transaction(fn () => $this->insert($table, $rows));
            $last = $rows === [] ? $last : $rows[count($rows) - 1]->{$number};
        } while (count($rows) === self::ROWS_AT_ONCE);
    }

    /** @param  iterable<\stdClass>  $rows */
    private function insert(Table $table, iterable $rows): void
    {
        $most = max(1, intdiv(self::VALUES_AT_ONCE, count($table->columns)));
        $some = [];
        foreach ($rows as $row) {
            $some[] = $this->written($table, $row);
            if (count($some) === $most) {
                $this->to->table($table->name)->insert($some);
                $some = [];
            }
        }
        $some === [] || $this->to->table($table->name)->insert($some);
    }

    /** @return array<string, int|string|null> */
    private function written(Table $table, \stdClass $row): array
    {
        $written = [];
        foreach ($table->columns as $column => $value) {
            $written[$column] = $value->written($this->right, $value->plain($row->{$column}));
        }

        return $written;
    }

    /** @return iterable<\stdClass> every row, in the order of its key */
    private function rows(Connection $database, Table $table): iterable
    {
        $number = $table->number();
        if ($number === null) {
            foreach ($database->table($table->name)->get() as $row) {
                yield $row;
            }

            return;
        }
        $last = null;
        do {
            $query = $database->table($table->name)->orderBy($number)->limit(self::ROWS_AT_ONCE);
            $rows = ($last === null ? $query : $query->where($number, '>', $last))->get()->all();
            yield from $rows;
            $last = $rows === [] ? $last : $rows[count($rows) - 1]->{$number};
        } while (count($rows) === self::ROWS_AT_ONCE);
    }

    /** @return array{int, string} how many rows, and what they come to */
    private function sum(Connection $database, Table $table): array
    {
        $of = Table::of($database, $table->name);
        $sums = [];
        $count = 0;
        $hash = hash_init('sha256');
        foreach ($this->rows($database, $of) as $row) {
            $count++;
            $values = [];
            foreach ($of->columns as $column => $value) {
                $plain = $value->plain($row->{$column});
                $values[] = $value === Value::Bytes && is_string($plain) ? hash('sha256', $plain) : $plain;
            }
            $line = (string) json_encode($values, JSON_THROW_ON_ERROR);
            if ($of->number() === null) {
                $sums[] = hash('sha256', $line);
            } else {
                hash_update($hash, $line);
            }
        }
        // Databases order text in ways of their own.
        sort($sums);
        hash_update($hash, implode('', $sums));

        return [$count, hash_final($hash)];
    }
}
