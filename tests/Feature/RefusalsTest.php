<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\ChargeSession;
use Illuminate\Support\Carbon;
use Tests\StartsFromSeed;
use Tests\TestCase;

/** What is refused, and what is cleaned: in our words, by the name of its field. */
final class RefusalsTest extends TestCase
{
    use StartsFromSeed;

    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->demoUser());
    }

    public function test_an_address_that_is_not_there_or_does_not_take_the_call_says_so(): void
    {
        $this->deleteJson('/api/board')->assertStatus(405)->assertJsonPath('message', "This address doesn't accept DELETE; it accepts GET, HEAD. Nothing was saved.")->assertHeader('Allow', 'GET, HEAD');
        self::assertStringContainsString('accept POST', (string) $this->post('/board')->assertStatus(405)->getContent());
        $this->getJson('/api/nothing')->assertNotFound()->assertJsonPath('code', 'app.no_such_address');
        $this->getJson('/api/sessions/nothing')->assertNotFound()->assertJsonPath('code', 'app.no_such_record');
    }

    public function test_who_comes_too_often_is_told_for_how_long_to_wait(): void
    {
        for ($i = 0; $i < 31; $i++) {
            $refused = $this->postJson('/api/demo-sign-in');
        }
        $refused->assertStatus(429)->assertJsonPath('code', 'app.too_many_attempts')->assertHeader('Retry-After');
        self::assertMatchesRegularExpression('/Try again in \d+ s\./', (string) $refused->json('message'));
    }

    public function test_a_number_beyond_all_numbers_is_named_wherever_it_stands(): void
    {
        foreach (['forecast' => '{"conditions": {"soc_from": 1e400}}', 'pieces/vehicles' => '{"name": "x", "spec": {"pack": {"usable_kwh": -1e999}}}'] as $path => $body) {
            $said = $this->call('POST', "/api/{$path}", server: ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json'], content: $body)->assertStatus(422);
            self::assertStringContainsString('is too large a number', (string) $said->json('message'));
            self::assertSame([$path === 'forecast' ? 'conditions.soc_from' : 'spec.pack.usable_kwh'], array_keys($said->json('errors')));
        }
    }

    public function test_names_lose_what_nobody_sees_and_passwords_lose_nothing(): void
    {
        $id = $this->postJson('/api/pieces/places', ['name' => "Wren\u{202e} wh\x07arf"])->assertCreated()->json('id');
        $named = array_column($this->getJson('/api/garage')->json('places'), 'name', 'id');
        self::assertSame('Wren wharf', $named[$id]);
        $this->postJson('/api/pieces/places', ['name' => "\u{200b}\u{ad}\u{2060}"])->assertStatus(422)->assertJsonStructure(['errors' => ['name']]);

        $person = $this->person('typist', garage: $this->demoUser()->garage);
        $this->actingAs($person)->putJson('/api/me/password', ['password' => 'the kettle is on again', 'new_password' => "bell\x07 and whistle, twice"])->assertNoContent();
        self::assertTrue(password_verify("bell\x07 and whistle, twice", $person->refresh()->password));
    }

    public function test_what_nobody_sees_is_nothing_where_something_else_is_expected(): void
    {
        $garage = $this->getJson('/api/garage')->json();
        $chain = ['vehicle' => $garage['vehicles'][1]['id'], 'outlet' => $garage['places'][2]['outlets'][2]['id'], 'adapters' => []];
        $calls = ['sessions' => $chain, 'fit' => $chain, 'steps' => $chain, 'forecast' => ['chains' => [$chain]], 'ranking' => ['vehicle' => $chain['vehicle']]];
        foreach ($calls as $path => $body) {
            $statuses = array_map(fn (string $unseen): int => $this->postJson("/api/{$path}", [...$body, 'conditions' => $unseen])->getStatusCode(), ['', "\u{202e}\0", "\u{200b}"]);
            self::assertLessThan(500, max($statuses), $path);
            self::assertCount(1, array_unique($statuses), "{$path}: an empty text and an unseen one are one");
        }
    }

    public function test_a_day_that_is_in_no_calendar_is_refused(): void
    {
        $session = ChargeSession::query()->latest('id')->firstOrFail();
        $year = now()->year;
        $this->patchJson("/api/sessions/{$session->ulid}", ['started_at' => "{$year}-02-30T10:00:00Z"])->assertStatus(422)->assertJsonPath('code', 'app.not_a_time');
        $this->getJson("/api/sessions?from={$year}-02-30")->assertStatus(422)->assertJsonPath('errors.from.0', 'The from field must be a day of the calendar, written as 2026-05-17.');
        self::assertEquals($session->started_at, $session->refresh()->started_at);
    }

    public function test_a_clock_that_was_put_back_ends_no_session_before_it_began(): void
    {
        $garage = $this->getJson('/api/garage')->json();
        $id = $this->postJson('/api/sessions', ['vehicle' => $garage['vehicles'][1]['id'], 'outlet' => $garage['places'][2]['outlets'][2]['id'], 'adapters' => []])->assertCreated()->json('session.id');
        $this->travelTo(Carbon::now()->subHours(2));
        $this->postJson("/api/sessions/{$id}/finish")->assertOk();

        $session = ChargeSession::query()->where('ulid', $id)->firstOrFail();
        self::assertEquals($session->started_at, $session->finished_at);
    }
}
