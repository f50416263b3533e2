<?php

declare(strict_types=1);

namespace Harmozon\Core\Kit;

use Harmozon\Core\Equipment\Adapter;

/** The best purchase of a number of pieces. */
final readonly class Purchase
{
    /**
     * @param  list<Adapter>  $buy
     * @param  list<Reached>  $newly  pairs that charge with these pieces and not without any
     * @param  list<Reached>  $faster  pairs that charge without, and with more power with these pieces
     * @param  int|null  $coveredAtMost  what no purchase of as many pieces can exceed; null where this is the best one for certain
     */
    public function __construct(public array $buy, public Worth $worth, public array $newly, public array $faster, public Price $price, public ?int $coveredAtMost)
    {
    }
}
