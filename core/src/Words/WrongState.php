<?php

declare(strict_types=1);

namespace Harmozon\Core\Words;

/** An action isn't possible in the current state: the session hasn't ended, or the file is still arriving. */
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
