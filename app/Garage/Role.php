<?php

declare(strict_types=1);

namespace App\Garage;

use Harmozon\Core\Words\Message;

/** A person's role in a garage. */
enum Role: string
{
    case Keeper = 'keeper';
    case Driver = 'driver';
    case Reader = 'reader';

    public function may(Permission $act): bool
    {
        return match ($this) {
            self::Keeper => true,
            self::Driver => $act !== Permission::Keep,
            self::Reader => false,
        };
    }

    public function outranks(self $other): bool
    {
        return array_search($this, self::cases(), true) < array_search($other, self::cases(), true);
    }

    /** What it allows. */
    public function says(): Message
    {
        return Message::of('role_says.'.$this->value);
    }

    public function message(): Message
    {
        return Message::of('role.'.$this->value);
    }
}
