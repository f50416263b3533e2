<?php

declare(strict_types=1);

namespace Harmozon\Core\Ocpi;

use Harmozon\Core\Equipment\Outlet;

/** A finished session, as far as its driver knows it. */
final readonly class CdrSession
{
    /**
     * @param  string|null  $stall  null: not noted
     * @param  float|null  $kwh  by the station where it was typed, else as read
     * @param  array{amount: string, currency: string}|null  $paid  null: not known
     */
    public function __construct(
        public string $id,
        public Outlet $outlet,
        public ?string $stall,
        public \DateTimeImmutable $startedAt,
        public \DateTimeImmutable $endedAt,
        public ?float $kwh,
        public ?float $highestKw,
        public ?array $paid,
    ) {
    }
}
