<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Garage\CurrentGarage;
use App\Models\ChargeSession;
use App\Models\Reading;
use App\Models\ReadingsImport;
use Harmozon\Core\Readings\ClockStart;

/**
 * When a session took place, by the clock of its readings: a file may be imported on a later day. Without a date in a
 * file, the session's own start counts.
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
