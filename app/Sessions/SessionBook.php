<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Equipment\FitQuestion;
use App\Models\ChargeSession;
use App\Models\Reading;
use Harmozon\Core\Chain\Chain;
use Harmozon\Core\Equipment\Adapter;
use Harmozon\Core\Equipment\Outlet;
use Harmozon\Core\Equipment\Vehicle;
use Harmozon\Core\Files\FieldError;
use Harmozon\Core\Files\Foreign\Mapping;
use Harmozon\Core\Files\ReadingsReader;
use Harmozon\Core\Files\RejectedRow;
use Harmozon\Core\Files\RejectedRows;
use Harmozon\Core\Record\Event as CoreEvent;
use Harmozon\Core\Record\Reading as CoreReading;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** Begins sessions, takes their readings and closes them. Writing the same reading twice changes nothing. */
final class SessionBook
{
    private const ROWS_A_WRITE = 200;

    /** Rows of a file that are written at once, beside the session. */
    private const ROWS_AN_ARRIVAL = 2000;

    /** Rows that are taken back at once: others who write wait for no more than these. */
    private const ROWS_GONE = 5_000;

    /** Rows of a file that is taken while somebody waits: a day at 1 Hz. Longer ones are taken in the background. */
    private const ROWS_AT_ONCE = 86_400;

    /** How often a session is judged outside the lock before it is judged inside. */
    private const TRIES = 3;

    public function __construct(private readonly SessionReport $reports, private readonly EventBook $events)
    {
    }

    /**
     * @param  string|null  $id  given where it began; begun twice, it stands once
     * @param  string|null  $stall  what stands on the stall
     */
    public function begin(FitQuestion $question, Carbon $startedAt, string $note = '', ?string $id = null, ?string $stall = null): ChargeSession
    {
        $begun = $id === null ? null : $this->begun($id);
        if ($begun !== null) {
            return $begun;
        }
        if (! $question->outlet->exists) {
            throw FieldError::at('outlet', Message::of('app.kind_stands_nowhere'));
        }
        $chain = $question->answer()->best->chain;
        $caseFile = $question->caseFile();
        $used = $chain->adapterIds();
        $caseFile['adapters'] = array_values(array_filter(
            is_array($caseFile['adapters']) ? $caseFile['adapters'] : [],
            static fn (mixed $a): bool => is_array($a) && in_array($a['id'] ?? null, $used, true),
        ));

        return ChargeSession::query()->create([
            ...($id === null ? [] : ['ulid' => $id]),
            'stall' => $stall,
            'vehicle_id' => $question->vehicle->id,
            'outlet_id' => $question->outlet->id,
            'case_file' => $caseFile,
            'pieces' => self::pieces($chain),
            'chain_adapters' => $used,
            'inlet_index' => $chain->inletIndex,
            'note' => $note,
            'started_at' => $startedAt,
            'revision' => 0,
            'disturbed' => 0,
            'held' => 0,
        ]);
    }

    /** The session of this id, where it was begun before. */
    private function begun(string $id): ?ChargeSession
    {
        $known = ChargeSession::withTrashed()->where('ulid', $id)->first();
        if ($known === null && DB::table('charge_sessions')->where('ulid', $id)->exists()) {
            throw FieldError::at('id', Message::of('app.id_taken'));
        }

        return $known instanceof ChargeSession ? $known : null;
    }

    /** @return array{vehicle: array{id: string, name: string}, outlet: array{id: string, name: string}, adapters: list<array{id: string, name: string}>} */
    private static function pieces(Chain $chain): array
    {
        $named = static fn (Vehicle|Outlet|Adapter $piece): array => ['id' => $piece->id, 'name' => $piece->name];

        return ['vehicle' => $named($chain->vehicle), 'outlet' => $named($chain->outlet), 'adapters' => array_map($named, $chain->adapters)];
    }

    /**
     * @param  array<string, CoreReading>  $readings  by the id their taker gave them
     * @param  bool  $isLate  taken before the end and sent after it: a finished session is judged anew with them
     * @return int how many were new
     */
    public function take(ChargeSession $session, array $readings, bool $isLate = false): int
    {
        $finishedAt = $isLate ? $session->refresh()->finished_at : null;

        return $finishedAt === null ? $this->takeInOrder($session, $readings) : $this->takeLate($session, $readings, $finishedAt);
    }

    /** @param  array<string, CoreReading>  $readings */
    private function takeLate(ChargeSession $session, array $readings, Carbon $finishedAt): int
    {
        return DB::transaction(function () use ($session, $readings, $finishedAt): int {
            $this->reopen($session);
            $added = $this->takeInOrder($session, $readings);
            $this->finish($session, $finishedAt);

            return $added;
        });
    }

    /** @param  array<string, CoreReading>  $readings */
    private function takeInOrder(ChargeSession $session, array $readings): int
    {
        return $this->inOrder($session, function () use ($session, $readings): int {
            $this->mustHaveRoom($session, count($readings) - $this->known($session, array_map(strval(...), array_keys($readings))));

            return $this->insert($session, $readings);
        });
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
        $this->inOrder($session, static fn (): bool => true);
        $reader = new ReadingsReader($mapping);
        $import = self::fileId($fingerprint);
        $arrival = Str::ulid()->toBase32();
        DB::table('arriving_readings')->where('arrived_at', '<', Carbon::now()->subDay())->delete();
        try {
            [$understood, $rejected, $events] = $this->arrive($session, $reader->read($lines), $import, $arrival);
            [$added, $noted] = $this->inOrder($session, fn (): array => [$this->takeArrived($session, $arrival), $this->events->note($session, $events)]);
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
        $batch = $events = [];
        $write = static function () use (&$batch, $session, $arrival): void {
            $extra = ['arrival' => $arrival, 'arrived_at' => Carbon::now()];
            $rows = array_map(static fn (array $row): array => [...array_diff_key($row, ['garage_id' => 0]), ...$extra], self::rows($session, $batch));
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

    /** By which a file is known inside the ids of its rows; of its SHA-256. */
    public static function fileId(string $fingerprint): string
    {
        return strtoupper(substr($fingerprint, 0, 12));
    }

    /** So that the same row of the same file is the same reading. */
    public static function rowId(string $fileId, int $line): string
    {
        return sprintf('F%s%013d', $fileId, $line);
    }

    /** Readings that the session can still hold. */
    public function room(ChargeSession $session): int
    {
        return self::most() - $session->refresh()->held;
    }

    /**
     * Takes some rows of a file, and what was noted among them: all, or none.
     *
     * @param  array<string, CoreReading>  $readings  by the ids of their rows
     * @param  array<string, CoreEvent>  $events  by the ids of their rows
     * @param  int  $room  readings that the session can still hold
     * @return array{int, int} how many of each were new
     */
    public function takePart(ChargeSession $session, array $readings, array $events, int $room): array
    {
        return $this->inOrder($session, function () use ($session, $readings, $events, $room): array {
            $added = $this->insert($session, $readings);
            if ($added > $room) {
                throw self::tooMany();
            }

            return [$added, $this->events->note($session, $events)];
        });
    }

    /**
     * @param  array<string, CoreReading>  $readings
     * @return int how many were new
     */
    private function insert(ChargeSession $session, array $readings): int
    {
        $newestMs = Reading::newestMs($session);
        $added = ReadingRows::insert($session, $readings);
        if ($added > 0) {
            $this->count($session, self::isOlder(array_map(static fn (CoreReading $r): int => $r->tMs, $readings), $newestMs), $added);
        }

        return $added;
    }

    private function takeArrived(ChargeSession $session, string $arrival): int
    {
        $arrived = DB::table('arriving_readings')->where('arrival', $arrival);
        $new = $arrived->clone()->whereNotExists(static fn (Builder $q): Builder => $q->selectRaw('1')->from('readings')
            ->whereColumn('readings.charge_session_id', 'arriving_readings.charge_session_id')
            ->whereColumn('readings.client_id', 'arriving_readings.client_id'));
        $added = $new->count();
        $this->mustHaveRoom($session, $added);
        if ($added > 0) {
            $isOlder = self::isOlder([(int) $new->min('t_ms')], Reading::newestMs($session));
            $columns = ['charge_session_id', 'client_id', 't_ms', ...Reading::QUANTITIES, 'source', 'note'];
            DB::table('readings')->insertUsing(['garage_id', ...$columns], $new->selectRaw('? as garage_id', [$session->garage_id])->addSelect($columns)->orderBy('id'));
            $this->count($session, $isOlder, $added);
        }

        return $added;
    }

    public function forget(ChargeSession $session, string $clientId): int
    {
        return $this->inOrder($session, fn (): int => $this->gone($session, $session->readings()->where('client_id', $clientId)->delete()));
    }

    /** Takes back a whole file. */
    public function forgetFile(ChargeSession $session, string $import): int
    {
        $ofFile = ["F{$import}", "F{$import}~"];
        $gone = $this->inOrder($session, function () use ($session, $ofFile): int {
            foreach ($session->events()->whereBetween('client_id', $ofFile)->pluck('client_id') as $noted) {
                $this->events->forget($session, (string) $noted);
            }

            return 0;
        });
        do {
            $some = $this->inOrder($session, fn (): int => $this->gone($session, DB::table('readings')
                ->whereIn('id', DB::table('readings')->where('charge_session_id', $session->id)->whereBetween('client_id', $ofFile)->limit(self::ROWS_GONE)->select('id'))
                ->delete()));
            $gone += $some;
        } while ($some > 0);

        return $gone;
    }

    /**
     * Closes a session with the verdict on all that was acknowledged before: where a reading arrives while it is judged, it
     * is judged anew, and at last with the door shut.
     */
    public function finish(ChargeSession $session, ?Carbon $at = null): void
    {
        for ($try = 0; $session->refresh()->finished_at === null; $try++) {
            $read = $try < self::TRIES ? ReadSession::of($session) : null;
            DB::transaction(function () use ($session, $read, $at): void {
                $revision = $session->revision;
                $session->refresh();
                if ($read === null || $session->revision === $revision) {
                    $read ??= ReadSession::of($session);
                    [$verdict, $summary] = $this->reports->summary($read);
                    $session->update(['finished_at' => $session->finished_at ?? $at ?? Carbon::now(), 'verdict' => $verdict, 'summary' => $summary, 'judged_at' => Carbon::now()]);
                    SessionFacts::keep($session, $read->recorded);
                }
            });
        }
    }

    public function reopen(ChargeSession $session): void
    {
        DB::transaction(static function () use ($session): void {
            $session->update(['finished_at' => null, 'verdict' => null, 'summary' => null]);
            SessionFacts::forget($session);
        });
    }

    /** Judges a session by other plates than it was begun with; what was said before is kept. */
    public function judgeAnew(ChargeSession $session, PlatesSince $plates): void
    {
        DB::transaction(function () use ($session, $plates): void {
            $session->refresh();
            $this->judgeBy($session, $plates->today($session), ['case_file' => $session->case_file, 'verdict' => $session->verdict, 'judged_at' => $session->judged_at?->toIso8601ZuluString()]);
        });
    }

    /** Back to the plates before; false where it was never judged anew. */
    public function judgeAsBefore(ChargeSession $session): bool
    {
        return DB::transaction(function () use ($session): bool {
            $before = $session->refresh()->judged_before;
            if ($before === null) {
                return false;
            }
            $this->judgeBy($session, $before['case_file'], null);

            return true;
        });
    }

    /**
     * @param  array<string, mixed>  $caseFile
     * @param  array{case_file: array<string, mixed>, verdict: string|null, judged_at: string|null}|null  $before
     */
    private function judgeBy(ChargeSession $session, array $caseFile, ?array $before): void
    {
        $finishedAt = $session->finished_at;
        $session->update(['case_file' => $caseFile, 'judged_before' => $before, 'judged_at' => Carbon::now(), 'disturbed' => $session->disturbed + 1]);
        if ($finishedAt !== null) {
            $this->reopen($session);
            $this->finish($session, $finishedAt);
        }
    }

    /**
     * Does something with the readings of an open session while nobody else does: taking, forgetting and finishing see one
     * order.
     *
     * @template T
     *
     * @param  \Closure(): T  $do
     * @return T
     */
    private function inOrder(ChargeSession $session, \Closure $do): mixed
    {
        return DB::transaction(static function () use ($session, $do): mixed {
            if ($session->refresh()->finished_at !== null) {
                throw FieldError::at('session', Message::of('app.session_finished'));
            }

            return $do();
        });
    }

    /**
     * @param  bool  $isDisturbed  what stood before the newest reading has changed
     * @param  int  $more  readings than before; negative where there are fewer
     */
    private function count(ChargeSession $session, bool $isDisturbed, int $more): void
    {
        $session->update(['held' => max(0, $session->held + $more), 'revision' => $session->revision + 1, 'disturbed' => $session->disturbed + ($isDisturbed ? 1 : 0)]);
    }

    private function gone(ChargeSession $session, int $readings): int
    {
        if ($readings > 0) {
            $this->count($session, true, -$readings);
        }

        return $readings;
    }

    /** @param  array<array-key, int>  $timesMs */
    private static function isOlder(array $timesMs, ?int $newestMs): bool
    {
        return $timesMs !== [] && $newestMs !== null && min($timesMs) < $newestMs;
    }

    /** @param  list<string>  $clientIds */
    private function known(ChargeSession $session, array $clientIds): int
    {
        $known = 0;
        foreach (array_chunk($clientIds, self::ROWS_A_WRITE) as $chunk) {
            $known += $session->readings()->whereIn('client_id', $chunk)->count();
        }

        return $known;
    }

    private function mustHaveRoom(ChargeSession $session, int $new): void
    {
        if ($new > 0 && $session->held + $new > self::most()) {
            throw self::tooMany();
        }
    }

    public static function most(): int
    {
        $most = config('harmozon.most_readings');

        return is_int($most) ? $most : PHP_INT_MAX;
    }

    private static function tooMany(): FieldError
    {
        return FieldError::at('readings', Message::of('app.too_many_readings', most: Amount::count(self::most())));
    }

    /**
     * @param  array<string, CoreReading>  $readings
     * @return list<array<string, mixed>>
     */
    private static function rows(ChargeSession $session, array $readings): array
    {
        $rows = [];
        foreach ($readings as $clientId => $reading) {
            $rows[] = ['garage_id' => $session->garage_id, 'charge_session_id' => $session->id, 'client_id' => (string) $clientId, ...Reading::rowOf($reading)];
        }

        return $rows;
    }
}
