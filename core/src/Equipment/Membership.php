<?php

declare(strict_types=1);

namespace Harmozon\Core\Equipment;

final readonly class Membership
{
    public function __construct(public string $monthlyFee, public string $perKwh)
    {
    }
}
