<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Garage\Role;
use App\Models\ChargeSession;
use App\Models\Garage;
use App\Models\User;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Contract;
use Tests\StartsFromSeed;
use Tests\TestCase;

/** An answer that is lost on its way, and the same call again. */
final class IdempotentTest extends TestCase
{
    use StartsFromSeed;

    private User $keeper;

    protected function setUp(): void
    {
        parent::setUp();
        $demo = $this->demoUser();
        $this->keeper = $this->person('keeper', Role::Keeper, Garage::query()->findOrFail($demo->garage_id));
        $this->actingAs($this->keeper);
    }

    /** @return array<string, array{string, string, array<string, mixed>, array<string, mixed>, string}> path, its description, body, one to be refused, table */
    public static function creations(): array
    {
        $piece = ['blurb' => '', 'spec' => ['note' => 'x']];

        return [
            'a place' => ['pieces/places', '/pieces/{kind}', ['name' => 'Wren wharf'], ['name' => ''], 'places'],
            'a network' => ['pieces/networks', '/pieces/{kind}', ['name' => 'Tern', ...$piece], ['name' => ['x']], 'networks'],
            'a garage' => ['garages', '/garages', ['name' => 'Yard', 'currency' => 'EUR', 'units' => 'metric', 'locale' => 'en-GB', 'timezone' => 'Europe/Oslo'], ['name' => 'Yard'], 'garages'],
            'a token' => ['tokens', '/tokens', ['name' => 'box', 'days' => 30], ['name' => 'box', 'days' => 0], 'personal_access_tokens'],
            'an invitation' => ['people/invitations', '/people/invitations', ['role' => 'driver', 'note' => 'Bo'], ['role' => 'king'], 'invitations'],
            'a readings file' => ['sessions/{session}/imports', '/sessions/{session}/imports', ['name' => 'a.csv', 'bytes' => 10], ['name' => 'a.csv', 'bytes' => 0], 'readings_imports'],
        ];
    }

    /**
     * @param  array<string, mixed>  $body
     * @param  array<string, mixed>  $wrong
     */
    #[DataProvider('creations')]
    public function test_the_same_call_again_makes_nothing_again_and_is_answered_the_same(string $path, string $described, array $body, array $wrong, string $table): void
    {
        $path = '/api/'.str_replace('{session}', $this->aSession()->ulid, $path);
        $before = DB::table($table)->count();
        $named = ['Idempotency-Key' => (string) Str::ulid()];

        $this->postJson($path, $wrong, $named)->assertUnprocessable();
        $first = $this->postJson($path, $body, $named)->assertCreated();
        $again = $this->postJson($path, $body, $named);
        Contract::holds('POST', $described, $again);
        self::assertSame($first->getContent(), $again->getContent());
        self::assertSame($before + 1, DB::table($table)->count());

        $other = $this->postJson($path, [...$body, 'name' => 'Another', 'note' => 'Cy'], $named)->assertStatus(409);
        Contract::holds('POST', $described, $other);
        self::assertSame($before + 1, DB::table($table)->count());
        $this->postJson($path, $body, ['Idempotency-Key' => (string) Str::ulid()])->assertCreated();
        self::assertSame($before + 2, DB::table($table)->count());
        Contract::holds('POST', $described, $this->postJson($path, $body, ['Idempotency-Key' => 'short'])->assertStatus(400));
    }

    public function test_the_name_of_one_persons_call_says_nothing_to_another_and_is_forgotten_after_a_day(): void
    {
        $named = ['Idempotency-Key' => (string) Str::ulid()];
        $mine = $this->postJson('/api/tokens', ['name' => 'box', 'days' => 30], $named)->json('token');
        $theirs = $this->actingAs($this->person('driver', Role::Driver, $this->keeper->garage))->postJson('/api/tokens', ['name' => 'box', 'days' => 30], $named)->assertCreated()->json('token');
        self::assertNotSame($mine, $theirs);
        foreach (DB::table('answered_calls')->pluck('body') as $kept) {
            self::assertStringNotContainsString(explode('|', $mine)[1], $kept);
        }

        $this->travel(25)->hours();
        $this->postJson('/api/tokens', ['name' => 'other', 'days' => 30], ['Idempotency-Key' => (string) Str::ulid()])->assertCreated();
        self::assertSame(1, DB::table('answered_calls')->count());
    }

    public function test_a_photograph_of_a_plate_stands_once(): void
    {
        $car = DB::table('vehicles')->where('garage_id', $this->keeper->garage_id)->value('ulid');
        $send = fn (string $id, string $kind = 'vehicles', ?string $piece = null) => $this->post("/api/pieces/{$kind}/".($piece ?? $car).'/photos', ['file' => UploadedFile::fake()->image('a.jpg', 40, 30), 'id' => $id], ['Accept' => 'application/json']);
        $id = (string) Str::ulid();
        $first = $send($id)->assertCreated();
        Contract::holds('POST', '/pieces/{kind}/{piece}/photos', $again = $send($id)->assertOk());
        self::assertSame($first->json('id'), $again->json('id'));
        self::assertSame(1, DB::table('photos')->where('piece', $car)->count());
        $send($id, 'adapters', DB::table('adapters')->where('garage_id', $this->keeper->garage_id)->value('ulid'))->assertUnprocessable();
    }

    private function aSession(): ChargeSession
    {
        return $this->inside($this->keeper, static fn (): ChargeSession => ChargeSession::query()->firstOrFail());
    }
}
