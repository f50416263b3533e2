<?php

declare(strict_types=1);

namespace Harmozon\Core\Words;

/**
 * The base of every error that a caller can cause: the request can't be carried out, and the problem says why. Our own
 * bugs are LogicExceptions and never one of these.
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
