<?php

declare(strict_types=1);

namespace Harmozon\Core\Equipment;

final readonly class Vehicle
{
    use CopyWithChanges;

    /**
     * @param  Curve|null  $chargeCurveKw  kW at the plug over state of charge, warm and unhindered
     * @param  non-empty-list<Inlet>  $inlets
     * @param  list<string>|null  $programmes  networks that admit this make; null when not known
     * @param  array<string, FactOrigin>  $origins  where facts come from, by their path in the case file (`inlets.0.dc.max_a`)
     */
    public function __construct(
        public string $id,
        public string $name,
        public Pack $pack,
        public ?Curve $chargeCurveKw,
        public ?float $kmPerKwh,
        public array $inlets,
        public ?array $programmes,
        public array $origins = [],
    ) {
    }

    public function withPack(Pack $pack): self
    {
        return $this->with(pack: $pack);
    }

    public function withChargeCurve(?Curve $chargeCurveKw): self
    {
        return $this->with(chargeCurveKw: $chargeCurveKw);
    }

    /**
     * The same with what a standard fixes filled in.
     *
     * @param  non-empty-list<Inlet>  $inlets
     * @param  array<string, FactOrigin>  $origins
     */
    public function completed(array $inlets, array $origins): self
    {
        return $this->with(inlets: $inlets, origins: $origins);
    }

    public function withInlet(int $index, Inlet $inlet): self
    {
        $inlets = $this->inlets;
        $inlets[$index] = $inlet;

        return $this->with(inlets: array_values($inlets));
    }
}
