<?php

declare(strict_types=1);

namespace App\Http;

/**
 * Names under which the application may be asked for: that of its own address (APP_URL), and those that are listed
 * (HARMOZON_HOSTS). At a loopback address it is known by the names of this machine to itself, and by no other: a page of
 * another site whose name leads here gets no answer.
 */
final readonly class KnownHosts
{
    private const LOOPBACK = ['localhost', '127.0.0.1', '[::1]'];

    /** @param  list<string>  $names  in lower case */
    private function __construct(private array $names)
    {
    }

    /** @param  array<array-key, mixed>  $listed */
    public static function of(string $address, array $listed): self
    {
        $own = mb_strtolower((string) parse_url($address, PHP_URL_HOST));
        $names = array_map(static fn (string $name): string => mb_strtolower(trim($name)), array_values(array_filter($listed, is_string(...))));

        return new self([...(in_array($own, self::LOOPBACK, true) ? self::LOOPBACK : [$own]), ...$names]);
    }

    /** @param  string  $host  without its port */
    public function has(string $host): bool
    {
        return $host !== '' && in_array(mb_strtolower(rtrim($host, '.')), $this->names, true);
    }
}
