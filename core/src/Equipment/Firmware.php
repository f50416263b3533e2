<?php

declare(strict_types=1);

namespace Harmozon\Core\Equipment;

/** The firmware of an active adapter. Null: not read. */
final readonly class Firmware
{
    /**
     * @param  string|null  $version  as its screen or its application says
     * @param  string|null  $on  the day it was installed (Y-m-d)
     */
    public function __construct(public ?string $version = null, public ?string $on = null)
    {
    }
}
