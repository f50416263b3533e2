<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Garage\Role;
use App\Models\ChargeSession;
use App\Models\Vehicle;
use Tests\Contract;
use Tests\StartsFromSeed;
use Tests\TestCase;

final class PutAsideTest extends TestCase
{
    use StartsFromSeed;

    public function test_everything_that_was_put_aside_is_listed_for_thirty_days_and_comes_back(): void
    {
        $user = $this->demoUser();
        [$car, $place, $session] = $this->inside($user, static fn (): array => [Vehicle::query()->where('name', 'Pippin')->firstOrFail(), \App\Models\Place::query()->firstOrFail(), ChargeSession::query()->firstOrFail()]);
        $this->actingAs($user);
        self::assertSame([], $this->getJson('/api/put-aside')->assertOk()->json('items'));
        $this->deleteJson("/api/pieces/vehicles/{$car->ulid}")->assertNoContent();
        $this->travel(1)->hours();
        $this->deleteJson("/api/sessions/{$session->ulid}")->assertNoContent();
        $this->travel(1)->hours();
        $this->deleteJson("/api/pieces/places/{$place->ulid}")->assertNoContent();

        $told = $this->getJson('/api/put-aside')->assertOk();
        Contract::holds('GET', '/put-aside', $told);
        self::assertSame([['places', $place->ulid, $place->name], ['sessions', $session->ulid, "{$session->pieces['vehicle']['name']} · {$session->pieces['outlet']['name']}"], ['vehicles', $car->ulid, 'Pippin']], array_map(static fn (array $i): array => [$i['kind'], $i['id'], $i['name']], $told->json('items')));

        $this->postJson("/api/pieces/vehicles/{$car->ulid}/restore")->assertOk();
        $this->postJson("/api/sessions/{$session->ulid}/restore")->assertOk();
        self::assertSame(['places'], array_column($this->getJson('/api/put-aside')->json('items'), 'kind'));
        $this->travel(30)->days();
        self::assertSame([], $this->getJson('/api/put-aside')->json('items'));
        // What is listed no more is not destroyed.
        $this->postJson("/api/pieces/places/{$place->ulid}/restore")->assertOk();
    }

    public function test_another_garage_sees_nothing_of_it_and_a_driver_brings_back_sessions_alone(): void
    {
        $user = $this->demoUser();
        [$car, $session] = $this->inside($user, static fn (): array => [Vehicle::query()->firstOrFail(), ChargeSession::query()->firstOrFail()]);
        $this->actingAs($user)->deleteJson("/api/pieces/vehicles/{$car->ulid}");
        $this->deleteJson("/api/sessions/{$session->ulid}");
        self::assertSame([], $this->actingAs($this->stranger())->getJson('/api/put-aside')->json('items'));

        $this->actingAs($this->person('driver', Role::Driver, $user->garage));
        $this->postJson("/api/pieces/vehicles/{$car->ulid}/restore")->assertForbidden();
        $this->postJson("/api/sessions/{$session->ulid}/restore")->assertOk();
    }
}
