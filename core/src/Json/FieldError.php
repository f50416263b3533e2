<?php

declare(strict_types=1);

namespace Harmozon\Core\Json;

use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Refusal;

/** One field of an input that cannot be accepted, named by its path (`vehicle.inlets[0].max_v`). */
class FieldError extends Refusal
{
    final protected function __construct(public readonly string $path, Message $problem)
    {
        parent::__construct($problem);
    }

    public static function at(string $path, Message $problem): self
    {
        return new self($path, $problem);
    }

    public function complaint(): Message
    {
        return Message::of('field.complaint', path: $this->path === '' ? Message::of('field.case') : $this->path, problem: $this->problem);
    }
}
