<?php

declare(strict_types=1);

namespace Harmozon\Core\Review;

use Harmozon\Core\Chain\Conditions;
use Harmozon\Core\Fit\ChainAnswer;
use Harmozon\Core\Power\LimitSet;
use Harmozon\Core\Record\Event;
use Harmozon\Core\Record\EventCode;

/** The evidence for the cause of one segment: itself, its neighbours, the reference, and what was noted. */
final readonly class CauseEvidence
{
    /**
     * @param  list<ReferencePoint>  $earlier  marks before it, those with current
     * @param  Segment|null  $next  what comes after it
     * @param  Finding|null  $last  what the segment before it was found to be
     * @param  Segment|null  $lastSegment  that segment
     * @param  list<Event>  $events
     * @param  ReferencePoints  $session  all of it, the ramp too
     */
    public function __construct(
        public Segment $segment,
        public array $earlier,
        public ?Segment $next,
        public ?Finding $last,
        public ?Segment $lastSegment,
        public Reference $reference,
        public array $events,
        private ReferencePoints $session,
    ) {
    }

    public function answer(): ChainAnswer
    {
        return $this->reference->answer;
    }

    public function conditions(): Conditions
    {
        return $this->reference->conditions;
    }

    public function limits(): ?LimitSet
    {
        return $this->reference->limits;
    }

    /** Charge in the middle of the segment, as far as it is known. */
    public function soc(): float
    {
        return $this->segment->soc ?? $this->conditions()->charge->socFrom;
    }

    /** When current was first read (s). */
    public function firstFlowS(): float
    {
        return $this->session->firstFlowS;
    }

    /** The highest power within some seconds of the first current, including the ramp and the reading at its end (kW). */
    public function highestKwWithin(float $seconds): float
    {
        $early = array_filter($this->session->all, fn (ReferencePoint $m): bool => $m->moment->tS <= $this->firstFlowS() + $seconds);

        return max([0.0, ...array_map(static fn (ReferencePoint $m): float => $m->moment->kw ?? 0.0, array_values($early))]);
    }

    /** @return list<ReferencePoint> all that was read before it, the ramp too */
    public function before(): array
    {
        return array_values(array_filter($this->session->all, fn (ReferencePoint $m): bool => $m->moment->tS < $this->segment->fromS));
    }

    /** Whether nothing flowed before it. */
    public function isFirst(): bool
    {
        return $this->earlier === [];
    }

    /** @return list<float> when something was noted (s) */
    public function noted(EventCode $code): array
    {
        return array_map(static fn (Event $e): float => $e->tMs / 1000, array_values(array_filter($this->events, static fn (Event $e): bool => $e->code === $code)));
    }
}
