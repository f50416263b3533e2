<?php

declare(strict_types=1);

namespace Harmozon\Core\Ocpi;

/** Connectors with one plate at one place, as an outlet in the words of the case file, its stalls among them. */
final readonly class FileOutlet
{
    /** @param  array<string, mixed>  $spec */
    public function __construct(public string $name, public array $spec)
    {
    }

    /** @return list<string> */
    public function stallKeys(): array
    {
        return StallKey::each($this->spec);
    }
}
