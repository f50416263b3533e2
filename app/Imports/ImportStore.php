<?php

declare(strict_types=1);

namespace App\Imports;

use App\Files\Shelf;
use App\Files\TextInput;
use App\Garage\CurrentGarage;
use App\Models\ChargeSession;
use App\Models\ReadingsImport;
use App\Sessions\ReadingRecorder;
use App\Sessions\RowId;
use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Readings\ClockStart;
use Harmozon\Core\Readings\Foreign\FileHead;
use Harmozon\Core\Readings\Foreign\Mapping;
use Harmozon\Core\Readings\Foreign\Preview;
use Harmozon\Core\Readings\Layout;
use Harmozon\Core\Record\Reading;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\WrongState;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** Readings files: uploading, previewing, choosing how to read them, starting, stopping and undoing the import. */
final class ImportStore
{
    /** The most files of a garage waiting for import, and the most imported ones kept. */
    private const MOST = 20;

    /** Rows previewed before a file is imported. */
    private const LOOKED_AT = 90_000;

    public function __construct(private readonly CurrentGarage $garage, private readonly Sources $sources, private readonly ReadingRecorder $recorder, private readonly TakeFile $take)
    {
    }

    public function begin(ChargeSession $session, string $name, int $bytes): ReadingsImport
    {
        $this->prune();
        $most = self::number('largest_import');
        if ($bytes > $most) {
            throw FieldError::at('bytes', Message::of('app.import_too_large', most: Amount::count(intdiv($most, 1_000_000))));
        }
        if ($bytes < 1) {
            throw FieldError::at('bytes', Message::of('app.import_empty'));
        }
        if (ReadingsImport::query()->where('state', '<>', ImportState::Done->value)->count() >= self::MOST) {
            throw WrongState::of('file', Message::of('app.too_many_imports', most: Amount::count(self::MOST)));
        }

        return DB::transaction(static function () use ($session, $name, $bytes): ReadingsImport {
            $import = ReadingsImport::query()->create(['charge_session_id' => $session->id, 'name' => $name, 'bytes' => $bytes, 'state' => ImportState::Arriving->value])->refresh();
            self::file($import)->announce();

            return $import;
        });
    }

    /**
     * Appends the next part. A repeated part changes nothing; returns how much has arrived.
     *
     * @param  resource  $piece
     */
    public function append(ReadingsImport $import, int $from, $piece): ReadingsImport
    {
        if (self::state($import) !== ImportState::Arriving) {
            return $import;
        }
        $before = $import->received;
        $received = self::file($import)->append($from, $piece, static fn ($file, int $bytes) => FileHash::goOn($import->path(), $file, $from, $bytes));
        if ($received === $before) {
            return $import;
        }
        $import->update(['received' => $received]);
        if ($import->received === $import->bytes) {
            $this->arrived($import);
        }

        return $import;
    }

    private function arrived(ReadingsImport $import): void
    {
        $source = FileHead::of(TextInput::lines($import->arrived(), 'file'));
        $remembered = $this->sources->ofHead($source);
        $looked = Preview::of(TextInput::lines($import->arrived(), 'file'), $remembered, 0, 1);
        $import->update([
            'instrument' => $import->instrument ?? mb_substr(pathinfo($import->name, PATHINFO_FILENAME), 0, Reading::LONGEST_SOURCE),
            'shift_ms' => (int) round(1000 * $this->usualShiftS($import, $looked)),
            'mapping' => $looked->mapping?->toArray(),
            'fingerprint' => FileHash::of($import->path()),
            'lines' => TextInput::countLines($import->path()),
            'source' => $source->source(),
            'mapping_from' => match (true) {
                $remembered !== null => 'remembered',
                $looked->mapping !== null => 'guessed',
                default => 'ours',
            },
            'state' => ImportState::Ready->value,
        ]);
        FileHash::forget($import->path());
    }

    public function head(ReadingsImport $import): FileHead
    {
        return FileHead::of($this->lines($import), $import->readBy());
    }

    private function clockOf(ReadingsImport $import): ?ClockStart
    {
        return Preview::of($this->lines($import), $import->readBy(), 0, 1)->clockStart;
    }

    /** The lines around its table. */
    public function layout(ReadingsImport $import): Layout
    {
        return FileHead::layoutOf($this->lines($import));
    }

    public function look(ReadingsImport $import): Preview
    {
        return Preview::of($this->lines($import), $import->readBy(), $import->shift_ms, self::LOOKED_AT);
    }

    /** When it starts unless somebody corrects it: by the clock of a file already in the session, else by the session's. */
    private function usualShiftS(ReadingsImport $import, Preview $look): float
    {
        $startedAt = $import->session()->first()?->started_at;

        return $this->besideS($import, $look)[0] ?? ($startedAt === null ? null : $look->clockStart?->usualShiftS($startedAt, $this->zone($look))) ?? 0.0;
    }

    /**
     * How long after plugging in the file begins by its own clock (s), and the file beside whose clock that is, if it is not the
     * session's; null where it has none, or one of another day.
     *
     * @return array{float|null, string|null}
     */
    public function clockShift(ReadingsImport $import, Preview $look): array
    {
        $startedAt = $import->session()->first()?->started_at;

        return $this->besideS($import, $look) ?? [$startedAt === null ? null : $look->clockStart?->shiftS($startedAt, $this->zone($look)), null];
    }

    /** @return array{float, string}|null by the clock of the first file whose clock speaks of the same hours, and its name */
    private function besideS(ReadingsImport $import, Preview $look): ?array
    {
        foreach (ReadingsImport::ofSession($import->session()->firstOrFail()) as $other) {
            $clock = $other->id !== $import->id && $other->added > 0 ? ClockStart::fromArray($other->clock) : null;
            $shiftS = $clock === null ? null : $look->clockStart?->besideS($clock, $other->shift_ms / 1000, $this->zone($look));
            if ($shiftS !== null) {
                return [$shiftS, $other->name];
            }
        }

        return null;
    }

    /** The time zone of its clock: the given one, else the garage's. */
    private function zone(Preview $look): \DateTimeZone
    {
        return new \DateTimeZone($look->mapping?->time->zone ?? $this->garage->zone());
    }

    /** @return iterable<string> */
    public function lines(ReadingsImport $import): iterable
    {
        if (self::state($import) === ImportState::Arriving) {
            throw WrongState::of('file', Message::of('app.import_arriving', received: Amount::count($import->received), bytes: Amount::count($import->bytes)));
        }

        return is_file($import->arrived()) ? TextInput::lines($import->path(), 'file') : throw WrongState::of('file', Message::of('app.import_gone'));
    }

    /** Sets how to read it, when it began, and which instrument wrote it; null leaves each as it is. */
    public function tell(ReadingsImport $import, ?Mapping $mapping, ?float $shiftS, ?string $instrument): ReadingsImport
    {
        if (self::state($import) !== ImportState::Ready) {
            throw WrongState::of('file', Message::of('app.import_taken'));
        }
        $import->update([
            ...($mapping === null ? [] : ['mapping' => $mapping->toArray(), 'mapping_from' => 'told']),
            ...($instrument === null ? [] : ['instrument' => $instrument]),
            ...($shiftS === null ? [] : ['shift_ms' => (int) round(1000 * $shiftS)]),
        ]);

        return $import;
    }

    /** Small files are imported at once, others in the background. Started again, an import continues where it stopped. */
    public function start(ReadingsImport $import): ReadingsImport
    {
        $state = self::state($import);
        if ($state->isUnderWay() || $state === ImportState::Done) {
            return $import;
        }
        $this->lines($import);
        $this->mustNotStandOtherwise($import);
        if ($state === ImportState::Ready && $import->mapping !== null && $import->source !== null) {
            $mapping = $import->readBy();
            if ($mapping !== null) {
                $this->sources->remember($import->source, $import->name, $mapping);
            }
        }
        // By now it is settled how its clock is read, which another file is laid by.
        $import->update(['clock' => $this->clockOf($import)?->toArray(), 'state' => ImportState::Waiting->value, 'problem' => null, 'claims' => 0]);
        if ($import->bytes <= self::number('import_at_once') && $import->lines <= self::number('import_lines_at_once')) {
            $this->take->run($import);
        } else {
            TakeFileJob::dispatch($import->garage_id, $import->id);
        }

        return $import->refresh();
    }

    /** The same file read in two ways would be stored twice under one name. */
    private function mustNotStandOtherwise(ReadingsImport $import): void
    {
        $others = ReadingsImport::query()->where('charge_session_id', $import->charge_session_id)->where('fingerprint', $import->fingerprint)->whereKeyNot($import->id)->where('understood', '>', 0)->get();
        foreach ($others as $other) {
            if ($other instanceof ReadingsImport && ($other->shift_ms !== $import->shift_ms || $other->mapping !== $import->mapping)) {
                throw WrongState::of('file', Message::of('app.import_otherwise'));
            }
        }
    }

    /** Stops the import; rows already imported stay. */
    public function stop(ReadingsImport $import): ReadingsImport
    {
        ReadingsImport::query()->whereKey($import->id)->where('state', ImportState::Waiting->value)->update(['state' => ImportState::Stopped->value]);
        ReadingsImport::query()->whereKey($import->id)->where('state', ImportState::Running->value)->update(['state' => ImportState::Stopping->value]);

        return $import->refresh();
    }

    /** Removes the file and every reading imported from it. */
    public function takeBack(ReadingsImport $import): void
    {
        if (self::state($import->refresh())->isUnderWay()) {
            throw WrongState::of('file', Message::of('app.import_busy'));
        }
        $session = $import->session()->first();
        if ($session instanceof ChargeSession && $import->understood + $import->noted > 0 && $import->fingerprint !== null) {
            $this->recorder->forgetFile($session, RowId::fileId($import->fingerprint));
        }
        $this->putAway($import);
    }

    /** Removes abandoned files, imported ones beyond the newest, and those whose import was deleted. */
    private function prune(): void
    {
        $before = Carbon::now()->subDays(self::number('import_days'));
        $old = ReadingsImport::query()->where('updated_at', '<', $before)->whereNotIn('state', [ImportState::Waiting->value, ImportState::Running->value, ImportState::Stopping->value])->get();
        $taken = ReadingsImport::query()->where('state', ImportState::Done->value)->orderByDesc('id')->offset(self::MOST)->limit(PHP_INT_MAX)->get();
        foreach ([...$old, ...$taken] as $import) {
            if ($import instanceof ReadingsImport) {
                $this->putAway($import);
            }
        }
        Shelf::sweep($before->getTimestamp());
        $files = glob(storage_path('app/imports/*'));
        foreach ($files === false ? [] : $files as $path) {
            if ((int) @filemtime($path) < $before->getTimestamp()) {
                @unlink($path);
            }
        }
    }

    private function putAway(ReadingsImport $import): void
    {
        $path = $import->path();
        $import->delete();
        FileHash::forget($path);
        Shelf::forget($path);
    }

    private static function file(ReadingsImport $import): ArrivingFile
    {
        return new ArrivingFile($import->path(), $import->bytes, $import->received);
    }

    private static function state(ReadingsImport $import): ImportState
    {
        return ImportState::from($import->state);
    }

    private static function number(string $key): int
    {
        $value = config("harmozon.{$key}");

        return is_int($value) ? $value : 0;
    }
}
