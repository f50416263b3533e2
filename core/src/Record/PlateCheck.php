<?php

declare(strict_types=1);

namespace Harmozon\Core\Record;

use Harmozon\Core\Equipment\Quantity;
use Harmozon\Core\Power\Link;
use Harmozon\Core\Power\LinkKind;
use Harmozon\Core\Words\Message;

/** Compares each quantity of a session with each rating of its chain. */
final class PlateCheck
{
    /** A boost may be exceeded by this much before it counts (minutes): clocks and screens round. */
    private const OVERRUN_MINUTES = 1.0;

    /** Minutes at its continuous rating, within the tolerance, from which a piece counts as close to it. */
    private const EDGE_MINUTES = 10.0;

    /** Decimals of a minute to which a sum of seconds is exact. */
    private const MINUTE_DECIMALS = 6;

    public function __construct(private readonly float $tolerance)
    {
    }

    /**
     * @param  list<Link>  $links  along the chain
     * @return list<PlateRow> piece by piece, the adapters under test first, then the others along the chain; of each the worst row first
     */
    public function rows(array $links, Measurements $measured): array
    {
        $isTested = static fn (Link $link): bool => $link->kind === LinkKind::Adapter;
        $rows = [];
        foreach ([...array_filter($links, $isTested), ...array_filter($links, static fn (Link $l): bool => ! $isTested($l))] as $link) {
            $ofLink = [];
            foreach (Quantity::cases() as $quantity) {
                $row = $this->row($link, $quantity, $measured);
                if ($row !== null) {
                    $ofLink[] = $row;
                }
            }
            usort($ofLink, static fn (PlateRow $a, PlateRow $b): int => [$b->state->rank(), $b->utilisation() ?? 0.0] <=> [$a->state->rank(), $a->utilisation() ?? 0.0]);
            $rows = [...$rows, ...$ofLink];
        }

        return $rows;
    }

    private function row(Link $link, Quantity $quantity, Measurements $measured): ?PlateRow
    {
        $limit = $link->limit($quantity);
        $peak = $measured->peak($quantity);
        if ($limit === null) {
            return $link->kind->shows($quantity)
                ? new PlateRow($link, $quantity, PlateState::NotMeasured, $peak, Message::of('missing.rating', quantity: $quantity->message(), link: $link->name))
                : null;
        }
        if ($peak === null) {
            return new PlateRow($link, $quantity, PlateState::NotMeasured, null, Message::of('missing.value', quantity: $quantity->message()));
        }
        $state = PlateState::of($peak->value, $limit, $this->tolerance);

        return $quantity === Quantity::Amps
            ? $this->amps($link, $peak, $state, $measured)
            : new PlateRow($link, $quantity, $state, $peak, null);
    }

    /** Amps have two limits where the plate has a boost: how high, and for how long. */
    private function amps(Link $link, PeakValue $peak, PlateState $state, Measurements $measured): PlateRow
    {
        $duty = $measured->duties[$link->id] ?? null;
        if ($duty === null) {
            return new PlateRow($link, Quantity::Amps, $state, $peak, null);
        }
        $most = $link->plate->hasBoost() && $link->plate->boostMinutes !== null
            ? $link->plate->boostMinutes + max(self::OVERRUN_MINUTES, $measured->count->samplingGapS / 60)
            : INF;
        $isOverrun = $duty->minutesOverContinuous() > $most;

        return new PlateRow(
            $link,
            Quantity::Amps,
            match (true) {
                $isOverrun => PlateState::Over,
                $state === PlateState::Within && round($duty->longestEdgeRunMinutes(), self::MINUTE_DECIMALS) >= self::EDGE_MINUTES => PlateState::Close,
                default => $state,
            },
            $peak,
            null,
            new BoostUse($duty->minutesOverContinuous(), $duty->minutesOverUnread(), $duty->minutesOverInAll(), $duty->thetaMax(), $isOverrun, ! $isOverrun && $duty->minutesOverInAll() > $most),
            $state,
        );
    }
}
