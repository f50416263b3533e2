<?php

declare(strict_types=1);

namespace App\Http;

use App\Health\SiteAddress;

/**
 * Host names that the application answers to: that of its own address (APP_URL) and those in HARMOZON_HOSTS. With a
 * loopback address it answers only to this machine's own names, so that another site's name pointing here gets no
 * answer.
 */
final readonly class KnownHosts
{
    /** @param  list<string>  $names  in lower case */
    private function __construct(private array $names)
    {
    }

    /** @param  array<array-key, mixed>  $listed */
    public static function of(string $address, array $listed): self
    {
        $own = new SiteAddress($address);
        $names = array_map(static fn (string $name): string => mb_strtolower(trim($name)), array_values(array_filter($listed, is_string(...))));

        return new self([...($own->isOfThisMachine() ? SiteAddress::LOOPBACK : [$own->host()]), ...$names]);
    }

    /** @param  string  $host  without its port */
    public function has(string $host): bool
    {
        return $host !== '' && in_array(mb_strtolower(rtrim($host, '.')), $this->names, true);
    }
}
