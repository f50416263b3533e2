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

    /** A file without prices doesn't change them: known prices stay. */
    public function keepingPriceOf(?self $last): self
    {
        return array_key_exists('tariff', $this->spec) || ! isset($last->spec['tariff']) ? $this : $this->priced($last->spec['tariff']);
    }

    /** @param  mixed  $tariff  in the words of the case file */
    public function priced(mixed $tariff): self
    {
        return new self($this->name, [...$this->spec, 'tariff' => $tariff]);
    }

    /** @return list<string> */
    public function stallKeys(): array
    {
        return StallKey::each($this->spec);
    }
}
