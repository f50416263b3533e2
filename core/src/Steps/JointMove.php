<?php

declare(strict_types=1);

namespace Harmozon\Core\Steps;

/** The joint that a step closes or opens: 0 lies between the first and the second piece. */
final readonly class JointMove
{
    public function __construct(public ?int $closes = null, public ?int $opens = null)
    {
    }
}
