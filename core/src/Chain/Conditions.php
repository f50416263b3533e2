<?php

declare(strict_types=1);

namespace Harmozon\Core\Chain;

/** The charge that is wanted and the circumstances it happens in. */
final readonly class Conditions
{
    public const DEFAULT_SOC_FROM = 10.0;

    public const DEFAULT_SOC_TO = 80.0;

    /** Warm enough that the charge curve holds as published (°C). */
    public const WARM_PACK_C = 25.0;

    /** @param  array<string, float>  $theta starting heat load by link id (an adapter's id, or `cable`), 1 being the allowed rise */
    public function __construct(
        public float $socFrom = self::DEFAULT_SOC_FROM,
        public float $socTo = self::DEFAULT_SOC_TO,
        public ?float $ambientC = null,
        public ?float $packC = null,
        public bool $packPrepared = true,
        public bool $member = false,
        public array $theta = [],
    ) {
    }

    /** The pack's temperature: prepared is warm; else as read; else soaked to the ambient. Null when nothing tells. */
    public function packTemperatureC(): ?float
    {
        return $this->packPrepared ? self::WARM_PACK_C : ($this->packC ?? $this->ambientC);
    }

    public function thetaOf(string $linkId): float
    {
        return $this->theta[$linkId] ?? 0.0;
    }

    public function arriving(float $socFrom): self
    {
        return new self($socFrom, max($socFrom, $this->socTo), $this->ambientC, $this->packC, $this->packPrepared, $this->member, $this->theta);
    }

    public function prepared(): self
    {
        return new self($this->socFrom, $this->socTo, $this->ambientC, $this->packC, true, $this->member, $this->theta);
    }
}
