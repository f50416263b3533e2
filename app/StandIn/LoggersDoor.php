<?php

declare(strict_types=1);

namespace App\StandIn;

use Illuminate\Http\Client\ConnectionException;
use Illuminate\Http\Client\Response;
use Illuminate\Support\Facades\Http;

/** A Harmozon as a logger sees it: one door, which takes readings of one session with a token. */
final readonly class LoggersDoor
{
    private const TIMEOUT_S = 20;

    public function __construct(private string $url, private string $session, private string $token)
    {
    }

    /**
     * @param  list<array<string, mixed>>  $readings
     * @return Response|null null where nobody answers
     */
    public function send(array $readings): ?Response
    {
        try {
            return Http::withToken($this->token)->acceptJson()->timeout(self::TIMEOUT_S)->post(rtrim($this->url, '/')."/api/logger/sessions/{$this->session}/readings", ['readings' => $readings]);
        } catch (ConnectionException) {
            return null;
        }
    }
}
