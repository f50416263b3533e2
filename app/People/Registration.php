<?php

declare(strict_types=1);

namespace App\People;

use App\Database\Dialect;
use App\Garage\Role;
use App\Models\Garage;
use App\Models\Invitation;
use App\Models\Membership;
use App\Models\User;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** Creates accounts and garages, and adds people to a garage. */
final class Registration
{
    /** Whether nobody has an account yet, demo accounts aside. */
    public function isFirst(): bool
    {
        return User::query()->where('email', 'not like', '%'.config('harmozon.demo_domain'))->doesntExist();
    }

    /** Who may make an account: `first` while nobody has an account, `open`, or `closed`. */
    public function mode(): string
    {
        return match (true) {
            $this->isFirst() => 'first',
            config('harmozon.open') === true => 'open',
            default => 'closed',
        };
    }

    /**
     * An account with its first garage, while registration is open. If two people create the first account at once,
     * only one succeeds.
     *
     * @param  array{string, string, string}  $account  name, address, password
     * @param  array{name: string, currency: string, units: string, locale: string}  $garage
     */
    public function begin(array $account, array $garage): ?User
    {
        return DB::transaction(function () use ($account, $garage): ?User {
            Dialect::ofConnection()->peoplesTurn();
            if ($this->mode() === 'closed') {
                return null;
            }
            $person = $this->account(...$account);
            $this->garage($person, $garage);

            return $person;
        });
    }

    /**
     * Creates an account by invitation; null, and no account, where it was used or expired in the meantime.
     *
     * @param  array{string, string, string}  $account  name, address, password
     */
    public function joinAnew(Invitation $invitation, array $account): ?User
    {
        return DB::transaction(function () use ($invitation, $account): ?User {
            Dialect::ofConnection()->peoplesTurn();
            if (! $this->useUp($invitation)) {
                return null;
            }
            $person = $this->account(...$account);
            $this->join($person, $invitation->garage, $invitation->role);

            return $person;
        });
    }

    public function account(string $name, string $email, #[\SensitiveParameter] string $password): User
    {
        return User::query()->create(['name' => $name, 'email' => $email, 'password' => $password]);
    }

    /**
     * Creates an empty garage with its first owner, and opens it.
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

    /** Adds the person to the garage and opens it. Somebody who was in it already keeps the higher of the two roles. */
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

    /** False where the invitation was used or expired in the meantime: of two people at once, one gets in. */
    public function accept(Invitation $invitation, User $person): bool
    {
        return DB::transaction(function () use ($invitation, $person): bool {
            Dialect::ofConnection()->peoplesTurn();
            $isOpen = $this->useUp($invitation);
            if ($isOpen) {
                $this->join($person, $invitation->garage, $invitation->role);
            }

            return $isOpen;
        });
    }

    private function useUp(Invitation $invitation): bool
    {
        return Invitation::unused()->whereKey($invitation->id)->update(['used_at' => Carbon::now()]) === 1;
    }
}
