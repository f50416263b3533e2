<?php

declare(strict_types=1);

namespace Harmozon\Core\Catalogue;

/** What a person knows about a car's onboard charger. Null: "I don't know". */
final readonly class OnboardAnswer
{
    public function __construct(public ?float $kw = null, public ?int $phases = null, public ?float $minV = null, public ?float $maxV = null)
    {
    }
}
