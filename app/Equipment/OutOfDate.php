<?php

declare(strict_types=1);

namespace App\Equipment;

use App\Models\Adapter;
use App\Models\Outlet;
use App\Models\Place;
use App\Models\Vehicle;

/** A piece was to be changed by somebody who has not seen its newest version. */
final class OutOfDate extends \RuntimeException
{
    /** @param  Vehicle|Adapter|Outlet|Place  $piece  as it is now; put aside, perhaps */
    public function __construct(public readonly Vehicle|Adapter|Outlet|Place $piece)
    {
        parent::__construct();
    }
}
