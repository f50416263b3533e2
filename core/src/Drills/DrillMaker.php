<?php

declare(strict_types=1);

namespace Harmozon\Core\Drills;

use Harmozon\Core\Bench\Noise;

/** Makes drills; the same kind, seed and garage give the same. */
final readonly class DrillMaker
{
    /** Draws that are tried before a kind is given up: many give no question with one certain answer. */
    private const MOST_DRAWS = 120;

    /** Seeds that are tried for a drill with a certain answer: one in thirty is nearly always met by then. */
    private const MOST_SEEDS = 150;

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

    /**
     * The seed of what a newcomer is asked first of a kind.
     *
     * @param  int  $seed  where to begin; given back where this garage has no such drill
     */
    public function firstSeed(DrillKind $kind, int $seed): int
    {
        for ($tries = 0; $tries < self::MOST_SEEDS; $tries++) {
            $tried = ($seed + $tries) & Noise::LARGEST_SEED;
            $drill = $this->drill($kind, $tried);
            if ($drill === null || $kind->isForNewcomer($drill)) {
                return $tried;
            }
        }

        return $seed;
    }
}
