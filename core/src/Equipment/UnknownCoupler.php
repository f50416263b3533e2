<?php

declare(strict_types=1);

namespace Harmozon\Core\Equipment;

final class UnknownCoupler extends \DomainException
{
    public static function id(string $id): self
    {
        $known = array_map(static fn (CouplerFamily $f): string => $f->value, CouplerFamily::cases());

        return new self(sprintf('"%s" is no coupler; known are %s', $id, implode(', ', array_diff($known, ['socket'])).' and socket:<kind>'));
    }

    public static function socketKind(string $id): self
    {
        return new self(sprintf('"%s" names no kind of socket; write for example socket:14-50', $id));
    }
}
