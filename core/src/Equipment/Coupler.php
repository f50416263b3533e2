<?php

declare(strict_types=1);

namespace Harmozon\Core\Equipment;

use Harmozon\Core\Words\Message;

/** One mating shape: a family, and for sockets the kind of socket (`socket:14-50`). */
final readonly class Coupler
{
    private function __construct(public CouplerFamily $family, public string $id)
    {
    }

    /** @throws UnknownCoupler when the id is none of the families, or names no kind of socket */
    public static function of(string $id): self
    {
        /** @var array<string, self> $known one object per shape, so that comparing shapes is comparing strings */
        static $known = [];

        return $known[$id] ??= self::parse($id);
    }

    private static function parse(string $id): self
    {
        if (str_starts_with($id, 'socket:')) {
            return preg_match('/^socket:[a-z0-9][a-z0-9._-]{0,30}$/', $id) === 1
                ? new self(CouplerFamily::Socket, $id)
                : throw UnknownCoupler::socketKind($id);
        }
        $family = CouplerFamily::tryFrom($id);

        return $family === null || $family === CouplerFamily::Socket ? throw UnknownCoupler::id($id) : new self($family, $id);
    }

    public function is(self $other): bool
    {
        return $this->id === $other->id;
    }

    public function isSocket(): bool
    {
        return $this->family === CouplerFamily::Socket;
    }

    /** What people call it: "CCS1", "NEMA 14-50". A kind of socket that is not in SocketKind keeps its own name. */
    public function name(): Message
    {
        $kind = substr($this->id, strlen('socket:'));

        return match (true) {
            ! $this->isSocket() => $this->family->name(),
            default => SocketKind::tryFrom($kind)?->name() ?? Message::of('coupler_name.other_socket', kind: $kind),
        };
    }

    /** As a vehicle inlet: whether this connector goes in (the same shape, or the AC half of a combined inlet). */
    public function takes(self $connector): bool
    {
        return $this->is($connector) || $this->family->acHalf()?->value === $connector->id;
    }
}
