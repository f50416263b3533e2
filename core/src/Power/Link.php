<?php

declare(strict_types=1);

namespace Harmozon\Core\Power;

use Harmozon\Core\Equipment\Plate;
use Harmozon\Core\Equipment\Quantity;
use Harmozon\Core\Words\Message;

/** A link of a chain with its plate. */
final readonly class Link
{
    /** The rating as it holds today. */
    public Plate $plate;

    /**
     * @param  string  $id  names it in plate checks, heat loads and bindings
     * @param  string  $piece  id of the outlet, adapter or vehicle it belongs to
     * @param  Message  $name  inside a sentence
     * @param  Message  $label  standing alone
     * @param  Message  $plateLine  what its plate says, in one line
     * @param  EffectivePlate  $now  the plate that holds today
     * @param  list<Quantity>  $about  whose limit nobody has read: a typical figure stands for it
     */
    public function __construct(
        public string $id,
        public LinkKind $kind,
        public string $piece,
        public Message $name,
        public Message $label,
        public Message $plateLine,
        public EffectivePlate $now,
        private array $about = [],
    ) {
        $this->plate = $now->plate;
    }

    /** The limit a peak is judged against: boost amps where the plate has them. */
    public function limit(Quantity $quantity): ?float
    {
        return match ($quantity) {
            Quantity::Volts => $this->plate->maxV,
            Quantity::Amps => $this->plate->peakA(),
            Quantity::Kw => $this->plate->maxKw,
        };
    }

    /** Whether a typical figure stands for this limit. */
    public function isAbout(Quantity $quantity): bool
    {
        return in_array($quantity, $this->about, true);
    }

    /** Whether it has a thermal load: a link with a current rating. */
    public function heats(): bool
    {
        return $this->kind->heats() && $this->plate->continuousA !== null;
    }
}
