<?php

declare(strict_types=1);

namespace App\Models;

use App\Garage\Member;
use App\Garage\Role;
use Harmozon\Core\Catalogue\Region;
use Harmozon\Core\Words\Units;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Foundation\Auth\User as Authenticatable;
use Illuminate\Notifications\Notifiable;
use Laravel\Sanctum\HasApiTokens;

/**
 * @property int $id
 * @property string $ulid
 * @property int|null $garage_id the garage this person has open; null while they belong to none
 * @property string $name
 * @property string $email
 * @property string $password
 * @property string|null $language of Languages; null: as the browser says
 * @property-read Garage|null $garage
 * @property-read Collection<int, Membership> $memberships
 */
final class User extends Authenticatable implements Member
{
    use BootsByName;

    /** @use HasApiTokens<LoggerToken> */
    use HasApiTokens;

    use HasPublicId;
    use Notifiable;

    protected $table = 'users';

    protected $guarded = [];

    protected $hidden = ['password', 'remember_token'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['password' => 'hashed'];
    }

    public function garageId(): ?int
    {
        return $this->garage_id;
    }

    public function units(): Units
    {
        return Units::tryFrom($this->garage->units ?? '') ?? Units::Metric;
    }

    public function currency(): ?string
    {
        return $this->garage?->currency;
    }

    public function locale(): ?string
    {
        return $this->garage?->locale;
    }

    public function timezone(): ?string
    {
        return $this->garage?->timezone;
    }

    public function region(): Region
    {
        return $this->garage->region ?? Region::Elsewhere;
    }

    /** Whether this is a demo account, whose password everybody knows. */
    public function isMadeUp(): bool
    {
        $ending = config('harmozon.demo_domain');

        return is_string($ending) && str_ends_with($this->email, $ending);
    }

    /** This person's role in the open garage; null where they belong to none. */
    public function role(): ?Role
    {
        return $this->memberships->firstWhere('garage_id', $this->garage_id)?->role;
    }

    /** @return HasMany<Membership, $this> */
    public function memberships(): HasMany
    {
        return $this->hasMany(Membership::class);
    }

    /** @return BelongsTo<Garage, $this> */
    public function garage(): BelongsTo
    {
        return $this->belongsTo(Garage::class);
    }
}
