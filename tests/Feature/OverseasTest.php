<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Outlet;
use App\Models\User;
use App\Models\Vehicle;
use Tests\Contract;
use Tests\StartsFromSeed;
use Tests\TestCase;

/** The second demo garage: combined type 2, three phases, another currency. */
final class OverseasTest extends TestCase
{
    use StartsFromSeed;

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoUser();
        $this->actingAs(User::query()->where('email', 'overseas@lanternfish.example')->firstOrFail());
    }

    public function test_its_board_is_its_own(): void
    {
        $response = $this->getJson('/api/board')->assertOk()->assertJsonCount(12, 'cells');
        Contract::holds('GET', '/board', $response);

        self::assertSame(['Tansy', 'Heron'], array_column($this->getJson('/api/garage')->json('vehicles'), 'name'));
    }

    public function test_three_phases_at_a_red_socket(): void
    {
        // 230 V × 16 A × 3 = 11.04 kW, the car takes 11; 35 kWh into the pack are 38.889 at the plug.
        $forecast = $this->forecast('Tansy', 'Red socket, 400 V 16 A');

        self::assertSame('onboard_charger', $forecast['answer']['binding']);
        self::assertEqualsWithDelta(38.889 / 11 * 60 + 0.75, $forecast['minutes'], 0.05);
        self::assertSame(['EUR', '9.33'], [$forecast['cost']['currency'], $forecast['cost']['amount']]);
    }

    public function test_a_split_pack_at_a_500_v_stall_paid_by_the_minute_and_its_power(): void
    {
        // Half of 618 … 728 V at 125 A: 38.6 to 45.5 kW, so every minute but the handshake and the ramp costs 0.38.
        $forecast = $this->forecast('Heron', 'Harbour 50');

        self::assertEqualsWithDelta(309, $forecast['points'][0]['v'], 0.5);
        self::assertSame('station_current', $forecast['answer']['binding']);
        self::assertEqualsWithDelta(0.50 + 0.38 * ($forecast['minutes'] - 0.8) + 0.19 * 0.8, (float) $forecast['cost']['amount'], 0.03);
    }

    public function test_blocks_of_a_cabinet_with_a_neighbour(): void
    {
        // 10 blocks of 60 kW; 310 kW need 6 of them: 240 kW are left for a coach that could take 262.
        $forecast = $this->forecast('Heron', 'Polder 300');

        self::assertSame(['sharing', 240.0], [$forecast['answer']['binding'], (float) $forecast['peak_kw']]);
    }

    /** @return array<string, mixed> */
    private function forecast(string $vehicle, string $outlet): array
    {
        $response = $this->postJson('/api/forecast', ['chains' => [[
            'vehicle' => Vehicle::query()->where('name', $vehicle)->firstOrFail()->ulid,
            'outlet' => Outlet::query()->where('name', $outlet)->firstOrFail()->ulid,
        ]]])->assertOk();
        Contract::holds('POST', '/forecast', $response);

        return $response->json('forecasts.0');
    }
}
