<?php

declare(strict_types=1);

namespace App\Moving;

use App\Equipment\PieceKind;
use App\Files\Shelf;
use App\Garage\DeletionPeriod;
use App\Models\Photo;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** Destroys, in every garage, what was deleted more than thirty days ago. */
final class PermanentDeletion
{
    /** Readings destroyed at once; others can write in between. */
    private const ROWS_AT_ONCE = 5_000;

    /** @return array<string, int> counts by kind, without zeros */
    public function run(): array
    {
        $before = DeletionPeriod::since();
        $gone = ['sessions' => $this->sessions($before)];
        foreach (PieceKind::cases() as $kind) {
            $gone[$kind->value] = self::due($kind->value, $before)->delete();
        }
        $gone['photos'] = self::due('photos', $before)->delete() + self::photosOfNothing();
        Photo::sweepShelf();

        return array_filter($gone, static fn (int $count): bool => $count > 0);
    }

    private function sessions(Carbon $before): int
    {
        $count = 0;
        foreach (self::due('charge_sessions', $before)->orderBy('id')->pluck('id') as $id) {
            $count += self::session((int) $id);
        }
        foreach (ArrivingSession::abandoned() as $id) {
            self::session($id);
        }

        return $count;
    }

    /** Destroys a session with everything that belongs to it, its photographs last. */
    public static function session(int $id): int
    {
        do {
            $rows = DB::table('readings')->whereIn('id', DB::table('readings')->select('id')->where('charge_session_id', $id)->limit(self::ROWS_AT_ONCE))->delete();
        } while ($rows === self::ROWS_AT_ONCE);
        foreach (DB::table('readings_imports')->where('charge_session_id', $id)->pluck('ulid') as $file) {
            @unlink(storage_path("app/imports/{$file}.csv.sum"));
            Shelf::forget(storage_path("app/imports/{$file}.csv"));
        }

        return DB::table('charge_sessions')->where('id', $id)->delete();
    }

    /** Destroys photographs whose piece no longer exists. */
    private static function photosOfNothing(): int
    {
        $tables = array_column(PieceKind::cases(), 'value', 'value') + ['session' => 'charge_sessions'];
        $count = 0;
        foreach ($tables as $kind => $table) {
            $count += DB::table('photos')->where('kind', $kind)->whereNotExists(static function (Builder $query) use ($table): void {
                $query->from($table)->whereColumn("{$table}.ulid", 'photos.piece')->whereColumn("{$table}.garage_id", 'photos.garage_id');
            })->delete();
        }

        return $count;
    }

    private static function due(string $table, Carbon $before): Builder
    {
        return DB::table($table)->where('deleted_at', '<=', $before);
    }
}
