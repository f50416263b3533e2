<?php

declare(strict_types=1);

namespace Harmozon\Core\Drills;

/** Makes drills of one kind from a garage. */
interface DrillRule
{
    /** @return Drill|null null where this draw gives no question with one certain answer */
    public function draw(DrillGarage $garage, Draw $draw): ?Drill;
}
