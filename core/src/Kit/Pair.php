<?php

declare(strict_types=1);

namespace Harmozon\Core\Kit;

use Harmozon\Core\Equipment\Vehicle;
use Harmozon\Core\Fit\ChainAnswer;

/** A car at an outlet, with every way in which it charges there, best first. */
final readonly class Pair
{
    /**
     * @param  list<Reach>  $ways  best first, one a piece; none where it won't charge whatever is bought
     * @param  int|null  $needs  the owned piece that the best answer with the kit uses; null for none
     * @param  ChainAnswer|null  $never  the best answer where it won't charge whatever is bought; null where it may
     */
    public function __construct(public Vehicle $vehicle, public PlacedOutlet $at, public array $ways, public ?int $needs, public ?ChainAnswer $never)
    {
    }

    /** The best way without pieces from this number on; null when there is none. */
    public function best(int $below): ?Reach
    {
        foreach ($this->ways as $way) {
            if ($way->piece < $below) {
                return $way;
            }
        }

        return null;
    }

    /** The way through one piece; null when there is none. */
    public function through(int $piece): ?Reach
    {
        foreach ($this->ways as $way) {
            if ($way->piece === $piece) {
                return $way;
            }
        }

        return null;
    }
}
