<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Models\ChargeSession;
use App\Models\SessionEvent;
use Harmozon\Core\Record\EventCode;
use Harmozon\Core\Record\HandshakeTime;
use Harmozon\Core\Steps\AttemptedRemedy;
use Harmozon\Core\Words\Voice;

/** What happened during a session, in words of the API. */
final class SessionEvents
{
    public function __construct(private readonly Voice $voice)
    {
    }

    /** @return array{events: list<array<string, mixed>>, handshake_s: float|null} in the order they happened */
    public function of(ChargeSession $session): array
    {
        $events = array_values($session->events()->get()->all());

        return [
            'events' => array_map(fn (SessionEvent $e): array => [
                'client_id' => $e->client_id,
                't_s' => $e->t_ms / 1000,
                'code' => $e->code->value,
                'words' => $this->voice->say($e->code->message()),
                'detail' => $e->detail,
                'detail_words' => $this->detail($e),
                'took_out' => array_keys($e->took_out ?? []),
            ], $events),
            'handshake_s' => HandshakeTime::seconds(array_map(static fn (SessionEvent $e) => $e->core(), $events)),
        ];
    }

    /** The detail as a person reads it: attempted remedies are stored as codes, everything else as typed. */
    private function detail(SessionEvent $event): ?string
    {
        $tried = $event->code === EventCode::FailedStart && $event->detail !== null ? AttemptedRemedy::words($event->detail) : null;

        return $tried === null ? $event->detail : $this->voice->say($tried);
    }
}
