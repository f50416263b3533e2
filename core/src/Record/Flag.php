<?php

declare(strict_types=1);

namespace Harmozon\Core\Record;

use Harmozon\Core\Words\Message;

final readonly class Flag
{
    /** @param  bool  $isOfCharge  it is the state of charge that looks wrong */
    public function __construct(public int $tMs, public FlagCode $code, public Message $detail, private bool $isOfCharge = false)
    {
    }

    /** Whether it makes volts, amps or kW of this origin doubtful: a charge spoils what was estimated from it, a temperature none. */
    public function spoils(Provenance $provenance): bool
    {
        return $this->code !== FlagCode::TemperatureRange && (! $this->isOfCharge || $provenance === Provenance::Estimated);
    }
}
