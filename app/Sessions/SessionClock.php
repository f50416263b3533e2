<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Garage\CurrentGarage;
use App\Models\ChargeSession;
use App\Models\Reading;
use App\Models\ReadingsImport;
use Harmozon\Core\Readings\ClockStart;

/**
 * When a session was, by the clock of its readings: a file may be loaded on another day than it was written. Where no file tells
 * the day, the session's own start stands.
 */
final readonly class SessionClock
{
    public function __construct(private CurrentGarage $garage)
    {
    }

    /** @return array{\DateTimeImmutable, \DateTimeImmutable|null} plugging in, and the last reading; null without one */
    public function of(ChargeSession $session): array
    {
        $began = $this->byFile($session) ?? $session->started_at->toDateTimeImmutable();
        $lastMs = Reading::newestMs($session);

        return [$began, $lastMs === null ? null : $began->setTimestamp($began->getTimestamp() + intdiv($lastMs, 1000))];
    }

    private function byFile(ChargeSession $session): ?\DateTimeImmutable
    {
        foreach (ReadingsImport::ofSession($session) as $import) {
            $zone = new \DateTimeZone($import->keptMapping()->time->zone ?? $this->garage->zone());
            $began = $import->added > 0 ? ClockStart::fromArray($import->clock)?->pluggedIn($import->shift_ms / 1000, $zone) : null;
            if ($began !== null) {
                return $began;
            }
        }

        return null;
    }
}
