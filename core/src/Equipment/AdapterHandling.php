<?php

declare(strict_types=1);

namespace Harmozon\Core\Equipment;

/** How an adapter is used, and what it costs. */
final readonly class AdapterHandling
{
    use CopyWithChanges;

    /**
     * @param  bool|null  $batteryOk  whether the battery of an active adapter is charged; null when not known
     * @param  AttachOrder|null  $attachOrder  which end goes in first; null when not read
     * @param  string|null  $price  as a decimal; null when not known
     * @param  bool  $isForSale  not owned: it would have to be bought
     * @param  float|null  $massG  null when nobody has weighed it
     * @param  bool|null  $theftLock  whether it can be locked to the handle or the car; null when not read
     */
    public function __construct(
        public ?bool $batteryOk = null,
        public ?AttachOrder $attachOrder = null,
        public ?string $price = null,
        public bool $isForSale = false,
        public ?float $massG = null,
        public ?bool $theftLock = null,
        public Firmware $firmware = new Firmware,
        public AdapterKeeping $keeping = new AdapterKeeping,
    ) {
    }

    public function charged(): self
    {
        return $this->with(batteryOk: true);
    }

    public function forSale(): self
    {
        return $this->with(batteryOk: true, isForSale: true);
    }

    /** The same wherever it is kept and whenever it was bought. */
    public function anywhere(): self
    {
        return $this->with(keeping: new AdapterKeeping);
    }
}
