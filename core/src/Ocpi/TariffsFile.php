<?php

declare(strict_types=1);

namespace Harmozon\Core\Ocpi;

use Harmozon\Core\Words\Message;

/** Prices read from a Tariffs file. */
final readonly class TariffsFile
{
    /**
     * @param  array<string, array<string, mixed>>  $prices  by key; each as an outlet's tariff in the words of the case file
     * @param  list<Message>  $leftOpen  what of the file was not used, and why
     */
    public function __construct(public array $prices, public array $leftOpen)
    {
    }

    /** @param  string  $party  `NL*ABC`; empty where a file does not say */
    public static function key(string $party, string $id): string
    {
        return "{$party} {$id}";
    }

    /**
     * The first of the named tariffs that is in the file; tariffs without a party count as the network's own.
     *
     * @param  list<string>  $ids
     * @return array<string, mixed>|null null where none is here
     */
    public function priceOf(string $party, array $ids): ?array
    {
        foreach ($ids as $id) {
            $price = $this->prices[self::key($party, $id)] ?? $this->prices[self::key('', $id)] ?? null;
            if ($price !== null) {
                return $price;
            }
        }

        return null;
    }
}
