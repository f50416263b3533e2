<?php

declare(strict_types=1);

namespace App\Models;

use App\Garage\Role;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A person in a garage.
 *
 * @property int $id
 * @property int $garage_id
 * @property int $user_id
 * @property Role $role
 * @property-read Garage $garage
 * @property-read User $user
 */
final class Membership extends Model
{
    use BootsByName;

    protected $table = 'memberships';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['role' => Role::class];
    }

    public function hasOtherKeeper(): bool
    {
        return self::query()->where('garage_id', $this->garage_id)->where('role', Role::Keeper->value)->whereKeyNot($this->id)->exists();
    }

    /** People who had this garage open get another of theirs, or none. */
    public function leave(): void
    {
        $this->delete();
        if ($this->user->garage_id === $this->garage_id) {
            $this->user->update(['garage_id' => self::query()->where('user_id', $this->user_id)->orderBy('id')->value('garage_id')]);
        }
    }

    /** @return BelongsTo<Garage, $this> */
    public function garage(): BelongsTo
    {
        return $this->belongsTo(Garage::class);
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
