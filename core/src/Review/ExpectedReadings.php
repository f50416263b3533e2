<?php

declare(strict_types=1);

namespace Harmozon\Core\Review;

use Harmozon\Core\Equipment\CurrentKind;
use Harmozon\Core\Forecast\Forecast;
use Harmozon\Core\Forecast\Step;

/** What a forecast expects to be read next to the car, and the limits a reading is compared with. */
final readonly class ExpectedReadings
{
    /**
     * @param  list<Step>  $points  of the forecast, the handshake left out
     * @param  bool  $mayLeave  whether another stall may give more: the grid gives every AC post the same
     */
    private function __construct(public array $points, public bool $mayLeave)
    {
    }

    public static function of(Forecast $forecast): self
    {
        $flowing = array_values(array_filter($forecast->course->points, static fn (Step $s): bool => $s->flow->kw > 0.0));

        return new self($flowing, $forecast->answer->chain->current === CurrentKind::Dc);
    }

    /**
     * The limits that a power reading at this point is compared with.
     *
     * @return array{leaveBelowKw: float|null, nearFromKw: float, nearToKw: float}
     */
    public function marks(Step $point): array
    {
        return [
            'leaveBelowKw' => $this->mayLeave ? PowerMatch::LEAVE_BELOW_SHARE * $point->flow->kw : null,
            'nearFromKw' => PowerMatch::NEAR_FROM_SHARE * $point->flow->kw,
            'nearToKw' => (2 - PowerMatch::NEAR_FROM_SHARE) * $point->flow->kw,
        ];
    }
}
