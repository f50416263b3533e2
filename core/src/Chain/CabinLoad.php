<?php

declare(strict_types=1);

namespace Harmozon\Core\Chain;

/** What the car uses for itself while it charges: plug power × efficiency = battery power + this. */
final readonly class CabinLoad
{
    /**
     * @param  float  $kw  from the car's side, between plug and battery
     * @param  bool  $isAbout  chosen by a word: a typical figure stands for it
     */
    public function __construct(public float $kw = 0.0, public bool $isAbout = false)
    {
    }

    public static function said(Cabin $cabin): self
    {
        return new self($cabin->usualKw(), $cabin !== Cabin::Off);
    }
}
