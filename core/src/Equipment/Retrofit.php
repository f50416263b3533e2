<?php

declare(strict_types=1);

namespace Harmozon\Core\Equipment;

/** Whether a workshop can add communication protocols to a car. */
final readonly class Retrofit
{
    /** @param  list<Signalling>  $adds */
    private function __construct(public bool $possible, public array $adds)
    {
    }

    /** @param  list<Signalling>  $adds */
    public static function adding(array $adds): self
    {
        return new self(true, $adds);
    }

    public static function impossible(): self
    {
        return new self(false, []);
    }

    public function adds(Signalling $language): bool
    {
        return $this->possible && in_array($language, $this->adds, true);
    }
}
