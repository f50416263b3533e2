<?php

declare(strict_types=1);

namespace App\Garage;

use Harmozon\Core\Catalogue\Region;
use Harmozon\Core\Words\Units;

/** The signed-in person as a member of a garage. */
interface Member
{
    public function garageId(): ?int;

    /** How the garage reads temperatures and lengths. */
    public function units(): Units;

    /** How the garage writes numbers (BCP 47). */
    public function locale(): ?string;

    /** Of the garage (IANA). */
    public function timezone(): ?string;

    public function region(): Region;
}
