<?php

declare(strict_types=1);

namespace App\Models;

use App\Garage\BelongsToGarage;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * One import of a network's file.
 *
 * @property int $id
 * @property string $ulid
 * @property array<string, array<string, int>> $counts places and outlets, new, changed or gone
 * @property list<array{kind: string, id: string, before: array<string, mixed>|null, after: array<string, mixed>|null}> $steps every piece as it was and as it became
 * @property Carbon $created_at
 * @property Carbon|null $undone_at
 */
final class NetworkImport extends Model
{
    use BelongsToGarage;
    use BootsByName;
    use HasPublicId;

    protected $table = 'network_imports';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['counts' => 'array', 'steps' => 'array', 'undone_at' => 'datetime'];
    }

    /** @return Collection<int, self> those that can be undone, the newest first, without what they changed */
    public static function open(): Collection
    {
        $query = self::query();
        $query->select(['id', 'ulid', 'counts', 'created_at', 'undone_at'])->whereNull('undone_at')->orderByDesc('id');

        return $query->get();
    }
}
