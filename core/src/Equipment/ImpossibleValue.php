<?php

declare(strict_types=1);

namespace Harmozon\Core\Equipment;

use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Refusal;

/** A figure that contradicts the others on its rating plate. The field is named as in the case file. */
final class ImpossibleValue extends Refusal
{
    private function __construct(public readonly string $field, Message $problem)
    {
        parent::__construct($problem);
    }

    public static function of(string $field, Message $problem): self
    {
        return new self($field, $problem);
    }
}
