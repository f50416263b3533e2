<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Models\ChargeSession;
use App\Models\Reading;
use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Readings\Foreign\Mapping;
use Harmozon\Core\Readings\ReadingsReader;
use Harmozon\Core\Readings\RejectedRow;
use Harmozon\Core\Readings\RejectedRows;
use Harmozon\Core\Record\Event as CoreEvent;
use Harmozon\Core\Record\Reading as CoreReading;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** Takes a readings file while somebody waits for it. */
final class FileBook
{
    private const ROWS_A_WRITE = 200;

    /** Rows of a file that are written at once, beside the session. */
    private const ROWS_AN_ARRIVAL = 2000;

    /** A day at 1 Hz. Longer files are taken in the background. */
    private const ROWS_AT_ONCE = 86_400;

    public function __construct(private readonly EventBook $events)
    {
    }

    /**
     * Loads a readings file: complete, or not at all. Loading the same file again adds nothing. Its rows are read and
     * checked beside the session, in short writes, and go into it in one: nobody waits for a file.
     *
     * @param  iterable<string>  $lines
     * @param  string  $fingerprint  of the file, so that its rows keep their ids
     * @param  Mapping|null  $mapping  of a file that is not ours; null: ours, or guessed
     */
    public function load(ChargeSession $session, iterable $lines, string $fingerprint, ?Mapping $mapping = null): LoadedFile
    {
        SessionDoor::inOrder($session, static fn (): bool => true);
        $reader = new ReadingsReader($mapping);
        $import = self::fileId($fingerprint);
        $arrival = Str::ulid()->toBase32();
        DB::table('arriving_readings')->where('arrived_at', '<', Carbon::now()->subDay())->delete();
        try {
            [$understood, $rejected, $events] = $this->arrive($session, $reader->read($lines), $import, $arrival);
            [$added, $noted] = SessionDoor::inOrder($session, fn (): array => [$this->takeArrived($session, $arrival), $this->events->note($session, $events)]);
        } finally {
            DB::table('arriving_readings')->where('arrival', $arrival)->delete();
        }

        return new LoadedFile($import, $understood, $added, $noted, $rejected, $reader->ignoredColumns(), $reader->guessed());
    }

    /**
     * @param  iterable<int, CoreReading|CoreEvent|RejectedRow>  $rows  by line
     * @return array{int, RejectedRows, array<string, CoreEvent>} how many were understood; events by their ids
     */
    private function arrive(ChargeSession $session, iterable $rows, string $import, string $arrival): array
    {
        $understood = 0;
        $rejected = new RejectedRows;
        /** @var array<string, CoreReading> $batch */
        $batch = $events = [];
        $write = static function () use (&$batch, $session, $arrival): void {
            $extra = ['arrival' => $arrival, 'arrived_at' => Carbon::now()];
            $rows = [];
            /** @var array<string, CoreReading> $batch */
            foreach ($batch as $clientId => $reading) {
                $rows[] = ['charge_session_id' => $session->id, 'client_id' => $clientId, ...Reading::rowOf($reading), ...$extra];
            }
            DB::transaction(static function () use ($rows): void {
                foreach (array_chunk($rows, self::ROWS_A_WRITE) as $chunk) {
                    DB::table('arriving_readings')->insert($chunk);
                }
            });
            $batch = [];
        };
        foreach ($rows as $line => $row) {
            if ($row instanceof RejectedRow) {
                $rejected->add($row);

                continue;
            }
            if ($row instanceof CoreEvent) {
                $events[self::rowId($import, $line)] = $row;

                continue;
            }
            if (++$understood > self::ROWS_AT_ONCE) {
                throw FieldError::at('readings', Message::of('app.too_many_rows', most: Amount::count(self::ROWS_AT_ONCE)));
            }
            $batch[self::rowId($import, $line)] = $row;
            if (count($batch) === self::ROWS_AN_ARRIVAL) {
                $write();
            }
        }
        $write();

        return [$understood, $rejected, $events];
    }

    private function takeArrived(ChargeSession $session, string $arrival): int
    {
        $arrived = DB::table('arriving_readings')->where('arrival', $arrival);
        $new = $arrived->clone()->whereNotExists(static fn (Builder $q): Builder => $q->selectRaw('1')->from('readings')
            ->whereColumn('readings.charge_session_id', 'arriving_readings.charge_session_id')
            ->whereColumn('readings.client_id', 'arriving_readings.client_id'));
        $added = $new->count();
        SessionDoor::mustHaveRoom($session, $added);
        if ($added > 0) {
            $isOlder = SessionDoor::isOlder([(int) $new->min('t_ms')], Reading::newestMs($session));
            $columns = ['charge_session_id', 'client_id', 't_ms', ...Reading::QUANTITIES, 'source', 'note'];
            DB::table('readings')->insertUsing(['garage_id', ...$columns], $new->selectRaw('? as garage_id', [$session->garage_id])->addSelect($columns)->orderBy('id'));
            SessionDoor::count($session, $isOlder, $added);
        }

        return $added;
    }

    /** By which a file is known inside the ids of its rows; of its SHA-256. */
    public static function fileId(string $fingerprint): string
    {
        return strtoupper(substr($fingerprint, 0, 12));
    }

    /** So that the same row of the same file is the same reading. */
    public static function rowId(string $fileId, int $line): string
    {
        return 'F'.$fileId.str_pad((string) $line, 13, '0', STR_PAD_LEFT);
    }
}
