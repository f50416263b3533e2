<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Adapter;
use App\Models\Outlet;
use App\Models\Vehicle;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use Tests\Contract;
use Tests\StartsFromSeed;
use Tests\TestCase;

/** What is noted beside the car, also by a phone that was without a network for hours. */
final class EventApiTest extends TestCase
{
    use StartsFromSeed;

    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->demoUser());
    }

    public function test_events_are_noted_once_in_their_order_and_give_the_handshake(): void
    {
        $id = $this->begin()->json('session.id');
        $plugged = ['client_id' => (string) Str::ulid(), 't_s' => 0, 'code' => 'plugged'];
        $flows = ['client_id' => (string) Str::ulid(), 't_s' => 41.5, 'code' => 'current_flows'];

        $noted = $this->note($id, [$flows])->assertOk()->assertJsonPath('handshake_s', null);
        Contract::holds('POST', '/sessions/{session}/events', $noted);
        $this->note($id, [$plugged, $flows])->assertJsonPath('added', 1)->assertJsonPath('handshake_s', 41.5);
        $this->note($id, [$plugged, $flows])->assertJsonPath('added', 0);
        $report = $this->getJson("/api/sessions/{$id}")->assertOk();
        Contract::holds('GET', '/sessions/{session}', $report);
        self::assertSame([['plugged', 'plugged in'], ['current_flows', 'current flows']], array_map(static fn (array $e): array => [$e['code'], $e['words']], $report->json('events')));

        $this->postJson("/api/sessions/{$id}/finish")->assertOk();
        $this->note($id, [['client_id' => (string) Str::ulid(), 't_s' => 20, 'code' => 'failed_start', 'detail' => 'join_again']])->assertOk()->assertJsonPath('events.1.detail', 'join_again');
        Contract::holds('DELETE', '/sessions/{session}/events/{clientId}', $this->deleteJson("/api/sessions/{$id}/events/{$flows['client_id']}")->assertOk()->assertJsonCount(2, 'events'));
        $this->deleteJson("/api/sessions/{$id}/events/{$flows['client_id']}")->assertOk()->assertJsonCount(2, 'events');
        $this->deleteJson('/api/sessions/'.Str::ulid()."/events/{$flows['client_id']}")->assertNotFound();
    }

    public function test_what_cannot_be_an_event_is_named_and_nothing_is_noted(): void
    {
        $id = $this->begin()->json('session.id');
        $good = ['client_id' => (string) Str::ulid(), 't_s' => 0, 'code' => 'plugged'];
        foreach ([['code' => 'exploded'], ['t_s' => -1], ['t_s' => null], ['client_id' => 'mine'], ['detail' => str_repeat('x', 201)]] as $wrong) {
            $refused = $this->note($id, [$good, [...$good, 'client_id' => (string) Str::ulid(), ...$wrong]])->assertStatus(422);
            Contract::holds('POST', '/sessions/{session}/events', $refused);
            self::assertStringStartsWith('events', array_key_first($refused->json('errors')));
        }
        self::assertSame([], $this->getJson("/api/sessions/{$id}")->json('events'));
    }

    public function test_smell_or_heat_takes_the_adapter_out_of_use_everywhere_until_it_is_looked_at(): void
    {
        $id = $this->begin()->json('session.id');
        $smell = ['client_id' => (string) Str::ulid(), 't_s' => 300, 'code' => 'smell_or_heat'];

        $this->note($id, [$smell])->assertOk()->assertJsonPath('events.0.took_out', [$this->adapter()->ulid]);
        $this->note($id, [$smell])->assertJsonPath('added', 0);
        self::assertTrue($this->adapter()->spec['damaged']);
        self::assertSame('hazard', $this->begin()->json('chain.outcome'));

        // A slip of the thumb: it is as it was.
        $this->deleteJson("/api/sessions/{$id}/events/{$smell['client_id']}")->assertOk();
        self::assertFalse($this->adapter()->spec['damaged']);
        self::assertNotSame('hazard', $this->begin()->json('chain.outcome'));

        // Somebody has looked at it meanwhile: what they wrote stands.
        $this->note($id, [[...$smell, 'client_id' => $second = (string) Str::ulid()]])->assertOk();
        $this->putJson("/api/pieces/adapters/{$this->adapter()->ulid}", ['version' => $this->adapter()->version, 'changes' => ['damaged' => null]])->assertOk();
        $this->deleteJson("/api/sessions/{$id}/events/{$second}")->assertOk();
        self::assertNull($this->adapter()->spec['damaged'] ?? null);
    }

    public function test_what_feels_hot_below_half_of_its_rating_is_out_of_use_until_it_is_looked_at(): void
    {
        $id = $this->begin()->json('session.id');
        $rating = (float) $this->adapter()->spec['plate']['continuous_a'];
        $read = fn (int $tS, float $amps): mixed => $this->postJson("/api/sessions/{$id}/readings", ['readings' => [['client_id' => (string) Str::ulid(), 't_s' => $tS, 'amps' => $amps]]])->assertOk();
        $hot = fn (int $tS): array => ['client_id' => (string) Str::ulid(), 't_s' => $tS, 'code' => 'felt_hot', 'detail' => 'adapter'];

        // Nobody has read what it carries; then it carries more than a half.
        $this->note($id, [$hot(30)])->assertOk()->assertJsonPath('events.0.took_out', []);
        $read(60, 0.6 * $rating);
        $this->note($id, [$hot(120)])->assertOk();
        self::assertFalse($this->adapter()->spec['damaged']);

        $read(180, 0.4 * $rating);
        $noted = $this->note($id, [$event = $hot(240)])->assertOk();
        Contract::holds('POST', '/sessions/{session}/events', $noted);
        self::assertTrue($this->adapter()->spec['damaged']);
        $this->deleteJson("/api/sessions/{$id}/events/{$event['client_id']}")->assertOk();
        self::assertFalse($this->adapter()->spec['damaged']);
    }

    public function test_smell_noted_twice_is_over_when_both_notes_are_taken_back(): void
    {
        $id = $this->begin()->json('session.id');
        [$first, $second] = [(string) Str::ulid(), (string) Str::ulid()];
        foreach ([$first, $second] as $note) {
            $this->note($id, [['client_id' => $note, 't_s' => 300, 'code' => 'smell_or_heat']])->assertOk();
        }

        $this->deleteJson("/api/sessions/{$id}/events/{$first}")->assertOk();
        self::assertTrue($this->adapter()->spec['damaged']);
        $this->deleteJson("/api/sessions/{$id}/events/{$second}")->assertOk();
        self::assertFalse($this->adapter()->spec['damaged']);
    }

    public function test_a_session_begun_without_a_network_is_begun_once_and_as_long_ago_as_it_was(): void
    {
        $this->freezeSecond();
        $id = (string) Str::ulid();
        $begun = $this->begin(['id' => $id, 'age_s' => 5400, 'stall' => '2C'])->assertCreated();
        Contract::holds('POST', '/sessions', $begun);
        self::assertSame([$id, '2C', now()->subSeconds(5400)->toIso8601ZuluString()], [$begun->json('session.id'), $begun->json('session.stall'), $begun->json('session.started_at')]);

        $this->travel(1)->hours();
        $again = $this->begin(['id' => $id, 'age_s' => 9000, 'stall' => 'another'])->assertOk();
        Contract::holds('POST', '/sessions', $again);
        self::assertSame([$begun->json('session.started_at'), '2C'], [$again->json('session.started_at'), $again->json('session.stall')]);
        self::assertCount(1, array_filter($this->getJson('/api/sessions')->json('sessions'), static fn (array $s): bool => $s['id'] === $id));

        foreach ([['id' => 'mine'], ['age_s' => -1], ['age_s' => 32 * 86_400], ['stall' => str_repeat('x', 61)]] as $wrong) {
            Contract::holds('POST', '/sessions', $this->begin($wrong)->assertStatus(422));
        }
    }

    public function test_an_id_of_another_garage_is_refused_without_telling_of_it(): void
    {
        $id = (string) Str::ulid();
        $this->begin(['id' => $id])->assertCreated();
        $other = $this->person('other', garage: \App\Models\Garage::query()->create(['name' => 'Another']));
        $this->actingAs($other);
        $this->getJson("/api/sessions/{$id}")->assertNotFound();
        $this->note($id, [['client_id' => (string) Str::ulid(), 't_s' => 0, 'code' => 'plugged']])->assertNotFound();
    }

    public function test_readings_that_arrive_after_the_end_are_taken_and_judged_when_they_say_so(): void
    {
        $id = $this->begin()->json('session.id');
        $readings = static fn (array $kw): array => array_map(static fn (int $i, float $k): array => ['client_id' => (string) Str::ulid(), 't_s' => 60 * $i, 'kw' => $k, 'amps' => $k * 3], array_keys($kw), $kw);
        $this->postJson("/api/sessions/{$id}/readings", ['readings' => $readings([10.0, 20.0])])->assertOk();
        $ended = $this->postJson("/api/sessions/{$id}/finish", ['t_s' => 600])->assertOk();
        Contract::holds('POST', '/sessions/{session}/finish', $ended);
        self::assertSame('incomplete', $ended->json('session.verdict'));
        self::assertSame(600.0, (float) (strtotime($ended->json('session.finished_at')) - strtotime($ended->json('session.started_at'))));

        $late = $readings([30.0, 40.0, 50.0]);
        $this->postJson("/api/sessions/{$id}/readings", ['readings' => $late])->assertStatus(422);
        $this->postJson("/api/sessions/{$id}/readings", ['readings' => $late, 'late' => true])->assertOk()->assertJsonPath('added', 3);
        $this->postJson("/api/sessions/{$id}/readings", ['readings' => $late, 'late' => true])->assertOk()->assertJsonPath('added', 0);
        $after = $this->getJson("/api/sessions/{$id}");
        self::assertSame([$ended->json('session.finished_at'), 5], [$after->json('session.finished_at'), $after->json('session.summary.readings')]);
        self::assertNotSame('incomplete', $after->json('session.verdict'));
        Contract::holds('POST', '/sessions/{session}/finish', $this->postJson("/api/sessions/{$id}/finish", ['t_s' => -1])->assertStatus(422));
    }

    public function test_clock_stall_note_and_what_the_place_asked_for_are_corrected(): void
    {
        $id = $this->begin()->json('session.id');
        $this->postJson("/api/sessions/{$id}/finish", ['t_s' => 1200])->assertOk();
        $correct = fn (array $fields): TestResponse => $this->patchJson("/api/sessions/{$id}", $fields);

        $corrected = $correct(['stall' => '3A', 'note' => 'rain', 'station_kwh' => 30, 'paid' => ['amount' => '16.50', 'currency' => 'USD']])->assertOk();
        Contract::holds('PATCH', '/sessions/{session}', $corrected);
        self::assertSame(['3A', 'rain', ['amount' => '16.50', 'currency' => 'USD']], [$corrected->json('session.stall'), $corrected->json('session.note'), $corrected->json('session.paid')]);
        self::assertStringContainsString('Paid 16.50 USD', implode(' ', $corrected->json('counted')));

        $at = now()->subDay()->startOfMinute();
        $moved = $correct(['started_at' => $at->toIso8601ZuluString()])->assertOk();
        self::assertSame([$at->toIso8601ZuluString(), $at->copy()->addSeconds(1200)->toIso8601ZuluString(), '3A'], [$moved->json('session.started_at'), $moved->json('session.finished_at'), $moved->json('session.stall')]);
        self::assertNull($correct(['paid' => null])->assertOk()->json('session.paid'));

        foreach (['started_at' => 'yesterday', 'station_kwh' => -1, 'paid.amount' => ['amount' => 'much', 'currency' => 'USD'], 'paid.currency' => ['amount' => '1', 'currency' => 'dollars'], 'stall' => str_repeat('x', 61)] as $path => $wrong) {
            $field = explode('.', $path)[0];
            $refused = $correct([$field => $wrong, 'note' => 'must not be written'])->assertStatus(422)->assertJsonStructure(['errors' => []]);
            self::assertSame($path, array_key_first($refused->json('errors')));
        }
        $correct(['started_at' => now()->addDay()->toIso8601ZuluString()])->assertStatus(422);
        $correct(['started_at' => now()->subYears(2)->toIso8601ZuluString()])->assertStatus(422);
        self::assertSame('rain', $this->getJson("/api/sessions/{$id}")->json('session.note'));
    }

    private function adapter(): Adapter
    {
        return Adapter::query()->where('tag', 'A3')->firstOrFail();
    }

    /** @param  array<string, mixed>  $more */
    private function begin(array $more = []): TestResponse
    {
        return $this->postJson('/api/sessions', [
            'vehicle' => Vehicle::query()->where('name', 'Brindle')->firstOrFail()->ulid,
            'outlet' => Outlet::query()->where('name', 'Ostler, second generation')->firstOrFail()->ulid,
            'adapters' => [$this->adapter()->ulid],
            ...$more,
        ]);
    }

    /** @param  list<array<string, mixed>>  $events */
    private function note(string $session, array $events): TestResponse
    {
        return $this->postJson("/api/sessions/{$session}/events", ['events' => $events]);
    }
}
