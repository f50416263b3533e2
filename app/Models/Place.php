<?php

declare(strict_types=1);

namespace App\Models;

use App\Garage\BelongsToGarage;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\SoftDeletes;

/**
 * @property int $id
 * @property string $ulid
 * @property int $garage_id
 * @property string $name
 * @property int $position
 * @property int $version
 * @property array{party: string, id: string, name: string}|null $origin what its network's file said of it the last time
 * @property-read Collection<int, Outlet> $outlets
 */
final class Place extends Model
{
    use BelongsToGarage;
    use BootsByName;
    use HasPublicId;
    use SoftDeletes;

    protected $table = 'places';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['origin' => 'array'];
    }

    /** @return Collection<int, self> with their outlets, as the garage arranged them */
    public static function inOrder(): Collection
    {
        $query = self::query();
        $query->with('outlets')->orderBy('position')->orderBy('id');

        return $query->get();
    }

    /** @return HasMany<Outlet, $this> */
    public function outlets(): HasMany
    {
        $outlets = $this->hasMany(Outlet::class);
        $outlets->orderBy('position');

        return $outlets;
    }
}
