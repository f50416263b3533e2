<?php

declare(strict_types=1);

namespace Harmozon\Core\Equipment;

/** Access, price and address of an outlet, and what is known about its stalls. */
final readonly class OutletSite
{
    use CopyWithChanges;

    /**
     * @param  string|null  $knownFault  what somebody found wrong; null when nothing is known
     * @param  list<Stall>  $stalls  those with this plate; none where nobody told them apart
     * @param  string|null  $address  as one would read it out to somebody who has to find it; null when not noted
     */
    public function __construct(
        public Access $access,
        public ?Tariff $tariff = null,
        public ?string $knownFault = null,
        public array $stalls = [],
        public ?string $address = null,
    ) {
    }

    /** The known fault without its full stop, for use inside a sentence. */
    public function faultInSentence(): ?string
    {
        return $this->knownFault === null ? null : rtrim($this->knownFault, '.; ');
    }

    public function admitting(Access $access): self
    {
        return $this->with(access: $access);
    }
}
