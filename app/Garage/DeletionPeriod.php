<?php

declare(strict_types=1);

namespace App\Garage;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\SoftDeletingScope;
use Illuminate\Support\Carbon;

/** What is put aside comes back for so many days; then it is destroyed (Moving\PermanentDeletion). */
final class DeletionPeriod
{
    public const DAYS = 30;

    /** What was put aside before this moment comes back no more. */
    public static function since(): Carbon
    {
        return Carbon::now()->subDays(self::DAYS);
    }

    /**
     * One that is there, or that can still be brought back.
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
