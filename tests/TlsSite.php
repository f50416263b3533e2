<?php

declare(strict_types=1);

namespace Tests;

use Symfony\Component\Process\Process;

/** Something that listens on a port of this machine and shows a certificate of its own; it ends with the test. */
final class TlsSite
{
    private const LISTENS = <<<'PHP'
        $site = stream_socket_server('ssl://127.0.0.1:0', context: stream_context_create(['ssl' => ['local_cert' => $argv[1]]]));
        echo stream_socket_get_name($site, false), "\n";
        while (true) {
            @stream_socket_accept($site, 60);
        }
        PHP;

    private function __construct(private readonly Process $listening, private readonly string $file, public readonly int $port)
    {
    }

    public function __destruct()
    {
        $this->listening->stop(0);
        @unlink($this->file);
    }

    public static function withCertificateFor(int $days): self
    {
        $key = openssl_pkey_new(['private_key_type' => OPENSSL_KEYTYPE_EC, 'curve_name' => 'prime256v1']);
        $request = openssl_csr_new(['commonName' => 'charge.example'], $key);
        $certificate = openssl_csr_sign($request, null, $key, $days);
        openssl_x509_export($certificate, $shown);
        openssl_pkey_export($key, $secret);
        $file = (string) tempnam(sys_get_temp_dir(), 'tls');
        file_put_contents($file, $shown.$secret);

        $listening = new Process([PHP_BINARY, '-r', self::LISTENS, $file]);
        $listening->start();
        $listening->waitUntil(static fn (string $type, string $said): bool => str_contains($said, "\n"));

        return new self($listening, $file, (int) substr((string) strrchr(trim($listening->getOutput()), ':'), 1));
    }
}
