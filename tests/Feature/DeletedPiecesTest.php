<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Garage\Role;
use App\Models\ChargeSession;
use App\Models\Outlet;
use App\Models\Vehicle;
use App\Moving\ArrivingSession;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Tests\Contract;
use Tests\StartsFromSeed;
use Tests\TestCase;

final class DeletedPiecesTest extends TestCase
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
        $this->postJson("/api/pieces/places/{$place->ulid}/restore")->assertNotFound();
    }

    public function test_after_thirty_days_it_is_destroyed_with_all_that_belongs_to_it_and_nothing_else(): void
    {
        $user = $this->demoUser();
        [$car, $outlet, $session, $other] = $this->inside($user, static fn (): array => [
            Vehicle::query()->where('name', 'Pippin')->firstOrFail(), Outlet::query()->orderBy('id')->firstOrFail(), ...ChargeSession::query()->orderBy('id')->limit(2)->get()->all(),
        ]);
        $this->actingAs($user);
        $photo = static fn (): array => ['file' => UploadedFile::fake()->image('plate.jpg', 40, 30)];
        $ofCar = $this->post("/api/pieces/vehicles/{$car->ulid}/photos", $photo())->assertCreated()->json('id');
        $ofOutlet = $this->post("/api/pieces/outlets/{$outlet->ulid}/photos", $photo())->assertCreated()->json('id');
        $ofSession = $this->post("/api/sessions/{$session->ulid}/photos", [...$photo(), 'id' => (string) Str::ulid(), 't_s' => 5])->assertCreated()->json('id');
        $file = $this->postJson("/api/sessions/{$session->ulid}/imports", ['name' => 'a.csv', 'bytes' => 5])->assertCreated()->json('id');
        $path = storage_path("app/imports/{$file}.csv");
        $readings = fn (ChargeSession $of): int => DB::table('readings')->where('charge_session_id', $of->id)->count();
        $before = [$readings($session), $readings($other)];
        self::assertGreaterThan(5, min($before));
        foreach (["pieces/vehicles/{$car->ulid}", "sessions/{$session->ulid}", "photos/{$ofOutlet}"] as $aside) {
            $this->deleteJson("/api/{$aside}")->assertNoContent();
        }

        $this->travel(29)->days();
        $this->artisan('harmozon:destroy')->expectsOutputToContain('Nothing was deleted more than 30 days ago')->assertSuccessful();
        self::assertSame($before, [$readings($session), $readings($other)]);
        self::assertFileExists($path);

        $this->travel(2)->days();
        $this->artisan('harmozon:destroy')->expectsOutputToContain('vehicles: 1 removed permanently')->assertSuccessful();
        self::assertSame([0, $before[1]], [$readings($session), $readings($other)]);
        self::assertFileDoesNotExist($path);
        self::assertSame(0, DB::table('photos')->whereIn('ulid', [$ofCar, $ofOutlet, $ofSession])->count());
        self::assertDatabaseMissing('charge_sessions', ['id' => $session->id]);
        self::assertDatabaseMissing('vehicles', ['id' => $car->id]);
        self::assertDatabaseHas('outlets', ['id' => $outlet->id]);
        // What was recorded with the car stands in its sessions.
        $this->getJson("/api/sessions/{$other->ulid}")->assertOk();
        $this->getJson('/api/board')->assertOk();
        $this->postJson("/api/pieces/vehicles/{$car->ulid}/restore")->assertNotFound();
    }

    public function test_what_never_came_in_as_a_whole_is_seen_by_nobody_and_destroyed_soon(): void
    {
        $user = $this->demoUser();
        $hidden = $this->inside($user, static function (): ChargeSession {
            $like = ChargeSession::query()->firstOrFail();

            return ArrivingSession::of(array_diff_key($like->getAttributes(), array_flip(['id', 'ulid', 'garage_id', 'case_file', 'chain_adapters', 'pieces', 'summary', 'judged_before', 'created_at', 'updated_at'])) + ['ulid' => (string) Str::ulid(), 'case_file' => $like->case_file, 'chain_adapters' => $like->chain_adapters, 'pieces' => $like->pieces], ['vehicle' => null, 'outlet' => null], null, 0, [])->session;
        });
        $this->actingAs($user);
        self::assertNotContains($hidden->ulid, array_column($this->getJson('/api/sessions')->json('sessions'), 'id'));
        self::assertSame([], $this->getJson('/api/put-aside')->json('items'));
        $this->travel(5)->hours();
        $this->artisan('harmozon:destroy')->assertSuccessful();
        self::assertDatabaseHas('charge_sessions', ['id' => $hidden->id]);
        $this->travel(2)->hours();
        $this->artisan('harmozon:destroy')->assertSuccessful();
        self::assertDatabaseMissing('charge_sessions', ['id' => $hidden->id]);
    }

    public function test_photographs_put_aside_take_room_until_they_are_destroyed(): void
    {
        $user = $this->demoUser();
        $car = $this->inside($user, static fn (): Vehicle => Vehicle::query()->firstOrFail());
        $row = ['garage_id' => $user->garage_id, 'kind' => 'vehicles', 'piece' => $car->ulid, 'name' => 'x', 'width' => 1, 'height' => 1, 'bytes' => 'x', 'created_at' => now(), 'deleted_at' => now()];
        foreach (array_chunk(array_map(static fn (int $i): array => [...$row, 'ulid' => (string) Str::ulid()], range(1, 1000)), 90) as $rows) {
            DB::table('photos')->insert($rows);
        }
        $photo = ['file' => UploadedFile::fake()->image('plate.jpg', 40, 30)];
        $this->actingAs($user)->post("/api/pieces/vehicles/{$car->ulid}/photos", $photo, ['Accept' => 'application/json'])->assertUnprocessable()
            ->assertJsonPath('errors.file.0', 'at most 1,000 photographs; 1,000 deleted ones still count for 30 days');
        $this->travel(31)->days();
        $this->artisan('harmozon:destroy')->assertSuccessful();
        $this->post("/api/pieces/vehicles/{$car->ulid}/photos", ['file' => UploadedFile::fake()->image('plate.jpg', 40, 30)])->assertCreated();
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
