<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Adapter;
use App\Models\Outlet;
use App\Models\User;
use App\Models\Vehicle;
use Illuminate\Testing\TestResponse;
use Tests\Contract;
use Tests\StartsFromSeed;
use Tests\TestCase;

final class ForecastApiTest extends TestCase
{
    use StartsFromSeed;

    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->demoUser());
    }

    public function test_a_chain_is_forecast_with_its_sticker(): void
    {
        $response = $this->forecast(['conditions' => ['soc_from' => 10, 'soc_to' => 80, 'ambient_c' => 25]], ['Brindle', 'Fernway 350'])->assertOk()->assertJsonCount(1, 'forecasts');
        Contract::holds('POST', '/forecast', $response);

        // 70 % of 86 kWh at 95 %: 63.368 kWh, × 0.48 and × 0.36; 7.00 ÷ 0.12 is less than one such session.
        self::assertSame([63.368, 'USD', '30.42', '22.81', 1], [
            $response->json('forecasts.0.plug_kwh'), ...array_values(array_intersect_key($response->json('forecasts.0.cost'), ['currency' => 0, 'amount' => 0, 'with_membership' => 0])),
            $response->json('forecasts.0.cost.break_even_sessions_per_month'),
        ]);
        self::assertSame(['outlet', 'sticker_kw'], array_keys(array_slice($response->json('sticker'), 0, 2)));
        // 500 A: 150 kW at 300 V behind a sticker of 350.
        self::assertEquals([['v' => 300, 'kw' => 150], ['v' => 350, 'kw' => 175], ['v' => 400, 'kw' => 200], ['v' => 600, 'kw' => 300], ['v' => 700, 'kw' => 350], ['v' => 800, 'kw' => 350]], $response->json('sticker.at_volts'));
        self::assertCount(5, $response->json('sticker.cars'));
    }

    public function test_three_chains_side_by_side_and_not_four(): void
    {
        $three = $this->forecast([], ['Brindle', 'Fernway 350'], ['Brindle', 'Fernway 150'], ['Dray', 'Fernway 50, CHAdeMO'])->assertOk()->assertJsonCount(3, 'forecasts');
        Contract::holds('POST', '/forecast', $three);
        self::assertGreaterThan($three->json('forecasts.0.minutes'), $three->json('forecasts.1.minutes'));
        self::assertSame(['no_joint', null], [$three->json('forecasts.2.outcome'), $three->json('forecasts.2.minutes')]);

        $four = $this->forecast([], ...array_fill(0, 4, ['Brindle', 'Fernway 350']))->assertStatus(422);
        Contract::holds('POST', '/forecast', $four);
    }

    public function test_a_night_at_a_socket_is_a_handful_of_points(): void
    {
        $response = $this->forecast([], ['Pippin', 'Yard socket, 240 V 50 A'])->assertOk();
        Contract::holds('POST', '/forecast', $response);

        self::assertLessThan(60, count($response->json('forecasts.0.points')));
        self::assertGreaterThan(200, $response->json('forecasts.0.minutes'));
    }

    public function test_conditions_change_what_binds(): void
    {
        $cold = $this->forecast(['conditions' => ['pack_prepared' => false, 'pack_c' => -5]], ['Brindle', 'Fernway 350'])->assertOk();
        self::assertSame(['pack', 'cold_pack'], [$cold->json('forecasts.0.answer.binding_link'), $cold->json('forecasts.0.answer.binding')]);

        $derated = $this->forecast(['conditions' => ['faults' => ['derated_kw' => 50]]], ['Brindle', 'Fernway 350'])->assertOk();
        self::assertSame('station_power', $derated->json('forecasts.0.answer.binding'));
        self::assertSame('limited', $derated->json('forecasts.0.outcome'));
    }

    public function test_a_chain_brings_the_warmth_of_its_own_links(): void
    {
        $chain = ['vehicle' => $this->id(Vehicle::class, 'Brindle'), 'outlet' => $this->id(Outlet::class, 'Fernway 150')];
        $response = $this->postJson('/api/forecast', ['chains' => [[...$chain, 'theta' => ['cable' => 0.9]], [...$chain, 'theta' => new \stdClass], $chain], 'conditions' => ['theta' => ['cable' => 0.5]]])->assertOk();
        Contract::holds('POST', '/forecast', $response);

        self::assertEqualsWithDelta([0.9, 0.0, 0.5], array_map(static fn (array $f): float => (float) $f['heat'][0]['theta_start'], $response->json('forecasts')), 1e-9);
        self::assertGreaterThan($response->json('forecasts.1.minutes'), $response->json('forecasts.0.minutes'));
    }

    public function test_every_outlet_is_ranked_three_ways(): void
    {
        $response = $this->postJson('/api/ranking', ['vehicle' => $this->id(Vehicle::class, 'Pippin'), 'conditions' => ['soc_from' => 20, 'soc_to' => 80]])->assertOk()->assertJsonCount(12, 'stops');
        Contract::holds('POST', '/ranking', $response);
        $names = fn (string $order): array => $this->names($response, $order);

        self::assertSame('Fernway 50, CHAdeMO', $names('time')[0]);
        self::assertSame('Yard socket, 240 V 50 A', $names('money')[0]);
        foreach (['time', 'money', 'risk'] as $order) {
            $places = array_column(array_column($response->json('stops'), 'places'), $order);
            sort($places);
            self::assertSame(range(1, 12), $places);
            self::assertNotContains('', array_column(array_column($response->json('stops'), 'reasons'), $order));
        }
    }

    public function test_what_cannot_be_asked_is_named(): void
    {
        foreach ([
            [['chains' => []], 'chains'],
            [['chains' => [['outlet' => 'nothing', 'vehicle' => 'nothing']]], 'chains[0].outlet'],
            [['conditions' => ['faults' => ['derated_kw' => 'half']]], 'conditions.faults.derated_kw'],
            [['conditions' => ['ageing' => 7]], 'conditions.ageing'],
            [['policy' => 'none'], 'policy'],
        ] as [$wrong, $field]) {
            $response = $this->forecast($wrong, ['Brindle', 'Fernway 350'])->assertStatus(422);
            Contract::holds('POST', '/forecast', $response);
            self::assertArrayHasKey($field, $response->json('errors'), (string) $response->getContent());
        }
        Contract::holds('POST', '/ranking', $this->postJson('/api/ranking', ['vehicle' => 'nothing'])->assertStatus(422));
        Contract::holds('POST', '/ranking', $this->postJson('/api/ranking', ['vehicle' => $this->id(Vehicle::class, 'Pippin'), 'conditions' => ['soc_from' => 'half']])->assertStatus(422));
    }

    public function test_pieces_of_another_garage_cannot_be_forecast(): void
    {
        $chain = ['outlet' => $this->id(Outlet::class, 'Fernway 350'), 'vehicle' => $this->id(Vehicle::class, 'Brindle')];
        $this->actingAs($this->stranger());

        $this->postJson('/api/forecast', ['chains' => [$chain]])->assertStatus(422)->assertJsonPath('errors', ['chains[0].outlet' => ['is not in this garage']]);
        $this->postJson('/api/ranking', ['vehicle' => $chain['vehicle']])->assertStatus(422);
    }

    public function test_units_belong_to_the_garage(): void
    {
        self::assertSame('metric', $this->getJson('/api/me')->json('garage.units'));
        Contract::holds('PUT', '/garage/habits', $this->putJson('/api/garage/habits', ['units' => 'us'])->assertNoContent());
        $this->actingAs(User::query()->where('email', config('harmozon.demo_email'))->firstOrFail());
        self::assertSame('us', $this->getJson('/api/me')->json('garage.units'));
        Contract::holds('PUT', '/garage/habits', $this->putJson('/api/garage/habits', ['units' => 'cubits'])->assertStatus(422));
        Contract::holds('PUT', '/garage/habits', $this->putJson('/api/garage/habits', ['timezone' => 'Europe/Lisbon', 'currency' => 'EUR'])->assertNoContent());
        $this->assertDatabaseHas('garages', ['timezone' => 'Europe/Lisbon', 'currency' => 'EUR']);
        foreach ([['timezone' => 'Mars/Olympus'], ['currency' => 'gold'], []] as $wrong) {
            $this->putJson('/api/garage/habits', $wrong)->assertStatus(422);
        }

        $this->actingAs($this->stranger());
        self::assertSame('metric', $this->getJson('/api/me')->json('garage.units'));
    }

    public function test_numbers_are_written_as_the_garage_writes_them(): void
    {
        $chain = ['vehicle' => Vehicle::query()->where('name', 'Pippin')->firstOrFail()->ulid, 'outlet' => Outlet::query()->where('name', 'Yard socket, 240 V 50 A')->firstOrFail()->ulid];
        self::assertSame('en-US', $this->getJson('/api/me')->json('garage.locale'));
        self::assertStringContainsString('6.6 kW', (string) $this->postJson('/api/fit', $chain)->assertOk()->getContent());

        Contract::holds('PUT', '/garage/habits', $this->putJson('/api/garage/habits', ['locale' => 'en-NL'])->assertNoContent());
        $this->actingAs(User::query()->where('email', config('harmozon.demo_email'))->firstOrFail());
        self::assertSame(['en-NL', 'metric'], [$this->getJson('/api/me')->json('garage.locale'), $this->getJson('/api/me')->json('garage.units')]);
        self::assertStringContainsString('6,6 kW', (string) $this->postJson('/api/fit', $chain)->assertOk()->getContent());
        foreach (['nl-NL', 'en', 'en-XQ', 'en_GB', '', 7, ['en-GB']] as $wrong) {
            $this->putJson('/api/garage/habits', ['locale' => $wrong])->assertStatus(422);
        }
        $this->putJson('/api/garage/habits', [])->assertStatus(422);
        self::assertSame('en-NL', $this->getJson('/api/me')->json('garage.locale'));
    }

    /**
     * @param  array<string, mixed>  $more
     * @param  array{string, string}  ...$pairs  names of car and outlet
     */
    private function forecast(array $more, array ...$pairs): TestResponse
    {
        $chains = array_map(fn (array $p): array => ['vehicle' => $this->id(Vehicle::class, $p[0]), 'outlet' => $this->id(Outlet::class, $p[1])], array_values($pairs));

        return $this->postJson('/api/forecast', ['chains' => $chains, ...$more]);
    }

    /** @return list<string> names of the outlets, best first */
    private function names(TestResponse $ranking, string $order): array
    {
        $stops = $ranking->json('stops');
        usort($stops, static fn (array $a, array $b): int => $a['places'][$order] <=> $b['places'][$order]);

        return array_map(static fn (array $s): string => Outlet::query()->where('ulid', $s['outlet'])->firstOrFail()->name, $stops);
    }

    /** @param  class-string<Adapter|Outlet|Vehicle>  $model */
    private function id(string $model, string $name): string
    {
        return $model::query()->where('name', $name)->firstOrFail()->ulid;
    }
}
