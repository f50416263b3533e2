<?php

declare(strict_types=1);

namespace App\Garage;

use App\Models\Garage;
use App\Models\User;
use Illuminate\Contracts\Auth\Factory as Auth;

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
        $user = $this->auth->guard()->user();

        return $user instanceof User ? $user->garage_id : null;
    }

    /**
     * @template T
     *
     * @param  callable(): T  $task
     * @return T
     */
    public function open(Garage $garage, callable $task): mixed
    {
        [$before, $this->opened] = [$this->opened, $garage->id];
        try {
            return $task();
        } finally {
            $this->opened = $before;
        }
    }
}
