<?php

declare(strict_types=1);

namespace Harmozon\Core\Fit;

/** Which adapters the driver is willing to use. None of them ever admits a recalled or damaged one. */
enum AdapterPolicy: string
{
    case Maker = 'maker';
    case Certified = 'certified';
    case Any = 'any';

    public function words(): string
    {
        return match ($this) {
            self::Maker => 'maker-approved adapters only',
            self::Certified => 'certified adapters',
            self::Any => 'any adapter, with warnings',
        };
    }
}
