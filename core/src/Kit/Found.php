<?php

declare(strict_types=1);

namespace Harmozon\Core\Kit;

use Harmozon\Core\Equipment\Adapter;

/** A choice of pieces to buy, what the kit is worth with them, and their price. */
final readonly class Found
{
    public Worth $worth;

    /** @param  list<int>  $pieces */
    private function __construct(public array $pieces, public Kit $kit, public Price $price)
    {
        $this->worth = $kit->worth();
    }

    /**
     * @param  list<int>  $chosen
     * @param  list<Adapter>  $pieces  of the question
     */
    public static function of(array $chosen, Kit $kit, array $pieces): self
    {
        return new self($chosen, $kit, Price::of(array_map(static fn (int $c): Adapter => $pieces[$c], $chosen)));
    }

    /** Whether it is worth more, or as much at a lower price. */
    public function isBetterThan(?self $other): bool
    {
        if ($other === null) {
            return true;
        }
        $worth = $this->worth->compare($other->worth);

        return $worth > 0 || ($worth === 0 && $this->price->compare($other->price) < 0);
    }
}
