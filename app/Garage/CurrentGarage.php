<?php

declare(strict_types=1);

namespace App\Garage;

use Harmozon\Core\Catalogue\Region;
use Harmozon\Core\Words\Units;
use Illuminate\Auth\AuthManager;
use Illuminate\Contracts\Auth\Factory as Auth;
use Illuminate\Support\Carbon;

/** The garage whose records may be seen now: the signed-in user's, or the one a console task has opened. */
final class CurrentGarage
{
    private ?int $opened = null;

    public function __construct(private readonly Auth $auth)
    {
    }

    public function id(): ?int
    {
        if ($this->opened !== null) {
            return $this->opened;
        }

        return $this->member()?->garageId();
    }

    /** As far as it is known already: to ask who calls may write to a session before it has begun. */
    public function knownId(): ?int
    {
        $isAsked = $this->auth instanceof AuthManager && $this->auth->hasResolvedGuards();

        return $this->opened ?? ($isAsked && $this->auth->guard()->hasUser() ? $this->member()?->garageId() : null);
    }

    /** The units for temperatures and lengths; °C and metres for a console task. */
    public function units(): Units
    {
        return $this->opened === null ? ($this->member()?->units() ?? Units::Metric) : Units::Metric;
    }

    /** The number format (BCP 47); null for a console task, which writes numbers as in files. */
    public function locale(): ?string
    {
        return $this->opened === null ? $this->member()?->locale() : null;
    }

    /** Today's date at the garage (ISO 8601); in UTC for a console task. */
    public function today(): string
    {
        return Carbon::now($this->opened === null ? $this->member()?->timezone() : null)->toDateString();
    }

    /** The time zone of the garage's days. */
    public function zone(): string
    {
        return $this->opened === null ? ($this->member()?->timezone() ?? 'UTC') : 'UTC';
    }

    /** The garage's currency (ISO 4217); null for a console task. */
    public function currency(): ?string
    {
        return $this->opened === null ? $this->member()?->currency() : null;
    }

    /** The garage's region; "elsewhere" for a console task. */
    public function region(): Region
    {
        return $this->opened === null ? ($this->member()?->region() ?? Region::Elsewhere) : Region::Elsewhere;
    }

    private function member(): ?Member
    {
        $user = $this->auth->guard()->user();

        return $user instanceof Member ? $user : null;
    }

    /**
     * @template T
     *
     * @param  callable(): T  $task
     * @return T
     */
    public function open(int $garageId, callable $task): mixed
    {
        [$before, $this->opened] = [$this->opened, $garageId];
        try {
            return $task();
        } finally {
            $this->opened = $before;
        }
    }
}
