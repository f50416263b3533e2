<?php

declare(strict_types=1);

namespace App\Health;

/** The certificate that whoever comes to the site is shown. */
final readonly class Certificate
{
    /** What lasts no longer than this is renewed now (s); of one made for a short time, its last third. */
    private const SOON_S = 14 * 86_400;

    /** How long the site is given to show it (s). */
    private const PATIENCE_S = 3;

    /** Both are Unix times (s). */
    private function __construct(private int $beginsAt, public int $endsAt)
    {
    }

    /** Asks the site itself, as a browser would. Whether the certificate can be trusted is not looked at: one for a trial ends, too. */
    public static function shownAt(SiteAddress $site): ?self
    {
        $context = stream_context_create(['ssl' => ['capture_peer_cert' => true, 'verify_peer' => false, 'verify_peer_name' => false, 'peer_name' => $site->host()]]);
        $port = parse_url($site->url, PHP_URL_PORT);
        $port = is_int($port) ? $port : 443;
        $line = @stream_socket_client("ssl://{$site->host()}:{$port}", timeout: self::PATIENCE_S, context: $context);
        if ($line === false) {
            return null;
        }
        $shown = stream_context_get_params($line)['options']['ssl']['peer_certificate'] ?? null;
        fclose($line);
        $read = $shown === null ? false : openssl_x509_parse($shown);

        return is_array($read) && isset($read['validFrom_time_t'], $read['validTo_time_t']) ? new self((int) $read['validFrom_time_t'], (int) $read['validTo_time_t']) : null;
    }

    public function endsSoon(int $now): bool
    {
        return $this->endsAt - $now < min(self::SOON_S, intdiv($this->endsAt - $this->beginsAt, 3));
    }

    /** Whole days that it still lasts; less than none when it is over. */
    public function daysLeft(int $now): int
    {
        return (int) floor(($this->endsAt - $now) / 86_400);
    }
}
