<?php

declare(strict_types=1);

namespace App\Health;

/** The address under which people know the site (APP_URL). */
final readonly class SiteAddress
{
    /** Names of a machine for itself. */
    public const LOOPBACK = ['localhost', '127.0.0.1', '[::1]'];

    public function __construct(public string $url)
    {
    }

    /** Without its port, in lower case. */
    public function host(): string
    {
        return mb_strtolower((string) parse_url($this->url, PHP_URL_HOST));
    }

    public function isOfThisMachine(): bool
    {
        return in_array($this->host(), self::LOOPBACK, true);
    }

    public function isSecure(): bool
    {
        return str_starts_with($this->url, 'https://');
    }
}
