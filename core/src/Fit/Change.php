<?php

declare(strict_types=1);

namespace Harmozon\Core\Fit;

/** One thing that could be different, and the answer the gates then give. */
final readonly class Change
{
    public function __construct(public string $words, public ChainAnswer $answer)
    {
    }
}
