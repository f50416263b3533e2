<?php

declare(strict_types=1);

namespace Harmozon\Core\Equipment;

/** A figure that no real plate can carry beside the others. The field is named as the case file names it. */
final class ImpossibleValue extends \DomainException
{
    private function __construct(public readonly string $field, string $problem)
    {
        parent::__construct($problem);
    }

    public static function of(string $field, string $problem): self
    {
        return new self($field, $problem);
    }
}
