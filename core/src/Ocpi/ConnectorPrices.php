<?php

declare(strict_types=1);

namespace Harmozon\Core\Ocpi;

use Harmozon\Core\Json\Node;

/** Finds the price of each connector among the tariffs it names, and counts how many could be found. */
final class ConnectorPrices
{
    /** @var array<string, bool> every tariff that was named, and whether it has a price */
    private array $named = [];

    public function __construct(private readonly ?TariffsFile $tariffs)
    {
    }

    /**
     * @param  string  $party  of the location
     * @return array<string, mixed>|null as an outlet's tariff; null where no price was found
     */
    public function of(Node $connector, string $party): ?array
    {
        $ids = array_values(array_filter($connector->has('tariff_ids') ? $connector->list('tariff_ids') : [], static fn (mixed $id): bool => is_string($id) && trim($id) !== ''));
        foreach ($ids as $id) {
            $this->named[TariffsFile::key($party, $id)] = $this->tariffs?->priceOf($party, [$id]) !== null;
        }

        return $this->tariffs?->priceOf($party, $ids);
    }

    public function read(): PricesRead
    {
        return new PricesRead(count($this->named), count(array_filter($this->named)), $this->tariffs->leftOpen ?? []);
    }
}
