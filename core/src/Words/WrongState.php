<?php

declare(strict_types=1);

namespace Harmozon\Core\Words;

/** Something is not in the state in which this could be done to it: a session that has not ended, a file that is still arriving. */
final class WrongState extends Refusal
{
    /** @param  string  $thing  what it is the state of, as answers name it (`session`) */
    private function __construct(public readonly string $thing, Message $problem)
    {
        parent::__construct($problem);
    }

    public static function of(string $thing, Message $problem): self
    {
        return new self($thing, $problem);
    }
}
