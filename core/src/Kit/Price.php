<?php

declare(strict_types=1);

namespace Harmozon\Core\Kit;

use Brick\Math\BigDecimal;
use Harmozon\Core\Equipment\Adapter;

/** What some pieces cost together. A price that nobody knows makes it "at least". */
final readonly class Price
{
    /** Decimals of an amount. */
    private const DECIMALS = 2;

    private function __construct(private BigDecimal $known, private int $unknown, private int $count)
    {
    }

    /** @param  list<Adapter>  $pieces */
    public static function of(array $pieces): self
    {
        $sum = BigDecimal::zero();
        $unknown = 0;
        foreach ($pieces as $piece) {
            $piece->handling->price === null ? $unknown++ : $sum = $sum->plus($piece->handling->price);
        }

        return new self($sum, $unknown, count($pieces));
    }

    /** As a decimal; the sum of the known ones. */
    public function amount(): string
    {
        return (string) $this->known->toScale(max(self::DECIMALS, $this->known->getScale()));
    }

    /** Whether any of the prices is known. */
    public function isKnown(): bool
    {
        return $this->unknown < $this->count;
    }

    public function isAtLeast(): bool
    {
        return $this->unknown > 0;
    }

    /** Negative when this is the lower price; a known one is lower than one that isn't. */
    public function compare(self $other): int
    {
        return $this->unknown === $other->unknown ? $this->known->compareTo($other->known) : $this->unknown <=> $other->unknown;
    }
}
