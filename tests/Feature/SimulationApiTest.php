<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\ChargeSession;
use App\Models\Outlet;
use App\Models\Vehicle;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\Group;
use Tests\Contract;
use Tests\StartsFromSeed;
use Tests\TestCase;

#[Group('once')]
final class SimulationApiTest extends TestCase
{
    use StartsFromSeed;

    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->demoUser());
    }

    public function test_a_chain_is_played_as_long_as_its_forecast_and_ends_where_it_should(): void
    {
        $played = $this->play(['conditions' => ['soc_from' => 20, 'soc_to' => 70]])->assertOk();
        Contract::holds('POST', '/simulation', $played);
        $forecast = $this->postJson('/api/forecast', ['chains' => [$this->chain()], 'conditions' => ['soc_from' => 20, 'soc_to' => 70]])->assertOk();

        self::assertSame(['charged', null], [$played->json('outcome'), $played->json('fault')]);
        self::assertEqualsWithDelta($forecast->json('forecasts.0.minutes'), $played->json('minutes'), 0.02 * $played->json('minutes'));
        $frames = $played->json('frames');
        self::assertLessThan(400, count($frames));
        self::assertSame([0, 'plugged', 'released'], [(int) $frames[0]['t_s'], $frames[0]['phase'], $frames[count($frames) - 1]['phase']]);
        self::assertSame(17, count($played->json('faults')));
        self::assertNull($played->json('taken'));
        $taken = $this->play(['every_s' => 30])->assertOk();
        Contract::holds('POST', '/simulation', $taken);
        self::assertSame([0, 30], [(int) $taken->json('taken.0.t_s'), (int) $taken->json('taken.1.t_s')]);
    }

    public function test_a_fault_is_played_with_what_helps_and_what_does_not(): void
    {
        $played = $this->play(['fault' => 'precharge', 'seed' => 5])->assertOk();
        Contract::holds('POST', '/simulation', $played);

        self::assertSame(['never_started', 'precharge'], [$played->json('outcome'), $played->json('fault.code')]);
        $last = $played->json('phases.'.(count($played->json('phases')) - 1));
        self::assertSame(['precharge', true], [$last['phase'], $last['failing']]);
        self::assertCount(2, $played->json('fault.wrong'));
    }

    /** The session began at its own charge, through its own adapters; asked twice, its readings keep their ids. */
    public function test_a_session_is_fed_from_its_own_chain_and_conditions_and_twice_is_once(): void
    {
        $session = ChargeSession::query()->where('note', 'like', 'Hot afternoon%')->firstOrFail();
        $fed = $this->postJson("/api/sessions/{$session->ulid}/simulation", ['every_s' => 30])->assertOk();
        Contract::holds('POST', '/sessions/{session}/simulation', $fed);

        self::assertEqualsWithDelta($session->case_file['conditions']['soc_from'], $fed->json('taken.0.soc_pct'), 1.0);
        self::assertSame($fed->json('taken.*.client_id'), $this->postJson("/api/sessions/{$session->ulid}/simulation", ['every_s' => 30])->json('taken.*.client_id'));
        self::assertSame([], array_intersect($fed->json('taken.*.client_id'), $this->postJson("/api/sessions/{$session->ulid}/simulation", ['every_s' => 30, 'seed' => 2])->json('taken.*.client_id')));
        $this->postJson("/api/sessions/{$session->ulid}/simulation", ['every_s' => 30, 'fault' => 'nothing'])->assertStatus(422)->assertJsonStructure(['errors' => ['fault']]);
        $this->postJson("/api/sessions/{$session->ulid}/simulation", ['every_s' => 0])->assertStatus(422)->assertJsonStructure(['errors' => ['every_s']]);
        $this->postJson('/api/sessions/nobody/simulation', ['every_s' => 30])->assertNotFound();
    }

    public function test_what_cannot_be_played_names_its_field(): void
    {
        foreach ([['fault', ['fault' => 'nothing']], ['fault', ['fault' => 'link_lost@9999']], ['seed', ['seed' => -1]], ['outlet', ['outlet' => 'nobody']], ['fault', ['fault' => 'precharge@2']]] as [$field, $wrong]) {
            $refused = $this->play($wrong)->assertStatus(422);
            Contract::holds('POST', '/simulation', $refused);
            self::assertArrayHasKey($field, $refused->json('errors'));
        }
        $none = $this->play(['vehicle' => Vehicle::query()->where('name', 'Dray')->firstOrFail()->ulid, 'outlet' => Outlet::query()->where('name', 'Fernway 50, CHAdeMO')->firstOrFail()->ulid])->assertStatus(422);
        self::assertStringContainsString('does not charge', (string) $none->json('errors.outlet.0'));
    }

    /** @param  array<string, mixed>  $more */
    private function play(array $more): TestResponse
    {
        return $this->postJson('/api/simulation', [...$this->chain(), ...$more]);
    }

    /** @return array{outlet: string, vehicle: string} */
    private function chain(): array
    {
        return ['outlet' => Outlet::query()->where('name', 'Fernway 150')->firstOrFail()->ulid, 'vehicle' => Vehicle::query()->where('name', 'Brindle')->firstOrFail()->ulid];
    }
}
