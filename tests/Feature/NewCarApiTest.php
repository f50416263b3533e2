<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Outlet;
use App\Models\Place;
use App\Models\Vehicle;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Contract;
use Tests\StartsFromSeed;
use Tests\TestCase;

/** A car from six answers, and its first answer before any place is entered. */
final class NewCarApiTest extends TestCase
{
    use StartsFromSeed;

    private const KNOWN = ['faces' => ['ccs1'], 'languages' => ['plc'], 'pack_class' => '400', 'usable_kwh' => 72, 'peak_kw' => 150, 'onboard' => ['kw' => 11.5]];

    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->demoUser());
    }

    public function test_answers_become_a_car_at_every_kind_of_charger(): void
    {
        $draft = $this->postJson('/api/new-car', self::KNOWN)->assertOk();
        Contract::holds('POST', '/new-car', $draft);

        self::assertSame(['inlet', 'pack', 'energy', 'peak', 'onboard'], $draft->json('asks'));
        $dc = collect($draft->json('rows'))->firstWhere('name', 'CCS1, 150 kW with 350 A');
        // 350 A at the 362 V of its class: 127 kW of 150.
        self::assertSame(['limited', true, true], [$dc['cell']['outcome'], $dc['cell']['about'], $dc['here']]);
        self::assertCount(2, $dc['cell']['band_kw']);
        $socket = collect($draft->json('rows'))->firstWhere('name', 'Travel socket, 120 V 30 A');
        self::assertSame(['limited', ['buy-tt-30-type1'], 'Would charge, limited'], [$socket['cell']['outcome'], $socket['cell']['adapters'], $socket['cell']['title']]);
        self::assertFalse(collect($draft->json('rows'))->firstWhere('name', 'CCS2, 50 kW')['here']);
        $classes = $this->getJson('/api/car-kinds')->assertOk();
        Contract::holds('GET', '/car-kinds', $classes);
        self::assertSame(['350', '400', '650', '800'], $classes->json('classes.*.id'));
        self::assertSame(0, Vehicle::query()->where('name', 'new')->count());
    }

    public function test_each_question_says_what_it_would_settle_and_the_one_that_settles_most_comes_first(): void
    {
        $settles = fn (array $answers): array => array_map(array_values(...), $this->postJson('/api/new-car', $answers)->assertOk()->json('settles'));

        // The protocol decides at five hubs and, through an adapter of the kit, at nine combined stations.
        self::assertSame([['language', 14, 0], ['pack', 0, 14], ['peak', 0, 14], ['onboard', 0, 13]], $settles(['faces' => ['j3400']]));
        self::assertSame(['pack', 'peak', 'onboard'], array_column($settles(['faces' => ['j3400'], 'languages' => ['plc']]), 0));
        self::assertSame([], $settles(self::KNOWN));
        self::assertSame([], $settles([]));
    }

    public function test_without_an_inlet_there_is_no_car_yet(): void
    {
        $draft = $this->postJson('/api/new-car', ['usable_kwh' => 60])->assertOk();

        self::assertSame([null, []], [$draft->json('plate'), $draft->json('rows')]);
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function refused(): iterable
    {
        yield 'a shape' => [['faces' => ['round']], 'faces[0]'];
        yield 'a word' => [['faces' => 'ccs1'], 'faces'];
        yield 'a peak' => [['faces' => ['ccs1'], 'peak_kw' => -1], 'peak_kw'];
        yield 'a window upside down' => [['faces' => ['ccs1'], 'onboard' => ['min_v' => 250, 'max_v' => 100]], 'inlets[0].ac.min_v'];
    }

    /** @param  array<string, mixed>  $answers */
    #[DataProvider('refused')]
    public function test_an_answer_that_cannot_be_taken_is_named(array $answers, string $field): void
    {
        $this->postJson('/api/new-car', $answers)->assertStatus(422)->assertJsonStructure(['errors' => [$field]]);
    }

    public function test_a_garage_without_a_place_answers_at_the_kinds_of_charger(): void
    {
        Outlet::query()->each(static fn (Outlet $o): ?bool => $o->delete());
        $plate = $this->postJson('/api/new-car', self::KNOWN)->json('plate');
        $car = $this->postJson('/api/pieces/vehicles', ['name' => 'Teasel', 'blurb' => '', 'spec' => $plate])->assertCreated()->json('id');

        $garage = $this->getJson('/api/garage')->assertOk();
        Contract::holds('GET', '/garage', $garage);
        $kinds = $garage->json('kinds.*.outlets.*.id');
        self::assertContains('kind:socket-5-15', $kinds);
        $board = $this->getJson("/api/board?vehicles={$car}")->assertOk();
        Contract::holds('GET', '/board', $board);
        self::assertEqualsCanonicalizing($kinds, $board->json('cells.*.outlet'));
        self::assertSame(['kind:socket-5-15'], $this->getJson("/api/board?vehicles={$car}&outlets=kind:socket-5-15")->json('cells.*.outlet'));
        self::assertCount(3, $this->getJson("/api/board?vehicles={$car}&first=3")->json('cells'));
        $question = ['outlet' => 'kind:socket-5-15', 'vehicle' => $car, 'adapters' => null];
        Contract::holds('POST', '/fit', $this->postJson('/api/fit', $question)->assertOk());
        Contract::holds('POST', '/forecast', $this->postJson('/api/forecast', ['chains' => [$question]])->assertOk());
        Contract::holds('POST', '/ranking', $this->postJson('/api/ranking', ['vehicle' => $car])->assertOk());
        self::assertCount(count($kinds), (array) $this->getJson('/api/garage/plates')->json('outlets'));
        // A car that was read in full charges there, with nothing left to check; at a closed hub one has to be admitted.
        $full = ['name' => 'Full', 'blurb' => '', 'spec' => Vehicle::query()->where('name', 'Brindle')->firstOrFail()->spec];
        $read = $this->postJson('/api/pieces/vehicles', $full)->json('id');
        $at = fn (string $kind): string => $this->postJson('/api/fit', ['outlet' => $kind, 'vehicle' => $read, 'adapters' => []])->json('outcome');
        self::assertSame(['charges', 'no_joint'], [$at('kind:ccs1-350-500a'), $at('kind:hub-third')]);
        // A kind stands nowhere: nobody can plug in there, and nobody can change it.
        $this->postJson('/api/sessions', [...$question, 'adapters' => []])->assertStatus(422)->assertJsonStructure(['errors' => ['outlet']]);
        $this->putJson('/api/pieces/outlets/kind:socket-5-15', ['version' => 1, 'name' => 'mine'])->assertNotFound();
    }

    public function test_the_kinds_go_once_there_is_a_place_with_an_outlet(): void
    {
        self::assertSame([], $this->getJson('/api/garage')->json('kinds'));
        self::assertNotSame([], Place::query()->get()->all());
    }

    public function test_a_fact_that_is_typed_was_read_on_that_day_and_undoing_it_brings_the_typical_one_back(): void
    {
        $plate = $this->postJson('/api/new-car', self::KNOWN)->json('plate');
        $car = $this->postJson('/api/pieces/vehicles', ['name' => 'Teasel', 'blurb' => '', 'spec' => $plate])->json('id');
        $spec = fn (): array => Vehicle::query()->where('ulid', $car)->firstOrFail()->spec;
        self::assertSame('typical', $spec()['origins']['pack.voltage_by_soc']['origin']);

        $this->putJson("/api/pieces/vehicles/{$car}", ['version' => 1, 'changes' => ['pack.voltage_by_soc' => [[0, 340], [100, 440]]]])->assertOk();
        self::assertSame(['origin' => 'read', 'on' => $this->today()], $spec()['origins']['pack.voltage_by_soc']);
        self::assertEquals($plate['origins']['charge_curve_kw'], $spec()['origins']['charge_curve_kw']);

        $this->putJson("/api/pieces/vehicles/{$car}", ['version' => 2, 'changes' => ['pack.voltage_by_soc' => $plate['pack']['voltage_by_soc'], 'origins' => $plate['origins']]])->assertOk();
        self::assertEquals($plate['origins'], $spec()['origins']);
        // Read with the value that stood there already: only where it comes from is another.
        $this->putJson("/api/pieces/vehicles/{$car}", ['version' => 3, 'changes' => ['origins' => ['pack.voltage_by_soc' => ['origin' => 'read']] + $plate['origins']]])->assertOk();
        self::assertSame('read', $spec()['origins']['pack.voltage_by_soc']['origin']);
        $this->putJson("/api/pieces/vehicles/{$car}", ['version' => 4, 'changes' => ['pack.usable_kwh' => null]])->assertOk();
        self::assertArrayNotHasKey('pack.usable_kwh', $spec()['origins']);
    }

    /** A kind's usual plate is nobody's reading: it is told as about where power rests on it, and checked where safety does. */
    public function test_a_piece_begun_from_a_kind_is_checked_until_its_label_was_read(): void
    {
        $catalogue = $this->getJson('/api/catalogue')->assertOk();
        Contract::holds('GET', '/catalogue', $catalogue);
        $kind = collect($catalogue->json('chargers'))->firstWhere('id', 'ccs1-350-500a');
        self::assertSame(['origin' => 'typical'], $kind['outlet']['origins']['max_v']);
        // Its shape settles its protocol: there is nothing to read.
        self::assertArrayNotHasKey('signalling', $kind['outlet']);
        $hub = collect($catalogue->json('chargers'))->firstWhere('id', 'hub-second');
        self::assertArrayHasKey('signalling', $hub['outlet']['origins']);

        $place = Place::query()->firstOrFail()->ulid;
        $outlet = $this->postJson('/api/pieces/outlets', ['name' => 'Seen today', 'blurb' => '', 'place' => $place, 'spec' => $kind['outlet']])->assertCreated()->json('id');
        $van = Vehicle::query()->where('name', 'Brindle')->firstOrFail()->ulid;
        $fit = fn (): array => (array) $this->postJson('/api/fit', ['vehicle' => $van, 'outlet' => $outlet, 'adapters' => []])->assertOk()->json();
        self::assertSame(['unverified', true], [$fit()['outcome'], $fit()['about']]);
        self::assertContains('fact.station_max_v', array_column(array_merge(...array_column($fit()['gates'], 'asks')), 'code'));

        $read = array_fill_keys(array_keys($kind['outlet']['origins']), ['origin' => 'read']);
        $this->putJson("/api/pieces/outlets/{$outlet}", ['version' => 1, 'changes' => ['origins' => $read, 'access.kind' => 'open']])->assertOk();
        self::assertSame([false, []], [$fit()['about'], $fit()['rests_on']]);
        self::assertNotSame('unverified', $fit()['outcome']);
        self::assertSame($this->today(), Outlet::query()->where('ulid', $outlet)->firstOrFail()->spec['origins']['max_v']['on']);
    }
}
