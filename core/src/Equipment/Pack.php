<?php

declare(strict_types=1);

namespace Harmozon\Core\Equipment;

/** The traction battery: usable energy, its voltage over state of charge, and the heater that warms it. */
final readonly class Pack
{
    use CopyWithChanges;

    /**
     * @param  float|null  $nominalV  as printed; null when not known
     */
    public function __construct(public ?float $usableKwh, public ?Curve $voltageBySoc, public ?float $heaterKw = null, public ?float $nominalV = null)
    {
    }

    public function holding(float $usableKwh): self
    {
        return $this->with(usableKwh: $usableKwh);
    }

    public function atVolts(Curve $voltageBySoc): self
    {
        return $this->with(voltageBySoc: $voltageBySoc);
    }
}
