<?php

declare(strict_types=1);

namespace App\Garage;

use Harmozon\Core\Catalogue\Region;
use Harmozon\Core\Words\Units;
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

    /** How the one who asks reads temperatures and lengths; a console task speaks °C and metres. */
    public function units(): Units
    {
        return $this->opened === null ? ($this->member()?->units() ?? Units::Metric) : Units::Metric;
    }

    /** How the one who asks writes numbers; null for a console task, which writes them as files have them. */
    public function locale(): ?string
    {
        return $this->opened === null ? $this->member()?->locale() : null;
    }

    /** The day it is at the garage (ISO 8601); in UTC for a console task. */
    public function today(): string
    {
        return Carbon::now($this->opened === null ? $this->member()?->timezone() : null)->toDateString();
    }

    /** In which the days of the garage are counted. */
    public function zone(): string
    {
        return $this->opened === null ? ($this->member()?->timezone() ?? 'UTC') : 'UTC';
    }

    /** Where the garage is; somewhere else for a console task. */
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
