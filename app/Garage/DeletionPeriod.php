<?php

declare(strict_types=1);

namespace App\Garage;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\SoftDeletingScope;
use Illuminate\Support\Carbon;

/** Deleted records can be restored for this many days; then they are destroyed (Moving\PermanentDeletion). */
final class DeletionPeriod
{
    public const DAYS = 30;

    /** What was deleted before this moment can no longer be restored. */
    public static function since(): Carbon
    {
        return Carbon::now()->subDays(self::DAYS);
    }

    /**
     * A record that exists or can still be restored.
     *
     * @template T of Model
     *
     * @param  class-string<T>  $model
     * @return T
     */
    public static function restored(string $model, string $id): Model
    {
        $query = $model::query()->withoutGlobalScope(SoftDeletingScope::class)->where('ulid', $id);
        $query->where(static function (Builder $q): void {
            $q->whereNull('deleted_at')->orWhere('deleted_at', '>', self::since());
        });
        $found = $query->firstOrFail();
        $found->forceFill(['deleted_at' => null])->save();

        return $found;
    }
}
