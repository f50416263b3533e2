<?php

declare(strict_types=1);

namespace Harmozon\Core\Bench;

/** A phase of one session: from when to when (s after plugging in), and whether it is the one that fails. */
final readonly class PhaseSpan
{
    public function __construct(public Phase $phase, public float $fromS, public float $toS, public bool $isFailing = false)
    {
    }
}
