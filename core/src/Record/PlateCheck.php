<?php

declare(strict_types=1);

namespace Harmozon\Core\Record;

use Harmozon\Core\Equipment\Quantity;
use Harmozon\Core\Power\Link;
use Harmozon\Core\Words\Message;

/** Holds each quantity of a session against each plate of its chain. */
final class PlateCheck
{
    /** A boost may be outlasted by this much before it counts (minutes): clocks and screens round. */
    private const OVERRUN_MINUTES = 1.0;

    /** From so long on at its continuous rating, within the tolerance, a piece is close to it (minutes). */
    private const EDGE_MINUTES = 10.0 - 1e-9;

    public function __construct(private readonly float $tolerance)
    {
    }

    /**
     * @param  list<Link>  $links
     * @return list<PlateRow>
     */
    public function rows(array $links, Measured $measured): array
    {
        $rows = [];
        foreach ($links as $link) {
            foreach (Quantity::cases() as $quantity) {
                $row = $this->row($link, $quantity, $measured);
                if ($row !== null) {
                    $rows[] = $row;
                }
            }
        }

        return $rows;
    }

    private function row(Link $link, Quantity $quantity, Measured $measured): ?PlateRow
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
    private function amps(Link $link, PeakValue $peak, PlateState $state, Measured $measured): PlateRow
    {
        $duty = $measured->duties[$link->id] ?? null;
        if ($duty === null) {
            return new PlateRow($link, Quantity::Amps, $state, $peak, null);
        }
        $most = $link->plate->hasBoost() && $link->plate->boostMinutes !== null
            ? $link->plate->boostMinutes + max(self::OVERRUN_MINUTES, $measured->samplingGapS / 60)
            : INF;
        $isOverrun = $duty->minutesOverContinuous() > $most;

        return new PlateRow(
            $link,
            Quantity::Amps,
            match (true) {
                $isOverrun => PlateState::Over,
                $state === PlateState::Within && $duty->longestEdgeRunMinutes() >= self::EDGE_MINUTES => PlateState::Close,
                default => $state,
            },
            $peak,
            null,
            $duty->minutesOverContinuous(),
            $duty->minutesOverUnread(),
            $duty->thetaMax(),
            $isOverrun,
            ! $isOverrun && $duty->minutesOverInAll() > $most,
        );
    }
}
