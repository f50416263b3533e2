<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Collection;

/**
 * How far a person is with one kind of drill in a garage.
 *
 * @property string $kind
 * @property int $asked
 * @property int $missed
 * @property int $step reached in the schedule
 * @property string $due_on Y-m-d
 */
final class DrillProgress extends Model
{
    use BootsByName;

    protected $table = 'drill_progress';

    protected $guarded = [];

    /** @return Collection<string, self> of a person in a garage, by kind */
    public static function of(int $userId, int $garageId): Collection
    {
        /** @var Collection<string, self> $byKind */
        $byKind = self::query()->where('user_id', $userId)->where('garage_id', $garageId)->get()->toBase()->keyBy('kind');

        return $byKind;
    }
}
