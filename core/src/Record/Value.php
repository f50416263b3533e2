<?php

declare(strict_types=1);

namespace Harmozon\Core\Record;

final readonly class Value
{
    public function __construct(public float $value, public Provenance $provenance)
    {
    }

    public static function measured(?float $value): ?self
    {
        return $value === null ? null : new self($value, Provenance::Measured);
    }

    public static function derived(float $value): self
    {
        return new self($value, Provenance::Derived);
    }

    public static function estimated(float $value): self
    {
        return new self($value, Provenance::Estimated);
    }
}
