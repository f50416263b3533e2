<?php

declare(strict_types=1);

namespace Harmozon\Core\Catalogue;

/** An onboard charger as cars are sold with it. */
final readonly class OnboardCharger
{
    /** @param  bool  $isSingle  usual where the inlet has one phase alone (SAE J1772, SAE J3400); else where it may have three (IEC 62196-2) */
    public function __construct(public float $kw, public int $phases, public bool $isSingle)
    {
    }
}
