<?php

declare(strict_types=1);

namespace Harmozon\Core\Equipment;

/**
 * The AC supply behind a post or socket: volts per phase, continuous amps per phase (already 80 % of the breaker),
 * and phases.
 */
final readonly class Supply
{
    public function __construct(public ?float $volts, public ?float $amps, public ?int $phases)
    {
    }
}
