<?php

declare(strict_types=1);

namespace Harmozon\Core\Record;

use Harmozon\Core\Equipment\Quantity;
use Harmozon\Core\Power\Link;
use Harmozon\Core\Words\Message;

/** One link and one quantity of the plate check. */
final readonly class PlateRow
{
    /** @param  PlateState|null  $peakState  where it differs from the whole */
    public function __construct(
        public Link $link,
        public Quantity $quantity,
        public PlateState $state,
        public ?PeakValue $peak,
        public ?Message $missing,
        public BoostUse $boost = new BoostUse,
        private ?PlateState $peakState = null,
    ) {
    }

    /** How the peak alone stands to the limit, whatever the minutes of a boost say. */
    public function peakState(): PlateState
    {
        return $this->peakState ?? $this->state;
    }

    /** How the minutes above the continuous amps stand to those of the boost; null where there is none. */
    public function minutesState(): ?PlateState
    {
        return match (true) {
            $this->allowedMinutes() === null => null,
            $this->boost->minutesOver === null => PlateState::NotMeasured,
            $this->boost->isOverrun => PlateState::Over,
            $this->boost->mayBeOverrun => PlateState::Close,
            default => PlateState::Within,
        };
    }

    public function isEstimated(): bool
    {
        return $this->peak?->provenance === Provenance::Estimated;
    }

    public function limit(): ?float
    {
        return $this->link->limit($this->quantity);
    }

    public function continuousLimit(): ?float
    {
        return $this->quantity === Quantity::Amps ? $this->link->plate->continuousA : null;
    }

    /** The boost minutes of the plate, where it has a boost. */
    public function allowedMinutes(): ?float
    {
        return $this->quantity === Quantity::Amps && $this->link->plate->hasBoost() ? $this->link->plate->boostMinutes : null;
    }

    /** Boost minutes that are left; those above the continuous amps that nobody read count as spent. Null where there is no boost. */
    public function leftMinutes(): ?float
    {
        $allowed = $this->allowedMinutes();

        return $allowed === null ? null : max(0.0, $allowed - ($this->boost->minutesOver ?? 0.0) - ($this->boost->minutesUnread ?? 0.0));
    }

    /** What is left below the limit, in the quantity's unit; negative above it. */
    public function margin(): ?float
    {
        $limit = $this->limit();

        return $this->peak === null || $limit === null ? null : $limit - $this->peak->value;
    }

    public function utilisation(): ?float
    {
        $limit = $this->limit();

        return $this->peak === null || $limit === null ? null : $this->peak->value / $limit;
    }
}
