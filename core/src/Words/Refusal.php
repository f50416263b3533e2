<?php

declare(strict_types=1);

namespace Harmozon\Core\Words;

/**
 * The base of everything that a caller can cause: what was asked for cannot be done, and the problem says why. A fault of
 * our own is a LogicException and never one of these.
 */
abstract class Refusal extends \RuntimeException
{
    public function __construct(public readonly Message $problem)
    {
        parent::__construct($problem->code);
    }

    /** The whole complaint as one message. */
    public function complaint(): Message
    {
        return $this->problem;
    }
}
