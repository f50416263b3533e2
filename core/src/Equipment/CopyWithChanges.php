<?php

declare(strict_types=1);

namespace Harmozon\Core\Equipment;

/** Copies a value with some properties changed; the constructor's parameters must be its properties. */
trait CopyWithChanges
{
    /** @param  mixed  ...$changes  by the name of the property */
    private function with(mixed ...$changes): self
    {
        /** @var array<string, never> $properties each of the type that the constructor asks for, or PHP refuses it */
        $properties = [...get_object_vars($this), ...$changes];

        return new self(...$properties);
    }
}
