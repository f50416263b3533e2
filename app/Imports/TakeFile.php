<?php

declare(strict_types=1);

namespace App\Imports;

use App\Database\Dialect;
use App\Database\GivesWay;
use App\Files\TextInput;
use App\Models\ChargeSession;
use App\Models\ReadingsImport;
use App\Sessions\EventRecorder;
use App\Sessions\ReadingRecorder;
use App\Sessions\RowId;
use App\Sessions\SessionReadings;
use App\Sessions\StoredSession;
use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Readings\ReadingsReader;
use Harmozon\Core\Readings\RejectedRow;
use Harmozon\Core\Record\Event;
use Harmozon\Core\Record\Reading;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Voice;
use Harmozon\Core\Words\WrongState;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/**
 * Takes a readings file into its session, part by part. Each part and the line up to which it came are written in one
 * transaction: after a crash the next process continues behind that line, so nothing is missing or written twice.
 */
final class TakeFile
{
    /** Rows per part: the most that other writers wait for. */
    private const ROWS_A_PART = 8_000;

    /** Rows while people write as well: so long they wait for one part. */
    private const ROWS_BESIDE_OTHERS = 800;

    /** How often a worker may die on a file without writing a part before it is given up. */
    private const CLAIMS = 5;

    public function __construct(private readonly ReadingRecorder $recorder, private readonly Voice $voice)
    {
    }

    public function run(ReadingsImport $import): void
    {
        $worker = Str::ulid()->toBase32();
        if (! $this->claim($import, $worker)) {
            return;
        }
        try {
            if ($import->refresh()->claims > self::CLAIMS) {
                throw WrongState::of('file', Message::of('app.import_deadly'));
            }
            $session = $import->session()->first() ?? throw FieldError::at('session', Message::of('app.no_such_record'));
            assert($session instanceof ChargeSession);
            if (! Dialect::ofConnection()->hurriedly(fn (): bool => $this->take($import, $session, $worker))) {
                return;
            }
            $this->end($import, $worker, ImportState::Done);
        } catch (ImportTakenOver) {
            return;
        } catch (FieldError|WrongState $e) {
            $this->end($import, $worker, ImportState::Failed, $this->voice->say($e->problem));
        } catch (\Throwable $e) {
            $this->end($import, $worker, ImportState::Failed, $this->voice->say(Message::of('app.import_broke')));
            throw $e;
        }
        // So that the first who looks does not wait for it.
        $session = $import->session()->first();
        if ($session instanceof ChargeSession) {
            StoredSession::judged($session);
        }
    }

    private function claim(ReadingsImport $import, string $worker): bool
    {
        return ReadingsImport::query()->whereKey($import->id)->whereIn('state', [ImportState::Waiting->value, ImportState::Running->value])
            ->update(['state' => ImportState::Running->value, 'worker' => $worker, 'problem' => null, 'claims' => DB::raw('claims + 1')]) === 1;
    }

    /** @return bool false where it was told to stop */
    private function take(ReadingsImport $import, ChargeSession $session, string $worker): bool
    {
        $import->refresh();
        $reader = new ReadingsReader($import->readBy(), $import->shift_ms, $import->instrument);
        $fileId = RowId::fileId((string) $import->fingerprint);
        $room = SessionReadings::room($session);
        $done = $import->lines_done;
        $part = new FilePart($done);
        $courtesy = new GivesWay;
        foreach ($reader->read(TextInput::lines($import->arrived(), 'file')) as $line => $row) {
            if ($line <= $done) {
                continue;
            }
            // A row and its event go together.
            if ($line !== $part->line && $part->rows >= ($courtesy->areOthersAbout() ? self::ROWS_BESIDE_OTHERS : self::ROWS_A_PART)) {
                $began = microtime(true);
                if (! $this->write($import, $session, $worker, $part, $room)) {
                    return false;
                }
                $courtesy->afterWriting(microtime(true) - $began);
                $part = new FilePart($part->line);
            }
            match (true) {
                $row instanceof RejectedRow => $part->reject($line),
                $row instanceof Event => $part->note($line, RowId::of($fileId, $line), $row),
                $row instanceof Reading => $part->add($line, RowId::of($fileId, $line), $row),
            };
        }

        return $this->write($import, $session, $worker, $part, $room);
    }

    /** @return bool false where it was told to stop; what came in before stays */
    private function write(ReadingsImport $import, ChargeSession $session, string $worker, FilePart $part, int &$room): bool
    {
        return DB::transaction(function () use ($import, $session, $worker, $part, &$room): bool {
            $now = ReadingsImport::query()->whereKey($import->id)->first();
            if (! $now instanceof ReadingsImport || $now->worker !== $worker) {
                throw new ImportTakenOver;
            }
            if ($now->state === ImportState::Stopping->value) {
                $now->update(['state' => ImportState::Stopped->value, 'worker' => null]);

                return false;
            }
            [$added, $noted] = $this->recorded($session, $part, $room);
            $room -= $added;
            $now->update([
                'lines_done' => $part->line,
                'claims' => 0,
                'understood' => $now->understood + count($part->readings),
                'added' => $now->added + $added,
                'noted' => $now->noted + $noted,
                'rejected' => $now->rejected + $part->rejected,
            ]);

            return true;
        });
    }

    /**
     * Earlier parts stay, so the message for a full session must not say that nothing was kept.
     *
     * @return array{int, int} readings and events that are new
     */
    private function recorded(ChargeSession $session, FilePart $part, int $room): array
    {
        try {
            return $this->recorder->takePart($session, $part->readings, $part->events, $room);
        } catch (FieldError $e) {
            throw in_array($e->path, ['readings', 'events'], true)
                ? FieldError::at($e->path, Message::of('app.import_no_room', readings: Amount::count(SessionReadings::most()), events: Amount::count(EventRecorder::MOST)))
                : $e;
        }
    }

    private function end(ReadingsImport $import, string $worker, ImportState $state, ?string $problem = null): void
    {
        ReadingsImport::query()->whereKey($import->id)->where('worker', $worker)
            ->update(['state' => $state->value, 'worker' => null, 'problem' => $problem === null ? null : mb_substr($problem, 0, 1000)]);
    }
}
