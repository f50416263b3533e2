<?php

declare(strict_types=1);

namespace Harmozon\Core\Fit\Gates;

use Harmozon\Core\Chain\AssumedFact;
use Harmozon\Core\Chain\UnreadFact;
use Harmozon\Core\Chain\VoltagePlan;
use Harmozon\Core\Chain\VoltagePlanner;
use Harmozon\Core\Fit\Situation;

/** A battery of unknown voltage: whether all of its class fits the station, some of it, or none. */
final readonly class PackSpread
{
    /**
     * @param  bool  $fits  whether each battery of the class fits
     * @param  bool  $fitsInPart  whether any does
     */
    private function __construct(public bool $fits, public bool $fitsInPart)
    {
    }

    public static function of(Situation $situation, AssumedFact $volts): self
    {
        $least = (new VoltagePlanner)->plans($volts->slower($situation->chain), $situation->conditions);
        $most = (new VoltagePlanner)->plans($volts->faster($situation->chain), $situation->conditions);
        $runs = [$situation->voltage->mayRun(), self::run($least, $situation), self::run($most, $situation)];
        // The fewest volts lie below the station's window and the most above it: some of those between lie in it.
        $isAround = self::isBelow($least) && ! self::isBelow($most);

        return new self(! in_array(false, $runs, true), in_array(true, $runs, true) || $isAround);
    }

    /**
     * Whether one of the plans works, and needs no facts that the typical battery doesn't need.
     *
     * @param  non-empty-list<VoltagePlan>  $plans
     */
    private static function run(array $plans, Situation $situation): bool
    {
        $open = self::facts($situation->voltage->missing);

        return array_filter($plans, static fn (VoltagePlan $p): bool => $p->mayRun() && array_diff(self::facts($p->missing), $open) === []) !== [];
    }

    /** @param  non-empty-list<VoltagePlan>  $plans */
    private static function isBelow(array $plans): bool
    {
        return $plans[0]->failure?->code === VoltagePlanner::BELOW_FLOOR;
    }

    /**
     * @param  list<UnreadFact>  $missing
     * @return list<string>
     */
    private static function facts(array $missing): array
    {
        return array_map(static fn (UnreadFact $u): string => $u->asked->value, $missing);
    }
}
