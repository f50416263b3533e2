<?php

declare(strict_types=1);

namespace App\Models;

use App\Garage\Role;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;

/**
 * A link by which one person joins a garage, once, within a week.
 *
 * @property int $id
 * @property string $ulid
 * @property int $garage_id
 * @property int|null $invited_by
 * @property Role $role
 * @property string $note whom it is meant for, in the owner's words
 * @property string $token_hash
 * @property Carbon $expires_at
 * @property Carbon|null $used_at
 * @property-read Garage $garage
 */
final class Invitation extends Model
{
    use BootsByName;
    use HasPublicId;

    protected $table = 'invitations';

    public const DAYS = 7;

    protected $guarded = [];

    protected $hidden = ['token_hash'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['role' => Role::class, 'expires_at' => 'immutable_datetime', 'used_at' => 'immutable_datetime'];
    }

    public static function hashOf(string $token): string
    {
        return hash('sha256', $token);
    }

    /** 238 bits, shown once. */
    public static function newToken(): string
    {
        return Str::random(40);
    }

    /** @return Builder<self> those that may still be used */
    public static function unused(): Builder
    {
        return self::query()->where('used_at', null)->where('expires_at', '>', Carbon::now());
    }

    /** The invitation behind a link, while it may still be used. */
    public static function open(string $token): ?self
    {
        return self::unused()->with('garage')->where('token_hash', self::hashOf($token))->first();
    }

    /** @return BelongsTo<Garage, $this> */
    public function garage(): BelongsTo
    {
        return $this->belongsTo(Garage::class);
    }
}
