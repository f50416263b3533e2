<?php

declare(strict_types=1);

namespace Harmozon\Core\Equipment;

/** What stands behind an adapter's rating (UL 2252 and its kin). "Built to" is not "certified to". */
enum Certification: string
{
    case Certified = 'certified';
    case Claims = 'claims';
    case None = 'none';

    public function words(): string
    {
        return match ($this) {
            self::Certified => 'certified by a test laboratory',
            self::Claims => 'only claimed to be built to the standard',
            self::None => 'without any certification',
        };
    }
}
