<?php

declare(strict_types=1);

namespace Harmozon\Core\Review;

use Harmozon\Core\Chain\Conditions;
use Harmozon\Core\Fit\ChainAnswer;
use Harmozon\Core\Power\LimitSet;
use Harmozon\Core\Record\Event;
use Harmozon\Core\Record\EventCode;

/** What there is to tell the cause of one stretch from: itself, what came before and after, the reference, and what was noted. */
final readonly class Clues
{
    /**
     * @param  list<Mark>  $earlier  marks before it, those with current
     * @param  Stretch|null  $next  what comes after it
     * @param  Finding|null  $last  what the stretch before it was found to be
     * @param  Stretch|null  $lastStretch  that stretch
     * @param  list<Event>  $events
     */
    public function __construct(
        public Stretch $stretch,
        public array $earlier,
        public ?Stretch $next,
        public ?Finding $last,
        public ?Stretch $lastStretch,
        public Reference $reference,
        public array $events,
        public float $firstFlowS,
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

    /** Charge in the middle of the stretch, as far as it is known. */
    public function soc(): float
    {
        return $this->stretch->soc ?? $this->conditions()->charge->socFrom;
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
