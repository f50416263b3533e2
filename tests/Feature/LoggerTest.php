<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Garage\Role;
use App\Models\ChargeSession;
use App\Models\Garage;
use App\Models\LoggerToken;
use App\Models\Membership;
use App\Models\User;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use Tests\Contract;
use Tests\StartsFromSeed;
use Tests\TestCase;

/** A logger appends readings with a token of its own, and can do nothing else. */
final class LoggerTest extends TestCase
{
    use StartsFromSeed;

    private Garage $garage;

    private User $owner;

    protected function setUp(): void
    {
        parent::setUp();
        $this->garage = $this->demoUser()->garage ?? throw new \LogicException;
        $this->owner = $this->person('ida', Role::Driver, $this->garage);
    }

    protected function tearDown(): void
    {
        Carbon::setTestNow();
        parent::tearDown();
    }

    public function test_a_logger_appends_once_whatever_it_sends_twice(): void
    {
        $token = $this->token();
        $session = $this->open();
        $batch = self::batch(1000);

        $first = $this->append($token, $session, $batch)->assertOk()->assertExactJson(['added' => 1000, 'known' => 0]);
        Contract::holds('POST', '/logger/sessions/{session}/readings', $first);
        $this->append($token, $session, $batch)->assertOk()->assertExactJson(['added' => 0, 'known' => 1000]);
        $tooMany = $this->append($token, $session, self::batch(1001))->assertStatus(422);
        Contract::holds('POST', '/logger/sessions/{session}/readings', $tooMany);
        self::assertNotNull(LoggerToken::query()->firstOrFail()->last_used_at);
    }

    public function test_a_bad_reading_is_named_and_nothing_of_the_batch_is_written(): void
    {
        $session = $this->open();
        $this->append($this->token(), $session, [...self::batch(2), ['client_id' => (string) Str::ulid(), 't_s' => 5, 'kw' => -1]])->assertStatus(422)->assertJsonStructure(['errors' => ['readings[2].kw']]);

        self::assertSame(0, $this->stored($session));
    }

    public function test_the_token_is_told_once_and_opens_nothing_else(): void
    {
        $made = $this->actingAs($this->owner)->postJson('/api/tokens', ['name' => 'van', 'days' => 30])->assertCreated();
        Contract::holds('POST', '/tokens', $made);
        $list = $this->getJson('/api/tokens')->assertOk()->assertJsonPath('tokens.0.name', 'van')->assertJsonMissingPath('tokens.0.token');
        Contract::holds('GET', '/tokens', $list);
        $this->app->make('auth')->forgetGuards();
        foreach (['/api/me', '/api/garage', '/api/sessions', "/api/sessions/{$this->open()}"] as $door) {
            $this->getJson($door, ['Authorization' => 'Bearer '.$made->json('token')])->assertUnauthorized();
        }
    }

    public function test_without_a_token_with_a_wrong_one_or_one_that_ran_out_nobody_comes_in(): void
    {
        $session = $this->open();
        $token = $this->token(days: 3);
        foreach (['', '1|wrong', 'nonsense', str_replace('|', '', $token)] as $wrong) {
            $refused = $this->append($wrong, $session, self::batch(1))->assertUnauthorized()->assertHeader('WWW-Authenticate', 'Bearer');
            Contract::holds('POST', '/logger/sessions/{session}/readings', $refused);
        }
        Carbon::setTestNow(Carbon::now()->addDays(3)->addSecond());
        $this->append($token, $session, self::batch(1))->assertUnauthorized();
        self::assertSame(0, $this->stored($session));
    }

    public function test_a_token_ends_at_once_and_is_nobody_elses(): void
    {
        $token = $this->token();
        $id = (string) LoggerToken::query()->firstOrFail()->id;
        $this->actingAs($this->person('otto', Role::Keeper, $this->garage))->deleteJson("/api/tokens/{$id}")->assertNotFound();
        Contract::holds('DELETE', '/tokens/{token}', $this->actingAs($this->owner)->deleteJson("/api/tokens/{$id}")->assertNoContent());
        $this->append($token, $this->open(), self::batch(1))->assertUnauthorized();
    }

    public function test_a_token_is_for_one_garage_while_its_owner_may_record_there(): void
    {
        $token = $this->token();
        $session = $this->open();
        $elsewhere = $this->person('wren', garage: Garage::query()->create(['name' => 'Elsewhere']));
        $theirs = (string) $this->actingAs($elsewhere)->postJson('/api/tokens', ['name' => 'van', 'days' => 30])->assertCreated()->json('token');
        Contract::holds('POST', '/logger/sessions/{session}/readings', $this->append($theirs, $session, self::batch(1))->assertNotFound());
        $this->append($token, '01ARZ3NDEKTSV4RRFFQ69G5FAV', self::batch(1))->assertNotFound();

        Membership::query()->where('user_id', $this->owner->id)->update(['role' => Role::Reader->value]);
        $refused = $this->append($token, $session, self::batch(1))->assertForbidden();
        Contract::holds('POST', '/logger/sessions/{session}/readings', $refused);
        Membership::query()->where('user_id', $this->owner->id)->delete();
        $this->append($token, $session, self::batch(1))->assertForbidden();
        self::assertSame(0, $this->stored($session));
    }

    public function test_one_that_is_too_fast_is_told_when_to_come_again(): void
    {
        $token = $this->token();
        $session = $this->open();
        for ($call = 0; $call < 120; $call++) {
            $this->append($token, $session, self::batch(1))->assertOk();
        }
        $slower = $this->append($token, $session, self::batch(1))->assertStatus(429);
        Contract::holds('POST', '/logger/sessions/{session}/readings', $slower);
        self::assertGreaterThanOrEqual(1, (int) $slower->headers->get('Retry-After'));
        self::assertLessThanOrEqual(60, (int) $slower->headers->get('Retry-After'));
        self::assertSame(120, $this->stored($session));
    }

    public function test_a_finished_session_takes_no_more(): void
    {
        $session = $this->open();
        $this->actingAs($this->owner)->postJson("/api/sessions/{$session}/finish")->assertOk();
        $this->append($this->token(), $session, self::batch(1))->assertStatus(422)->assertJsonStructure(['errors' => ['session']]);
    }

    public function test_readers_make_none_and_no_visitor_of_the_made_up_garage(): void
    {
        $this->actingAs($this->person('rita', Role::Reader, $this->garage))->postJson('/api/tokens', ['name' => 'van', 'days' => 30])->assertForbidden();
        $this->actingAs($this->demoUser())->postJson('/api/tokens', ['name' => 'van', 'days' => 30])->assertForbidden();
        $this->actingAs($this->owner)->postJson('/api/tokens', ['name' => '', 'days' => 0])->assertStatus(422)->assertJsonStructure(['errors' => ['name', 'days']]);
    }

    private function token(int $days = 30): string
    {
        return (string) $this->actingAs($this->owner)->postJson('/api/tokens', ['name' => 'van', 'days' => $days])->assertCreated()->json('token');
    }

    private function open(): string
    {
        return $this->inside($this->owner, static function (): string {
            $session = ChargeSession::query()->firstOrFail();
            $copy = $session->replicate(['ulid', 'verdict', 'summary', 'finished_at']);
            $copy->save();

            return $copy->ulid;
        });
    }

    private function stored(string $session): int
    {
        return $this->inside($this->owner, static fn (): int => ChargeSession::query()->where('ulid', $session)->firstOrFail()->readings()->count());
    }

    /**
     * @param  list<array<string, mixed>>  $readings
     * @return TestResponse<\Symfony\Component\HttpFoundation\Response>
     */
    private function append(string $token, string $session, array $readings): TestResponse
    {
        $this->app->make('auth')->forgetGuards();

        return $this->postJson("/api/logger/sessions/{$session}/readings", ['readings' => $readings], ['Authorization' => "Bearer {$token}"]);
    }

    /** @return list<array<string, mixed>> */
    private static function batch(int $many): array
    {
        return array_map(static fn (int $i): array => ['client_id' => (string) Str::ulid(), 't_s' => $i, 'kw' => 50], range(1, $many));
    }
}
