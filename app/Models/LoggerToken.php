<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Carbon;
use Laravel\Sanctum\PersonalAccessToken;

/**
 * Lets a logger append readings to sessions of one garage, in the name of the person who created it.
 *
 * @property int $id
 * @property int $garage_id
 * @property int $tokenable_id the person
 * @property-read User|null $tokenable
 * @property string $name
 * @property Carbon|null $last_used_at
 * @property Carbon|null $expires_at
 * @property Carbon $created_at
 */
final class LoggerToken extends PersonalAccessToken
{
    use BootsByName;

    /** The one thing that it may do. */
    public const APPEND = 'append';

    protected $table = 'personal_access_tokens';

    protected $guarded = [];

    protected $fillable = ['name', 'token', 'abilities', 'expires_at', 'garage_id', 'tokenable_id', 'tokenable_type'];

    /** @return Collection<int, self> of a person in a garage, newest first */
    public static function of(User $person, int $garageId): Collection
    {
        $query = self::query();
        $query->where('tokenable_type', $person->getMorphClass())->where('tokenable_id', $person->id)->where('garage_id', $garageId)->orderByDesc('id');

        return $query->get();
    }

    /** @return array<string, mixed> without the token itself: it is shown once */
    public function told(): array
    {
        return [
            'id' => (string) $this->id,
            'name' => $this->name,
            'made_at' => $this->created_at->toIso8601ZuluString(),
            'expires_at' => $this->expires_at?->toIso8601ZuluString(),
            'last_used_at' => $this->last_used_at?->toIso8601ZuluString(),
        ];
    }
}
