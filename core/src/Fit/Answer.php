<?php

declare(strict_types=1);

namespace Harmozon\Core\Fit;

/** The answer for a vehicle at an outlet: the best chain, and the others in order. */
final readonly class Answer
{
    /** @param  list<ChainAnswer>  $alternatives */
    private function __construct(public ChainAnswer $best, public array $alternatives)
    {
    }

    /** @param  non-empty-list<ChainAnswer>  $answers  in the order of the kit, which equal ones keep */
    public static function bestOf(array $answers): self
    {
        usort($answers, static fn (ChainAnswer $a, ChainAnswer $b): int => $a->compare($b));

        return new self($answers[0], array_slice($answers, 1));
    }

    /** Whether another way with the adapters at hand would be dangerous. Stacks are only looked at where nothing else fits. */
    public function otherWayIsHazard(): bool
    {
        if ($this->best->outcome === Outcome::Hazard) {
            return false;
        }
        foreach ($this->alternatives as $other) {
            if ($other->outcome === Outcome::Hazard) {
                return true;
            }
        }

        return false;
    }
}
