<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\CoreCommand;
use App\Database\Dialect;
use App\Database\Move\Moved;
use App\Database\Move\WholeDatabase;
use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;
use Illuminate\Database\Connection;
use Illuminate\Support\Facades\DB;

final class MoveDatabaseCommand extends CoreCommand
{
    private const TARGET = 'target';

    protected $signature = 'harmozon:move-database
        {--to= : pgsql or sqlite}
        {--database= : the name of the database there; for SQLite a file}
        {--host=127.0.0.1 : of the PostgreSQL server, or the folder of its socket}
        {--port=5432}
        {--username=harmozon}
        {--go-on : what is there is what an interrupted move left}
        {--json}';

    protected $description = 'Move everything from this database into another, checked by counts and checksums; its password in HARMOZON_TARGET_PASSWORD';

    /** @return array<string, mixed> */
    protected function answer(): array
    {
        $target = $this->target();
        $source = DB::connection();
        if ($target->getDatabaseName() === $source->getDatabaseName() && $target->getDriverName() === $source->getDriverName()) {
            throw FieldError::at('database', Message::of('move.same'));
        }
        $this->mustBeReached($target);
        if ($this->option('go-on') !== true && ! WholeDatabase::isEmpty($target)) {
            throw FieldError::at('database', Message::of('move.not_empty'));
        }
        $this->callSilently('migrate', ['--database' => self::TARGET, '--force' => true]);
        $began = hrtime(true);
        Dialect::ofConnection()->beginAlone($source);
        try {
            $moved = (new WholeDatabase($source, $target))->move();
        } finally {
            $source->rollBack();
        }

        return [
            'to' => $target->getDriverName(),
            'tables' => array_map(static fn (Moved $m): array => ['table' => $m->table, 'rows' => $m->rows, 'sha256' => $m->checksum], $moved),
            'rows' => array_sum(array_column($moved, 'rows')),
            'seconds' => round((hrtime(true) - $began) / 1e9, 1),
        ];
    }

    /** @param  array<string, mixed>  $answer */
    protected function describe(array $answer): void
    {
        assert(is_array($answer['tables']) && is_int($answer['rows']) && is_float($answer['seconds']));

        $told = [
            ...array_map(static fn (array $t): Message => Message::of('move.table', table: (string) $t['table'], rows: Amount::count((int) $t['rows']), sum: substr((string) $t['sha256'], 0, 12)), $answer['tables']),
            Message::of('move.done', rows: Amount::count($answer['rows']), seconds: Amount::asGiven($answer['seconds'])),
            Message::of('move.next', to: (string) $answer['to']),
        ];
        foreach ($told as $line) {
            $this->tell($this->voice()->say($line));
        }
    }

    private function target(): Connection
    {
        $to = $this->option('to');
        $database = $this->option('database');
        if (! in_array($to, ['pgsql', 'sqlite'], true)) {
            throw FieldError::at('to', Message::of('move.to'));
        }
        if (! is_string($database) || $database === '') {
            throw FieldError::at('database', Message::of('move.database'));
        }
        $of = (array) config("database.connections.{$to}");
        config(['database.connections.'.self::TARGET => ['database' => $database] + ($to === 'sqlite' ? [] : [
            'host' => $this->option('host'), 'port' => $this->option('port'), 'username' => $this->option('username'),
            'password' => (string) getenv('HARMOZON_TARGET_PASSWORD'), 'one_writer_a_garage' => false,
        ]) + $of]);
        if ($to === 'sqlite' && ! is_file($database)) {
            // Nobody else reads it.
            $isMade = @touch($database) && chmod($database, 0600);
            $isMade || throw FieldError::at('database', Message::of('move.not_reached', why: $database));
        }

        return DB::connection(self::TARGET);
    }

    private function mustBeReached(Connection $target): void
    {
        try {
            $target->getPdo();
        } catch (\PDOException $e) {
            throw FieldError::at('database', Message::of('move.not_reached', why: (string) strtok($e->getMessage(), "\n")));
        }
    }
}
