<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Models\ChargeSession;
use Illuminate\Support\Carbon;

/** A session as the API answers with it: its line, what happened, and its report. */
final readonly class SessionAnswer
{
    public function __construct(private SessionLine $lines, private SessionEvents $events, private SessionReport $reports)
    {
    }

    /** @return array<string, mixed> */
    public function of(ChargeSession $session): array
    {
        return ['now' => Carbon::now()->toIso8601ZuluString('millisecond'), 'session' => $this->lines->of($session), ...$this->events->of($session), ...$this->reports->full($session)];
    }
}
