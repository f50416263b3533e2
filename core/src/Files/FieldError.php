<?php

declare(strict_types=1);

namespace Harmozon\Core\Files;

/** One field of an input that cannot be accepted, named by its path (`vehicle.inlets[0].max_v`). */
final class FieldError extends \RuntimeException
{
    private function __construct(public readonly string $path, public readonly string $problem)
    {
        parent::__construct(($path === '' ? 'case' : $path).': '.$problem);
    }

    public static function at(string $path, string $problem): self
    {
        return new self($path, $problem);
    }
}
