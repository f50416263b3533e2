<?php

declare(strict_types=1);

namespace Harmozon\Core\Fit;

/** One question about a chain. Every gate answers for itself, whatever the gates before it found. */
interface Gate
{
    public function judge(Situation $situation): GateResult;
}
