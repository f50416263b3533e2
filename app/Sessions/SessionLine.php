<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Models\ChargeSession;
use Harmozon\Core\Record\Verdict;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Voice;

/** A session as a line of the log: its pieces by the names they had then, and its result. */
final class SessionLine
{
    public function __construct(private readonly Voice $voice)
    {
    }

    /** @return array<string, mixed> */
    public function of(ChargeSession $session): array
    {
        return [
            'id' => $session->ulid,
            ...$session->pieces,
            'note' => $session->note,
            'stall' => $session->stall,
            'station_kwh' => $session->station_kwh,
            'paid' => $session->paid_amount === null ? null : ['amount' => $session->paid_amount, 'currency' => $session->paid_currency],
            'started_at' => $session->started_at->toIso8601ZuluString(),
            'finished_at' => $session->finished_at?->toIso8601ZuluString(),
            'verdict' => $session->verdict,
            'summary' => $session->summary === null ? null : $this->summary($session->summary, Verdict::from((string) $session->verdict)),
        ];
    }

    /**
     * @param  array<string, mixed>  $kept
     * @return array<string, mixed> the finding kept as a message is said as the garage reads it now
     */
    private function summary(array $kept, Verdict $verdict): array
    {
        $finding = $this->said($kept['finding'] ?? null);
        $says = array_values(array_filter(array_map($this->said(...), is_array($kept['says'] ?? null) ? $kept['says'] : []), is_string(...)));

        return [
            ...$kept,
            'verdict_words' => $this->voice->begin($verdict->message()),
            'finding' => $finding,
            // A session that was finished before the log said more has its first finding.
            'says' => $says === [] && $finding !== null ? [$finding] : $says,
        ];
    }

    private function said(mixed $kept): ?string
    {
        $message = Message::fromArray($kept);

        return $message === null ? (is_string($kept) ? $kept : null) : $this->voice->say($message);
    }
}
