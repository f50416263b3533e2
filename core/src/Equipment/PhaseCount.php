<?php

declare(strict_types=1);

namespace Harmozon\Core\Equipment;

/** Phases of a supply or an onboard charger, as far as a standard fixes them. */
final readonly class PhaseCount
{
    /** The most phases of any coupler here (IEC 62196-2). */
    public const MOST = 3;

    /** @param  bool  $isAtLeast  whether there may be more, up to three */
    private function __construct(public int $phases, public bool $isAtLeast)
    {
    }

    public static function exactly(int $phases): self
    {
        return new self($phases, false);
    }

    public static function oneAtLeast(): self
    {
        return new self(1, true);
    }
}
