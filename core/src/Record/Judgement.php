<?php

declare(strict_types=1);

namespace Harmozon\Core\Record;

use Harmozon\Core\Words\Message;

/** What a session's readings say about the pieces it went through. */
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
        public Measured $measured,
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
}
