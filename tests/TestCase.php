<?php

declare(strict_types=1);

namespace Tests;

use App\Demo\DemoGarage;
use App\Garage\CurrentGarage;
use App\Models\Garage;
use App\Models\User;
use Illuminate\Foundation\Testing\TestCase as LaravelTestCase;

abstract class TestCase extends LaravelTestCase
{
    /** A page's script would send the token of its own page; here the check is left to the one test of it. */
    protected function setUp(): void
    {
        parent::setUp();
        $this->withoutVite();
    }

    protected function demoUser(): User
    {
        $this->app->make(DemoGarage::class)->load(onlyMissing: true);

        return User::query()->where('email', config('harmozon.demo_email'))->firstOrFail();
    }

    /** Someone of another garage, which holds nothing. */
    protected function stranger(): User
    {
        $garage = Garage::query()->create(['name' => 'Another garage']);

        return User::query()->create(['garage_id' => $garage->id, 'name' => 'Stranger', 'email' => 'stranger@another.example', 'password' => 'a-long-password']);
    }

    /**
     * @template T
     *
     * @param  callable(): T  $look
     * @return T
     */
    protected function inside(User $user, callable $look): mixed
    {
        return $this->app->make(CurrentGarage::class)->open($user->garage_id, $look);
    }
}
