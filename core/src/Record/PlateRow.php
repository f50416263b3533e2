<?php

declare(strict_types=1);

namespace Harmozon\Core\Record;

use Harmozon\Core\Equipment\Quantity;
use Harmozon\Core\Power\Link;
use Harmozon\Core\Words\Amount;
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

    /** How the peak alone compares with the limit, regardless of boost minutes. */
    public function peakState(): PlateState
    {
        return $this->peakState ?? $this->state;
    }

    /** How the minutes above the continuous rating compare with those of the boost; null where there is none. */
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

    /** Whether the limit is a typical figure that nobody has read. */
    public function isAboutLimit(): bool
    {
        return $this->link->isAbout($this->quantity);
    }

    public function continuousLimit(): ?float
    {
        return $this->quantity === Quantity::Amps ? $this->link->plate->continuousA : null;
    }

    /** The rated boost minutes, if there are any. */
    public function allowedMinutes(): ?float
    {
        return $this->quantity === Quantity::Amps && $this->link->plate->hasBoost() ? $this->link->plate->boostMinutes : null;
    }

    /** Boost minutes left; unread minutes above the continuous rating count as used. Null where there is no boost. */
    public function leftMinutes(): ?float
    {
        $allowed = $this->allowedMinutes();

        return $allowed === null ? null : max(0.0, $allowed - ($this->boost->minutesPossible ?? 0.0));
    }

    /**
     * The minutes above the continuous amps beside those of the boost: what was measured and, where gaps may hold more, what is
     * possible with them. Null where there is no boost, or no amps to tell.
     */
    public function minutesSaid(): ?Message
    {
        $allowed = $this->allowedMinutes();
        $measured = $this->boost->minutesOver;
        if ($allowed === null || $measured === null) {
            return null;
        }
        $possible = max($measured, $this->boost->minutesPossible ?? 0.0);
        $of = ['used' => Amount::tenths($measured), 'allowed' => Amount::minutes($allowed)];

        return round($possible, 1) > round($measured, 1)
            ? Message::of('boost.possible', ...$of, possible: Amount::tenths($possible))
            : Message::of('boost.measured', ...$of);
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

    /** How near to a limit this row came, by its peak or its boost minutes (1: at it); 0 where unknown. */
    public function nearness(): float
    {
        $allowed = $this->allowedMinutes();

        return max($this->utilisation() ?? 0.0, $allowed > 0 ? ($this->boost->minutesPossible ?? 0.0) / $allowed : 0.0);
    }
}
