<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Adapter;
use App\Models\Outlet;
use App\Models\Vehicle;
use Harmozon\Core\Fit\GateName;
use Illuminate\Testing\TestResponse;
use Tests\Contract;
use Tests\StartsFromSeed;
use Tests\TestCase;

final class FitApiTest extends TestCase
{
    use StartsFromSeed;

    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->demoUser());
    }

    public function test_the_garage_holds_the_scenario(): void
    {
        $response = $this->getJson('/api/garage')->assertOk()->assertJsonCount(5, 'vehicles')->assertJsonCount(8, 'adapters')->assertJsonCount(5, 'places');
        Contract::holds('GET', '/garage', $response);
        self::assertSame(12, array_sum(array_map(static fn (array $p): int => count($p['outlets']), $response->json('places'))));
    }

    public function test_the_board_answers_every_pair_as_a_practitioner_would(): void
    {
        $response = $this->getJson('/api/board')->assertOk()->assertJsonCount(60, 'cells');
        Contract::holds('GET', '/board', $response);

        self::assertSame(['limited', 100.0, []], $this->cell($response, 'Sorrel', 'Ostler, second generation'));
        self::assertSame(['wont_charge', 0.0, []], $this->cell($response, 'Sorrel', 'Ostler, first generation'));
        // 500 A × 315.1 V where the falling curve meets the adapter's amps, at 55.1 %.
        self::assertSame(['charges', 157.54, ['A3']], $this->cell($response, 'Brindle', 'Ostler, second generation'));
        self::assertSame(['wont_charge', 0.0, ['A1']], $this->cell($response, 'Marten', 'Fernway 150'));
        self::assertSame(['hazard', 0.0, ['A5']], $this->cell($response, 'Pippin', 'Millrace post, J3400'));
        self::assertSame(['no_joint', 0.0, []], $this->cell($response, 'Dray', 'Fernway 50, CHAdeMO'));
        self::assertSame('unverified', $this->cell($response, 'Dray', 'Fernway 400')[0]);
        self::assertSame(['charges', 6.6, ['P1']], $this->cell($response, 'Pippin', 'Yard socket, 240 V 50 A'));
    }

    public function test_the_steps_of_a_chain_follow_its_own_pieces(): void
    {
        $ask = fn (string $car, string $outlet, array $more = []): TestResponse => $this->postJson('/api/steps', [
            'vehicle' => Vehicle::query()->where('name', $car)->firstOrFail()->ulid, 'outlet' => Outlet::query()->where('name', $outlet)->firstOrFail()->ulid, ...$more,
        ]);
        $steps = $ask('Brindle', 'Ostler, second generation')->assertOk();
        Contract::holds('POST', '/steps', $steps);
        self::assertSame(['handle', 'adapter', 'car'], array_column($steps->json('pieces'), 'kind'));
        self::assertContains('handle_into_adapter', array_column($steps->json('steps'), 'code'));

        $hazard = $ask('Pippin', 'Millrace post, J3400')->assertOk();
        Contract::holds('POST', '/steps', $hazard);
        self::assertSame([['do_not_connect'], [], []], [array_column($hazard->json('steps'), 'code'), $hazard->json('pieces'), $hazard->json('when_nothing_starts')]);

        Contract::holds('POST', '/steps', $ask('Brindle', 'Ostler, second generation', ['stall' => ['2C']])->assertStatus(422));
        Contract::holds('POST', '/steps', $ask('Brindle', 'Ostler, second generation', ['adapters' => ['none']])->assertStatus(422));
    }

    public function test_without_adapters_the_board_knows_none(): void
    {
        $response = $this->getJson('/api/board?kit=none&policy=any')->assertOk();
        Contract::holds('GET', '/board', $response);

        self::assertSame([], array_merge(...array_column($response->json('cells'), 'adapters')));
        self::assertSame(['no_joint', 0.0, []], $this->cell($response, 'Brindle', 'Ostler, second generation'));
        Contract::holds('GET', '/board', $this->getJson('/api/board?kit=borrowed')->assertStatus(422));
    }

    public function test_a_part_of_the_board_says_what_the_whole_board_says_of_it(): void
    {
        $whole = $this->getJson('/api/board')->json('cells');
        $outlets = array_values(array_unique(array_column($whole, 'outlet')));
        $vehicles = array_values(array_unique(array_column($whole, 'vehicle')));
        $of = static fn (array $o, array $v): array => array_values(array_filter($whole, static fn (array $c): bool => in_array($c['outlet'], $o, true) && in_array($c['vehicle'], $v, true)));

        $rows = $this->getJson("/api/board?outlets={$outlets[7]},{$outlets[2]},{$outlets[7]}")->assertOk();
        Contract::holds('GET', '/board', $rows);
        self::assertEquals($of([$outlets[2], $outlets[7]], $vehicles), $rows->json('cells'));
        self::assertEquals($of($outlets, [$vehicles[3]]), $this->getJson("/api/board?vehicles={$vehicles[3]}")->json('cells'));
        self::assertEquals($of([$outlets[0]], [$vehicles[1]]), $this->getJson("/api/board?outlets={$outlets[0]}&vehicles={$vehicles[1]}")->json('cells'));
        self::assertSame([], $this->getJson('/api/board?outlets=nobody')->assertOk()->json('cells'));

        // The top of it stands place by place, whatever the outlets' own order.
        $byPlace = array_column(array_merge(...array_column($this->getJson('/api/garage')->json('places'), 'outlets')), 'id');
        Outlet::query()->where('ulid', $byPlace[0])->update(['position' => 99]);
        Outlet::query()->where('ulid', $byPlace[1])->update(['position' => 98]);
        self::assertSame([$byPlace[0], $byPlace[2], $byPlace[1], $byPlace[3]], array_values(array_unique(array_column($this->getJson('/api/board?first=4')->assertOk()->json('cells'), 'outlet'))));
    }

    public function test_more_pairs_than_are_answered_at_once_are_refused_in_words(): void
    {
        $outlet = Outlet::query()->where('name', 'Fernway 150')->firstOrFail();
        foreach (range(1, 800) as $n) {
            $outlet->replicate(['ulid'])->fill(['name' => "Copy {$n}", 'position' => 100 + $n])->save();
        }
        Contract::holds('GET', '/board', $this->getJson('/api/board')->assertStatus(422)->assertJsonPath('errors.outlets.0', 'at most 4000 pairs of charger and car can be answered at once: ask for those in view'));
        $this->getJson('/api/board?first=200')->assertOk()->assertJsonCount(1000, 'cells');
        // A fleet so large that its top must be shorter.
        $car = Vehicle::query()->firstOrFail();
        foreach (range(1, 195) as $n) {
            $car->replicate(['ulid'])->fill(['name' => "Car {$n}", 'position' => 100 + $n])->save();
        }
        $this->getJson('/api/board?first=25')->assertOk()->assertJsonCount(20 * 200, 'cells');
        foreach (['first=0', 'first=201', 'first=x', 'outlets='.str_repeat('x', 6001)] as $bad) {
            $this->getJson("/api/board?{$bad}")->assertStatus(422);
        }
    }

    public function test_what_could_be_bought_makes_the_board_no_worse(): void
    {
        $own = $this->getJson('/api/board')->json('cells');
        $response = $this->getJson('/api/board?kit=buy')->assertOk();
        Contract::holds('GET', '/board', $response);
        $flows = static fn (array $cells): int => count(array_filter($cells, static fn (array $c): bool => in_array($c['outcome'], ['charges', 'limited'], true)));

        self::assertGreaterThan($flows($own), $flows($response->json('cells')));
    }

    public function test_why_names_every_gate_and_other_ways(): void
    {
        $response = $this->fit('Pippin', 'Yard socket, 240 V 50 A')->assertOk()->assertJsonCount(count(GateName::cases()), 'gates');
        Contract::holds('POST', '/fit', $response);
        self::assertSame('P1', $this->tag($response->json('adapters.0')));
        self::assertNotSame([], $response->json('cautions'));
    }

    public function test_a_chain_can_be_asked_for_exactly(): void
    {
        $response = $this->fit('Brindle', 'Ostler, second generation', ['exact' => true, 'adapters' => [$this->id(Adapter::class, 'Halyard H-3')]])->assertOk();
        self::assertSame('hazard', $response->json('outcome'));
        self::assertStringContainsString('recall', $response->json('why'));

        $direct = $this->fit('Brindle', 'Ostler, second generation', ['exact' => true, 'adapters' => []])->assertOk();
        self::assertSame('no_joint', $direct->json('outcome'));
    }

    public function test_a_question_that_cannot_be_asked_names_its_field(): void
    {
        foreach ([
            [['outlet' => 'nowhere'], 'outlet'],
            [['vehicle' => null], 'vehicle'],
            [['adapters' => ['nothing']], 'adapters[0]'],
            [['adapters' => 'all'], 'adapters'],
            [['policy' => 'none'], 'policy'],
            [['conditions' => ['soc_from' => 200]], 'conditions.soc_from'],
            [['conditions' => ['soc_from' => 'ten']], 'conditions.soc_from'],
            [['conditions' => ['theta' => ['a' => -3]]], 'conditions.theta.a'],
        ] as [$wrong, $field]) {
            $response = $this->fit('Brindle', 'Fernway 150', $wrong)->assertStatus(422);
            Contract::holds('POST', '/fit', $response);
            self::assertArrayHasKey($field, $response->json('errors'), (string) $response->getContent());
        }
    }

    /** @param  array<string, mixed>  $more */
    private function fit(string $vehicle, string $outlet, array $more = []): TestResponse
    {
        return $this->postJson('/api/fit', ['outlet' => $this->id(Outlet::class, $outlet), 'vehicle' => $this->id(Vehicle::class, $vehicle), ...$more]);
    }

    /** @return array{string, float|null, list<string>} outcome, kW, tags */
    private function cell(TestResponse $board, string $vehicle, string $outlet): array
    {
        $ids = [$this->id(Outlet::class, $outlet), $this->id(Vehicle::class, $vehicle)];
        foreach ($board->json('cells') as $cell) {
            if ([$cell['outlet'], $cell['vehicle']] === $ids) {
                return [$cell['outcome'], $cell['expected_peak_kw'] === null ? null : (float) $cell['expected_peak_kw'], array_map($this->tag(...), $cell['adapters'])];
            }
        }
        self::fail('no such cell');
    }

    /** @param  class-string<\Illuminate\Database\Eloquent\Model>  $model */
    private function id(string $model, string $name): string
    {
        return $model::query()->where('name', $name)->firstOrFail()->ulid;
    }

    private function tag(string $id): string
    {
        return Adapter::query()->where('ulid', $id)->firstOrFail()->tag;
    }
}
