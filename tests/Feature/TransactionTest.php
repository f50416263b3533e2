<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Database\Connection;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;

/** Two writers at one database file, each on its own connection. */
final class TransactionTest extends TestCase
{
    private string $file = '';

    private Connection $first;

    private Connection $second;

    protected function setUp(): void
    {
        parent::setUp();
        $this->file = (string) tempnam(sys_get_temp_dir(), 'writers');
        foreach (['first', 'second'] as $name) {
            config(["database.connections.{$name}" => [...(array) config('database.connections.sqlite'), 'database' => $this->file, 'busy_timeout' => 1]]);
            $this->{$name} = DB::connection($name);
        }
        $this->first->statement('create table notes (words text)');
    }

    protected function tearDown(): void
    {
        foreach (['first', 'second'] as $name) {
            DB::purge($name);
        }
        foreach (['', '-wal', '-shm'] as $part) {
            @unlink($this->file.$part);
        }
        parent::tearDown();
    }

    public function test_who_reads_first_may_still_write(): void
    {
        $this->first->transaction(function (): void {
            self::assertSame(0, $this->first->table('notes')->count());
            try {
                $this->second->table('notes')->insert(['words' => 'in between']);
                self::fail('the second writer has to wait');
            } catch (QueryException $e) {
                self::assertStringContainsString('locked', $e->getMessage());
            }
            $this->first->table('notes')->insert(['words' => 'first']);
        });
        $this->second->table('notes')->insert(['words' => 'second']);

        self::assertSame(['first', 'second'], $this->first->table('notes')->pluck('words')->all());
    }

    public function test_a_lock_that_is_not_given_leaves_the_connection_usable(): void
    {
        $this->first->beginTransaction();
        try {
            $this->second->beginTransaction();
            self::fail('the lock is taken');
        } catch (\PDOException $e) {
            self::assertStringContainsString('locked', $e->getMessage());
        }
        $this->first->rollBack();
        $this->second->transaction(fn () => $this->second->table('notes')->insert(['words' => 'second']));

        self::assertSame(['second'], $this->first->table('notes')->pluck('words')->all());
    }

    public function test_nested_transactions_roll_back_alone(): void
    {
        $this->first->transaction(function (): void {
            $this->first->table('notes')->insert(['words' => 'kept']);
            try {
                $this->first->transaction(function (): void {
                    $this->first->table('notes')->insert(['words' => 'taken back']);
                    throw new \DomainException('no');
                });
            } catch (\DomainException) {
            }
        });

        self::assertSame(['kept'], $this->second->table('notes')->pluck('words')->all());
    }
}
