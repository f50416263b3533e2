<?php

declare(strict_types=1);

namespace App\People;

use App\Garage\Permission;
use App\Models\Membership;
use App\Models\User;
use Harmozon\Core\Words\Voice;
use Illuminate\Support\Facades\Auth;

/** The signed-in person, their garage and role, as the page requests them first. */
final readonly class SignedInUser
{
    public function __construct(private Voice $voice)
    {
    }

    public static function signedIn(): User
    {
        $user = Auth::user();

        return $user instanceof User ? $user : throw new \LogicException('behind the auth middleware');
    }

    /** @return array<string, mixed> as it is now, including this request's changes */
    public function told(User $user): array
    {
        return $this->asKnown($user->unsetRelations());
    }

    /** @return array<string, mixed> as this request has found it */
    public function asKnown(User $user): array
    {
        $user->loadMissing(['garage', 'memberships.garage']);
        $garage = $user->garage;

        return [
            'user' => ['id' => $user->ulid, 'name' => $user->name, 'email' => $user->email, 'language' => $user->language, 'is_demo' => $user->isMadeUp()],
            'garage' => $garage === null ? null : [
                'id' => $garage->ulid,
                'name' => $garage->name,
                'timezone' => $garage->timezone,
                'currency' => $garage->currency,
                'units' => $garage->units,
                'locale' => $garage->locale,
                'region' => $garage->region->value,
            ],
            'role' => $user->role()?->value,
            'may' => array_values(array_map(static fn (Permission $a): string => $a->value, array_filter(Permission::cases(), static fn (Permission $a): bool => $user->role()?->may($a) === true))),
            'garages' => $user->memberships->sortBy(static fn (Membership $m): string => $m->garage->name)->values()->map(fn (Membership $m): array => [
                'id' => $m->garage->ulid, 'name' => $m->garage->name, 'role' => $m->role->value, 'role_words' => $this->voice->say($m->role->message()),
            ])->all(),
        ];
    }
}
