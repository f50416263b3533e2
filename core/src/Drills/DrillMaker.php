<?php

declare(strict_types=1);

namespace Harmozon\Core\Drills;

/** Makes drills; the same kind, seed and garage give the same. */
final readonly class DrillMaker
{
    /** Draws that are tried before a kind is given up: many give no question with one certain answer. */
    private const MOST_DRAWS = 120;

    public function __construct(private DrillGarage $garage)
    {
    }

    /** @return Drill|null null where this garage has nothing of the kind to ask about */
    public function drill(DrillKind $kind, int $seed): ?Drill
    {
        $draw = new Draw($seed);
        $rule = $kind->rule();
        for ($tries = 0; $tries < self::MOST_DRAWS; $tries++) {
            $drill = $rule->draw($this->garage, $draw);
            if ($drill !== null) {
                return $drill;
            }
        }

        return null;
    }
}
