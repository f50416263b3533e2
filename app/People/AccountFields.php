<?php

declare(strict_types=1);

namespace App\People;

use App\Models\User;
use Illuminate\Support\Str;
use Illuminate\Validation\Rule;

/** A person's name and e-mail, as typed on the page or the command line. */
final class AccountFields
{
    /** @return list<string> */
    public static function name(): array
    {
        return ['string', 'max:120'];
    }

    /**
     * An address that nobody else has, and not a demo account's. The later rules accept only text.
     *
     * @param  User|null  $own  the person who may keep their own address
     * @return list<mixed>
     */
    public static function email(?User $own = null): array
    {
        return ['bail', 'string', 'email', 'max:254', Rule::unique('users')->ignore($own?->id), 'doesnt_end_with:'.config('harmozon.demo_domain')];
    }

    /** In lower case, as stored, so that an address is the same however it is typed. */
    public static function kept(mixed $email): mixed
    {
        return is_string($email) ? Str::lower(trim($email)) : $email;
    }
}
