<?php

declare(strict_types=1);

namespace App\People;

use App\Garage\Role;
use App\Models\Garage;
use App\Models\Invitation;
use App\Models\Membership;
use App\Models\User;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** How accounts and garages begin, and how people come into a garage. */
final class Founding
{
    /** Whether anybody may make an account: the first one of all, or where whoever runs this leaves the door open. */
    public function isOpen(): bool
    {
        return config('harmozon.open') === true || $this->isFirst();
    }

    /** Whether nobody has an account yet, but for those of the made-up garages. */
    public function isFirst(): bool
    {
        return User::query()->where('email', 'not like', '%'.config('harmozon.demo_domain'))->doesntExist();
    }

    /** How a visitor finds the door: `first` while nobody has an account, `open`, or `closed`. */
    public function door(): string
    {
        return match (true) {
            $this->isFirst() => 'first',
            $this->isOpen() => 'open',
            default => 'closed',
        };
    }

    public function account(string $name, string $email, #[\SensitiveParameter] string $password): User
    {
        return User::query()->create(['name' => $name, 'email' => $email, 'password' => $password]);
    }

    /**
     * A garage that holds nothing, with its first keeper standing in it.
     *
     * @param  array{name: string, currency: string, units: string, locale: string}  $garage
     */
    public function garage(User $keeper, array $garage): Garage
    {
        return DB::transaction(function () use ($keeper, $garage): Garage {
            $founded = Garage::query()->create($garage);
            $this->join($keeper, $founded, Role::Keeper);

            return $founded;
        });
    }

    /** The person is in the garage from now on, and stands in it. Who was in it already keeps the higher of the two roles. */
    public function join(User $person, Garage $garage, Role $role): void
    {
        $membership = Membership::query()->firstOrNew(['garage_id' => $garage->id, 'user_id' => $person->id], ['role' => $role]);
        if ($membership->exists && $role->outranks($membership->role)) {
            $membership->role = $role;
        }
        $membership->save();
        $person->unsetRelations();
        $person->update(['garage_id' => $garage->id]);
    }

    /** Uses an invitation up. False when it was used or ran out meanwhile: of two who come at once, one comes in. */
    public function accept(Invitation $invitation, User $person): bool
    {
        return DB::transaction(function () use ($invitation, $person): bool {
            $used = Invitation::query()->whereKey($invitation->id)->where('used_at', null)->where('expires_at', '>', Carbon::now())->update(['used_at' => Carbon::now()]);
            if ($used === 1) {
                $this->join($person, $invitation->garage, $invitation->role);
            }

            return $used === 1;
        });
    }
}
