<?php

declare(strict_types=1);

namespace Harmozon\Core\Equipment;

/** The power electronics behind one or several stalls. */
final readonly class Cabinet
{
    use CopyWithChanges;

    public function __construct(
        public ?float $kw,
        public ?SharingPolicy $policy,
        public ?bool $partnerActive,
        public ?float $partnerKw,
        public ?float $moduleKw,
    ) {
    }

    /** kW left for this stall while the partner charges; null when it is idle, or when the share cannot be known. */
    public function shareKw(): ?float
    {
        return $this->partnerActive === true ? $this->besidePartnerKw(isPartnerFirst: true) : null;
    }

    /**
     * kW left for this stall once a partner arrives after it; INF when the first to arrive keeps all it takes, null
     * when the share isn't known.
     */
    public function shareOnceJoinedKw(): ?float
    {
        return $this->besidePartnerKw(isPartnerFirst: false);
    }

    /** kW left for this stall if it has a neighbour, where that isn't known; null when the share isn't known either. */
    public function shareIfJoinedKw(): ?float
    {
        return $this->besidePartnerKw(isPartnerFirst: true);
    }

    private function besidePartnerKw(bool $isPartnerFirst): ?float
    {
        $kw = $this->kw;
        if ($kw === null || $this->policy === null) {
            return null;
        }

        return match ($this->policy) {
            SharingPolicy::Halves => $kw / 2,
            SharingPolicy::FirstCome => match (true) {
                ! $isPartnerFirst => INF,
                $this->partnerKw === null => null,
                default => max(0.0, $kw - $this->partnerKw),
            },
            SharingPolicy::Modules => $this->partnerKw === null || $this->moduleKw === null
                ? null
                : max(0.0, (floor($kw / $this->moduleKw) - ceil($this->partnerKw / $this->moduleKw)) * $this->moduleKw),
        };
    }

    public function isShareUnknown(): bool
    {
        return $this->partnerActive === true && $this->shareKw() === null;
    }

    public function of(float $kw): self
    {
        return $this->with(kw: $kw);
    }

    /** The same without a neighbour. */
    public function alone(): self
    {
        return $this->with(partnerActive: false);
    }
}
