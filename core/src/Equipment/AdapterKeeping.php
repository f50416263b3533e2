<?php

declare(strict_types=1);

namespace Harmozon\Core\Equipment;

/** Where an owned adapter is, and when it was bought and charged. Null: not noted. */
final readonly class AdapterKeeping
{
    /**
     * @param  string|null  $keptIn  a car, a shelf, a bag
     * @param  string|null  $lentTo  who has it now; null where it isn't lent
     * @param  string|null  $purchasedOn  Y-m-d
     * @param  string|null  $chargedOn  when the battery of an active adapter was last charged (Y-m-d)
     */
    public function __construct(public ?string $keptIn = null, public ?string $lentTo = null, public ?string $purchasedOn = null, public ?string $chargedOn = null)
    {
    }
}
