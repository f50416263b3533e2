<?php

declare(strict_types=1);

namespace Harmozon\Core\Equipment;

use Harmozon\Core\Words\Listing;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Refusal;

final class UnknownCoupler extends Refusal
{
    public static function id(string $id): self
    {
        $known = array_map(static fn (CouplerFamily $f): string => $f->value, CouplerFamily::cases());

        return new self(Message::of('coupler_id.unknown', id: $id, known: Listing::comma(array_values(array_diff($known, [CouplerFamily::Socket->value])))));
    }

    public static function socketKind(string $id): self
    {
        return new self(Message::of('coupler_id.no_socket', id: $id));
    }
}
