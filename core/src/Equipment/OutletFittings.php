<?php

declare(strict_types=1);

namespace Harmozon\Core\Equipment;

/** What is attached to an outlet: its cable, the station's own adapter, an extension lead. */
final readonly class OutletFittings
{
    use CopyWithChanges;

    public function __construct(
        public ?Cable $cable = null,
        public ?Adapter $attachedAdapter = null,
        public bool $extension = false,
    ) {
    }

    public function withoutExtension(): self
    {
        return $this->with(extension: false);
    }

    /** The same with a sound adapter in place of its own. */
    public function withSoundAdapter(): self
    {
        return $this->with(attachedAdapter: $this->attachedAdapter?->forSale());
    }
}
