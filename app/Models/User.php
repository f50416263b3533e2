<?php

declare(strict_types=1);

namespace App\Models;

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
final class User extends Authenticatable
{
    use HasPublicId;

    protected $guarded = [];

    protected $hidden = ['password', 'remember_token'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['password' => 'hashed'];
    }

    /** @return BelongsTo<Garage, $this> */
    public function garage(): BelongsTo
    {
        return $this->belongsTo(Garage::class);
    }
}
