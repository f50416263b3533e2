<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Models\ChargeSession;
use App\Models\Reading;
use Harmozon\Core\Record\Event as CoreEvent;
use Harmozon\Core\Record\Reading as CoreReading;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** Stores and deletes readings of sessions. Storing the same reading twice changes nothing. */
final class ReadingRecorder
{
    private const IDS_A_QUESTION = 200;

    /** Rows deleted at once: the most that other writers wait for. */
    private const ROWS_GONE = 5_000;

    public function __construct(private readonly SessionRecorder $sessions, private readonly EventRecorder $events)
    {
    }

    /**
     * @param  array<string, CoreReading>  $readings  by the id their taker gave them
     * @param  bool  $isLate  taken before the end and sent after it: a finished session is re-checked with them
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
            $this->sessions->reopen($session);
            $added = $this->takeInOrder($session, $readings);
            $this->sessions->finish($session, $finishedAt);

            return $added;
        });
    }

    /** @param  array<string, CoreReading>  $readings */
    private function takeInOrder(ChargeSession $session, array $readings): int
    {
        return SessionReadings::inOrder($session, function () use ($session, $readings): int {
            SessionReadings::mustHaveRoom($session, count($readings) - $this->known($session, array_map(strval(...), array_keys($readings))));

            return $this->insert($session, $readings);
        });
    }

    /**
     * Stores some rows of a file with their events, all or none.
     *
     * @param  array<string, CoreReading>  $readings  by the ids of their rows
     * @param  array<string, CoreEvent>  $events  by the ids of their rows
     * @param  int  $room  readings that the session can still hold
     * @return array{int, int} how many of each were new
     */
    public function takePart(ChargeSession $session, array $readings, array $events, int $room): array
    {
        return SessionReadings::inOrder($session, function () use ($session, $readings, $events, $room): array {
            $added = $this->insert($session, $readings);
            if ($added > $room) {
                throw SessionReadings::tooMany();
            }

            return [$added, $this->events->note($session, EventRecorder::unknown($session, $events))];
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
            SessionReadings::count($session, SessionReadings::isOlder(array_map(static fn (CoreReading $r): int => $r->tMs, $readings), $newestMs), $added);
        }

        return $added;
    }

    public function forget(ChargeSession $session, string $clientId): int
    {
        return SessionReadings::inOrder($session, fn (): int => $this->gone($session, $session->readings()->where('client_id', $clientId)->delete()));
    }

    /** Removes a whole file's readings, by the id that {@see RowId} gives it. */
    public function forgetFile(ChargeSession $session, string $fileId): int
    {
        $ofFile = RowId::range($fileId);
        $gone = SessionReadings::inOrder($session, function () use ($session, $ofFile): int {
            foreach ($session->events()->whereBetween('client_id', $ofFile)->pluck('client_id') as $noted) {
                $this->events->forget($session, (string) $noted);
            }

            return 0;
        });
        do {
            $some = SessionReadings::inOrder($session, fn (): int => $this->gone($session, DB::table('readings')
                ->whereIn('id', DB::table('readings')->where('charge_session_id', $session->id)->whereBetween('client_id', $ofFile)->limit(self::ROWS_GONE)->select('id'))
                ->delete()));
            $gone += $some;
        } while ($some > 0);

        return $gone;
    }

    private function gone(ChargeSession $session, int $readings): int
    {
        if ($readings > 0) {
            SessionReadings::count($session, true, -$readings);
        }

        return $readings;
    }

    /** @param  list<string>  $clientIds */
    private function known(ChargeSession $session, array $clientIds): int
    {
        $known = 0;
        foreach (array_chunk($clientIds, self::IDS_A_QUESTION) as $chunk) {
            $known += $session->readings()->whereIn('client_id', $chunk)->count();
        }

        return $known;
    }
}
