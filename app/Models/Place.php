<?php

declare(strict_types=1);

namespace App\Models;

use App\Garage\BelongsToGarage;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * @property int $id
 * @property string $ulid
 * @property int $garage_id
 * @property string $name
 * @property int $position
 * @property-read Collection<int, Outlet> $outlets
 */
final class Place extends Model
{
    use BelongsToGarage;
    use HasPublicId;

    protected $guarded = [];

    /** @return HasMany<Outlet, $this> */
    public function outlets(): HasMany
    {
        return $this->hasMany(Outlet::class)->orderBy('position');
    }
}
