<?php

declare(strict_types=1);

namespace Harmozon\Core\Equipment;

use Harmozon\Core\Words\Message;

/** The source of a piece's fact, since when, and its range. */
final readonly class FactOrigin
{
    /**
     * @param  string|null  $on  day (ISO 8601); null when nobody wrote it down
     * @param  float|Curve|null  $low  the least it may be; null when no spread is known
     * @param  float|Curve|null  $high  the most it may be; null when no spread is known
     * @param  Curve|null  $most  for a battery of which not even the class is known: the most volts there are, by which ratings are judged; null where `high` says it
     * @param  Message|null  $standard  the standard that fixes it, or that a reading contradicts
     */
    public function __construct(
        public Origin $origin,
        public ?string $on = null,
        public float|Curve|null $low = null,
        public float|Curve|null $high = null,
        public ?Curve $most = null,
        public ?Message $standard = null,
    ) {
    }

    /** The same, marked as contradicting a standard. */
    public function contradicting(Message $standard): self
    {
        return new self($this->origin, $this->on, $this->low, $this->high, $this->most, $standard);
    }

    public function isByStandard(): bool
    {
        return $this->origin === Origin::Standard;
    }

    /** Whether a standard says otherwise. The reading is believed all the same. */
    public function isContradiction(): bool
    {
        return ! $this->isByStandard() && $this->standard !== null;
    }
}
