<?php

declare(strict_types=1);

namespace Harmozon\Core\Power;

/** The smallest of several limits on one quantity, and the link it belongs to. */
final class SmallestLimit
{
    /** INF while there is none. */
    public float $value = INF;

    public BindingCode $code = BindingCode::VehicleCurve;

    public string $linkId = '';

    public function isKnown(): bool
    {
        return $this->value < INF;
    }

    /** One more limit; of two equal ones the first by precedence is named. */
    public function offer(float $value, BindingCode $code, string $linkId): void
    {
        if ($value < $this->value || ($value === $this->value && $code->precedence() < $this->code->precedence())) {
            $this->value = $value;
            $this->code = $code;
            $this->linkId = $linkId;
        }
    }
}
