<?php

declare(strict_types=1);

namespace Harmozon\Core\Catalogue;

/** What a person knows about a battery's voltage: its class, or the printed nominal voltage, which takes precedence. Null: "I don't know". */
final readonly class PackAnswer
{
    /** @param  string|null  $class  of CarKinds */
    public function __construct(public ?string $class = null, public ?float $nominalV = null)
    {
    }

    public function isGiven(): bool
    {
        return $this->class !== null || $this->nominalV !== null;
    }
}
