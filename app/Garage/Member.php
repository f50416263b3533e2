<?php

declare(strict_types=1);

namespace App\Garage;

use Harmozon\Core\Catalogue\Region;
use Harmozon\Core\Words\Units;

/** The signed-in person as a member of a garage. */
interface Member
{
    public function garageId(): ?int;

    /** The garage's units for temperatures and lengths. */
    public function units(): Units;

    /** The garage's currency (ISO 4217). */
    public function currency(): ?string;

    /** The garage's number format (BCP 47). */
    public function locale(): ?string;

    /** Of the garage (IANA). */
    public function timezone(): ?string;

    public function region(): Region;
}
