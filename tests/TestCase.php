<?php

declare(strict_types=1);

namespace Tests;

use App\Demo\DemoGarage;
use App\Garage\CurrentGarage;
use App\Garage\Role;
use App\Models\Garage;
use App\Models\User;
use App\People\Registration;
use Illuminate\Foundation\Testing\TestCase as LaravelTestCase;

abstract class TestCase extends LaravelTestCase
{
    /** A page's script would send the token of its own page; here the check is left to the one test of it. */
    protected function setUp(): void
    {
        parent::setUp();
        $this->withoutVite();
        // A worker that runs inside of the tests holds what all of them have left in memory, and is not to end because of it.
        config()->set('harmozon.worker_memory_mb', 4096);
    }

    /** Who opens the demo garage. Its seed is taken when this test has written nothing yet; otherwise the demo is loaded beside what is there. */
    protected function demoUser(): User
    {
        if (method_exists($this, 'startFrom') && User::query()->doesntExist() && Garage::query()->doesntExist()) {
            $this->startFrom(Seed::Demo);
        }
        $this->app->make(DemoGarage::class)->load(onlyMissing: true);

        return User::query()->where('email', config('harmozon.demo_email'))->firstOrFail();
    }

    /** Someone of another garage, which holds nothing. */
    protected function stranger(): User
    {
        return $this->person('stranger', garage: Garage::query()->create(['name' => 'Another garage']));
    }

    /** Somebody with the password `the kettle is on again`, in a garage, or in none. */
    protected function person(string $name, Role $role = Role::Keeper, ?Garage $garage = null): User
    {
        $person = User::query()->create(['name' => ucfirst($name), 'email' => "{$name}@another.example", 'password' => 'the kettle is on again']);
        if ($garage !== null) {
            $this->app->make(Registration::class)->join($person, $garage, $role);
        }

        return $person->refresh();
    }

    /**
     * @template T
     *
     * @param  callable(): T  $look
     * @return T
     */
    protected function inside(User $user, callable $look): mixed
    {
        return $this->app->make(CurrentGarage::class)->open((int) $user->garage_id, $look);
    }

    /** The day it is at the demo garage. */
    protected function today(): string
    {
        return now('America/New_York')->toDateString();
    }
}
