<?php

declare(strict_types=1);

namespace App\Database;

use Harmozon\Core\Words\Message;
use Illuminate\Database\QueryException;
use Illuminate\Database\SQLiteDatabaseDoesNotExistException;
use Illuminate\Encryption\MissingAppKeyException;
use Illuminate\Support\Facades\DB;

/** A problem that keeps the whole application from working, told to the site operator. */
final readonly class SetupProblem
{
    /** When to retry while somebody else is writing (s). */
    private const SOON_S = 2;

    /** @param  int|null  $retryAfterS  null where waiting does not help */
    private function __construct(public Message $cause, public ?int $retryAfterS = null)
    {
    }

    /** @return self|null null when it is no such trouble */
    public static function of(\Throwable $e): ?self
    {
        for ($at = $e; $at !== null; $at = $at->getPrevious()) {
            $found = match (true) {
                $at instanceof SQLiteDatabaseDoesNotExistException => new self(Message::of('app.trouble_no_database')),
                $at instanceof UnwritableFile => new self(Message::of('app.trouble_unwritable', path: $at->path)),
                $at instanceof QueryException && $at->getConnectionName() === Counters::CONNECTION => new self(Message::of('app.trouble_counters')),
                $at instanceof MissingAppKeyException => new self(Message::of('app.trouble_no_key')),
                $at instanceof \PDOException => self::ofDatabase($at),
                default => null,
            };
            if ($found !== null) {
                return $found;
            }
        }

        return self::isStorageThere() ? null : new self(Message::of('app.trouble_no_storage'));
    }

    private static function ofDatabase(\PDOException $e): ?self
    {
        $dialect = $e instanceof QueryException ? Dialect::named($e->getConnectionName()) : Dialect::ofConnection();

        return match ($dialect->trouble($e)) {
            Trouble::Busy => new self(Message::of(self::isPartlyDone() ? 'app.trouble_busy_partly' : 'app.trouble_busy'), self::SOON_S),
            Trouble::ReadOnly => new self(Message::of('app.trouble_read_only')),
            Trouble::Full => new self(Message::of(self::isPartlyDone() ? 'app.trouble_full_partly' : 'app.trouble_full')),
            Trouble::Broken => new self(Message::of('app.trouble_broken')),
            Trouble::Gone => new self(Message::of('app.trouble_no_database')),
            Trouble::NotSetUp => new self(Message::of('app.trouble_not_set_up')),
            null => null,
        };
    }

    private static function isPartlyDone(): bool
    {
        $database = DB::connection();

        return ($database instanceof ImmediateSqliteConnection || $database instanceof OrderedPostgresConnection) && $database->hasWritten();
    }

    /** Compiled pages and the log are written there. */
    public static function isStorageThere(): bool
    {
        foreach (['framework/views', 'framework/cache', 'logs'] as $folder) {
            if (! is_dir(storage_path($folder)) || ! is_writable(storage_path($folder))) {
                return false;
            }
        }

        return true;
    }
}
