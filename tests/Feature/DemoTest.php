<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Demo\DemoGarage;
use App\Models\Adapter;
use App\Models\Garage;
use App\Models\User;
use Harmozon\Core\Review\Cause;
use Illuminate\Support\Facades\DB;
use Tests\StartsFromSeed;
use Tests\TestCase;

final class DemoTest extends TestCase
{
    use StartsFromSeed;

    public function test_a_garage_that_is_there_is_left_alone_and_a_missing_one_is_loaded(): void
    {
        $demo = $this->app->make(DemoGarage::class);
        self::assertCount(2, $demo->load(onlyMissing: true));
        $own = User::query()->where('email', config('harmozon.demo_email'))->firstOrFail()->garage_id;
        Garage::query()->whereKeyNot($own)->delete();

        self::assertSame(['Lanternfish, guest season'], array_map(static fn (Garage $g): string => $g->name, $demo->load(onlyMissing: true)));
        self::assertSame($own, User::query()->where('email', config('harmozon.demo_email'))->firstOrFail()->garage_id);
        self::assertSame([], $demo->load(onlyMissing: true));
    }

    public function test_loading_anew_replaces_the_demo_and_nothing_else(): void
    {
        $this->demoUser();
        $stranger = $this->stranger();
        $before = Garage::query()->pluck('id')->all();
        $this->app->make(DemoGarage::class)->load();

        self::assertSame([$stranger->garage_id], array_values(array_intersect($before, Garage::query()->pluck('id')->all())));
        self::assertSame(3, Garage::query()->count());
    }

    public function test_its_sessions_show_every_cause_and_contacts_that_wear(): void
    {
        $this->actingAs($this->demoUser());
        $shown = static fn (Cause $cause): bool => DB::table('session_facts')->where('facts', 'like', "%\"{$cause->value}\"%")->exists();
        // Limits of pieces that none of the demo's chains meets first.
        $unmet = [Cause::AdapterPower, Cause::ConverterCurrent, Cause::SupplyCurrent];

        foreach (Cause::cases() as $cause) {
            self::assertSame(! in_array($cause, $unmet, true), $shown($cause), $cause->value);
        }
        $warming = array_column($this->getJson('/api/trust')->assertOk()->json('adapters'), 'warming', 'adapter');
        self::assertSame(['warming', 'sudden'], [$warming[$this->adapter('A2')], $warming[$this->adapter('A3')]]);
    }

    private function adapter(string $tag): string
    {
        return Adapter::query()->where('tag', $tag)->firstOrFail()->ulid;
    }
}
