<?php

declare(strict_types=1);

namespace Harmozon\Core\Fit;

/** One question about a chain. Every gate answers independently of the gates before it. */
interface Gate
{
    public function judge(Situation $situation): GateResult;
}
