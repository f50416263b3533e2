<?php

declare(strict_types=1);

namespace App\Models;

use App\Garage\Member;
use Harmozon\Core\Words\Units;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Foundation\Auth\User as Authenticatable;

/**
 * @property int $id
 * @property string $ulid
 * @property int $garage_id
 * @property string $name
 * @property string $email
 * @property string $password
 * @property-read Garage $garage
 */
final class User extends Authenticatable implements Member
{
    use HasPublicId;

    protected $guarded = [];

    protected $hidden = ['password', 'remember_token'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['password' => 'hashed'];
    }

    public function garageId(): int
    {
        return $this->garage_id;
    }

    public function units(): Units
    {
        return Units::tryFrom($this->garage->units) ?? Units::Metric;
    }

    public function locale(): string
    {
        return $this->garage->locale;
    }

    /** @return BelongsTo<Garage, $this> */
    public function garage(): BelongsTo
    {
        return $this->belongsTo(Garage::class);
    }
}
