<?php

declare(strict_types=1);

namespace App\Console;

use App\Models\Garage;
use App\Models\User;
use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Words\Message;
use Illuminate\Console\Command;
use Illuminate\Support\Str;

/**
 * For commands about the garage that a person has open.
 *
 * @phpstan-require-extends Command
 */
trait GarageOfUser
{
    /** @throws FieldError where nobody is named, or they belong to no garage */
    private function garage(): Garage
    {
        $email = $this->option('user');
        if (! is_string($email)) {
            throw FieldError::at('user', Message::of('field.required'));
        }
        $user = User::query()->firstWhere('email', Str::lower($email)) ?? throw FieldError::at('user', Message::of('console.no_such_user', email: $email));

        return $user->garage ?? throw FieldError::at('user', Message::of('app.no_garage'));
    }
}
