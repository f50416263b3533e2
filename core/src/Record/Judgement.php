<?php

declare(strict_types=1);

namespace Harmozon\Core\Record;

use Harmozon\Core\Equipment\Quantity;
use Harmozon\Core\Words\Message;

/** The result of checking a session's readings against the ratings of its chain. */
final readonly class Judgement
{
    /**
     * @param  list<Message>  $findings  worst first
     * @param  list<PlateRow>  $plateCheck
     * @param  list<TemperatureRow>  $temperatures
     * @param  list<Proven>  $proven
     * @param  float|null  $impliedUsableKwh  energy into the pack over the charge gained
     */
    public function __construct(
        public Verdict $verdict,
        public array $findings,
        public Measurements $measured,
        public array $plateCheck,
        public array $temperatures,
        public array $proven,
        public ?float $impliedUsableKwh,
    ) {
    }

    /** @return array<string, PlateState> how each piece stands to its plates, by link id; in the order of the plate check */
    public function pieces(): array
    {
        $states = [];
        foreach ($this->plateCheck as $row) {
            $states[$row->link->id][] = $row->state;
        }

        return array_map(PlateState::together(...), $states);
    }

    /**
     * Ratings that this session says nothing about: the rating wasn't read, or no reading to compare with it.
     *
     * @return list<Quantity>
     */
    public function unread(): array
    {
        $unread = array_filter($this->plateCheck, static fn (PlateRow $r): bool => in_array(PlateState::NotMeasured, [$r->peakState(), $r->minutesState()], true));

        return array_values(array_filter(Quantity::cases(), static fn (Quantity $q): bool => in_array($q, array_map(static fn (PlateRow $r): Quantity => $r->quantity, $unread), true)));
    }
}
