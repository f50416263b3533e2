<?php

declare(strict_types=1);

namespace Harmozon\Core\Steps;

use Harmozon\Core\Words\Listing;
use Harmozon\Core\Words\Message;

/** One step of a visit. */
final readonly class Step
{
    /**
     * @param  Message|null  $sign  what to see or hear when it worked; null where there is nothing to wait for
     * @param  list<Message>  $cautions  that belong to this very step
     * @param  Message|null  $ifNot  what to do when the sign does not come
     * @param  bool  $isDefault  whether the order is what is usual, because nobody has read this piece's own
     */
    public function __construct(
        public StepPhase $phase,
        public StepCode $code,
        public Message $do,
        public ?Message $sign = null,
        public array $cautions = [],
        public ?Message $ifNot = null,
        public bool $isDefault = false,
        public JointMove $joint = new JointMove,
    ) {
    }

    /** All its cautions as one; null where there is none. */
    public function caution(): ?Message
    {
        return match (count($this->cautions)) {
            0 => null,
            1 => $this->cautions[0],
            default => Message::of('step.cautions', all: Listing::spaced($this->cautions)),
        };
    }
}
