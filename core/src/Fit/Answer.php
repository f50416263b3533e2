<?php

declare(strict_types=1);

namespace Harmozon\Core\Fit;

/** The answer for a vehicle at an outlet: the best chain, and the others in order. */
final readonly class Answer
{
    /** @param  list<ChainAnswer>  $alternatives */
    public function __construct(public ChainAnswer $best, public array $alternatives)
    {
    }
}
