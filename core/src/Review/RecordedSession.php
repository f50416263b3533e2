<?php

declare(strict_types=1);

namespace Harmozon\Core\Review;

use Harmozon\Core\Chain\Conditions;
use Harmozon\Core\Fit\ChainAnswer;
use Harmozon\Core\Record\Event;
use Harmozon\Core\Record\Judgement;

/** A recorded session: its chain, its measurements, and what limited it. */
final readonly class RecordedSession
{
    /** @param  list<Event>  $events */
    private function __construct(public ChainAnswer $answer, public Conditions $conditions, public Judgement $judgement, public Diagnosis $diagnosis, public ?string $stall, public array $events)
    {
    }

    /**
     * @param  list<Event>  $events
     * @param  string|null  $stall  what stands on it; null when nobody noted it
     */
    public static function of(ChainAnswer $answer, Conditions $conditions, Judgement $judgement, array $events = [], ?string $stall = null): self
    {
        return new self($answer, $conditions, $judgement, Diagnosis::of($answer, $conditions, $judgement->measured, $events), $stall, $events);
    }
}
