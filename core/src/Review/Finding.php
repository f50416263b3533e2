<?php

declare(strict_types=1);

namespace Harmozon\Core\Review;

use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;

/** The cause found for a segment. */
final readonly class Finding
{
    public Message $tryNext;

    /** @param  float|null  $limit  the figure of the link that it rests on (A or kW); null where it rests on none */
    public function __construct(public Cause $cause, public Confidence $confidence, public Message $evidence, public ?string $linkId = null, ?Message $tryNext = null, public ?float $limit = null)
    {
        $this->tryNext = $tryNext ?? $cause->tryNext();
    }

    /** The same, found over a number of seconds. */
    public function lasting(Confidence $confidence, float $seconds): self
    {
        return new self($this->cause, $confidence, $this->evidence->lasting(Amount::minutes($seconds / 60)), $this->linkId, $this->tryNext, $this->limit);
    }
}
