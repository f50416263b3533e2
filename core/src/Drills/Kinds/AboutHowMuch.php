<?php

declare(strict_types=1);

namespace Harmozon\Core\Drills\Kinds;

use Harmozon\Core\Drills\Choice;
use Harmozon\Core\Drills\Draw;
use Harmozon\Core\Drills\Drill;
use Harmozon\Core\Drills\DrillGarage;
use Harmozon\Core\Drills\DrillRule;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;

/** About how many kW a chain gives at most. */
final class AboutHowMuch implements DrillRule
{
    /** Wrong answers differ by at least this share from the right one and from each other. */
    private const APART = 0.2;

    private const MOST_WRONG = 3;

    /** Wrong answers where the chain's own figures give none, as multiples. */
    private const MULTIPLES = [0.45, 1.6, 0.7, 2.2];

    public function draw(DrillGarage $garage, Draw $draw): ?Drill
    {
        $best = $garage->charging($draw);
        $right = $best?->expectedPeakKw();
        if ($best === null || $right === null) {
            return null;
        }
        $rating = $best->chain->outlet->rating;
        $tempting = array_filter([$rating->stickerKw, $rating->maxKw, $best->idealPeakKw, ...array_map(static fn (float $m): float => $m * $right, self::MULTIPLES)], static fn (?float $kw): bool => $kw !== null && $kw > 0.0);
        $figures = [$right];
        foreach ($tempting as $kw) {
            if (count($figures) <= self::MOST_WRONG && array_filter($figures, static fn (float $f): bool => abs($f / $kw - 1) < self::APART) === []) {
                $figures[] = $kw;
            }
        }
        sort($figures);

        return new Drill(
            [$best->chain->adapters === []
                ? Message::of('drill.at', vehicle: $best->chain->vehicle->name, outlet: $best->chain->outlet->name)
                : Message::of('drill.at_through', vehicle: $best->chain->vehicle->name, outlet: $best->chain->outlet->name, adapter: $best->chain->adapters[0]->name)],
            Message::of('drill.about_how_much'),
            array_map(static fn (float $kw): Choice => new Choice((string) round($kw, 1), Message::of('drill.kw', kw: Amount::kw($kw)), $kw === $right, $kw === $right ? $best->why() : null), $figures),
            $best,
        );
    }
}
