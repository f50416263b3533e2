<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Adapter;
use App\Models\Outlet;
use App\Models\Place;
use App\Models\Tour;
use App\Models\Vehicle;
use Tests\Contract;
use Tests\StartsFromSeed;
use Tests\TestCase;

/** Several pieces at once, tours, and how much of each piece nobody has read. */
final class ManyApiTest extends TestCase
{
    use StartsFromSeed;

    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->demoUser());
    }

    public function test_several_are_changed_together_and_taken_back(): void
    {
        $outlets = Outlet::query()->where('name', 'like', 'Fernway%')->orderBy('id')->get();
        $before = $outlets->pluck('spec', 'ulid')->all();
        $document = (string) $this->get('/api/garage/export')->getContent();
        $put = fn (array $pieces) => $this->putJson('/api/pieces/outlets', ['pieces' => $pieces]);
        $kept = $put($outlets->map(static fn (Outlet $o): array => ['id' => $o->ulid, 'version' => 1, 'changes' => ['access.network' => 'Towpath', 'max_kw' => 77]])->all())->assertOk();
        Contract::holds('PUT', '/pieces/{kind}', $kept);
        self::assertSame([2, 2, 2, 2, 2], $kept->json('pieces.*.version'));
        foreach ($outlets as $outlet) {
            $spec = $outlet->refresh()->spec;
            self::assertSame(['Towpath', 77, $this->today()], [$spec['access']['network'], $spec['max_kw'], $spec['origins']['max_kw']['on']]);
        }
        $put($outlets->map(static fn (Outlet $o): array => ['id' => $o->ulid, 'version' => 2, 'changes' => [
            'access.network' => $before[$o->ulid]['access']['network'] ?? null, 'max_kw' => $before[$o->ulid]['max_kw'] ?? null, 'origins' => null,
        ]])->all())->assertOk();
        self::assertSame($document, (string) $this->get('/api/garage/export')->getContent());
    }

    /** All of them or none, and the one that cannot be written is named. */
    public function test_one_that_is_refused_holds_all_of_them(): void
    {
        [$one, $two] = Outlet::query()->orderBy('id')->limit(2)->get()->all();
        $put = fn (mixed $pieces) => $this->putJson('/api/pieces/outlets', ['pieces' => $pieces]);
        $first = ['id' => $one->ulid, 'version' => 1, 'changes' => ['max_kw' => 12]];

        $put([$first, ['id' => $two->ulid, 'version' => 1, 'changes' => ['max_kw' => -5]]])->assertStatus(422)->assertJsonStructure(['errors' => ['pieces[1].spec.max_kw']]);
        $put([$first, ['id' => $two->ulid, 'changes' => ['max_kw' => 5]]])->assertStatus(422)->assertJsonStructure(['errors' => ['pieces[1].version']]);
        $put([$first, ['id' => $two->ulid, 'version' => 9, 'changes' => ['max_kw' => 5]]])->assertStatus(409)->assertJsonPath('now.id', $two->ulid);
        $put([$first, ['id' => 'nobody', 'version' => 1, 'changes' => ['max_kw' => 5]]])->assertNotFound();
        $put([$first, ['version' => 1]])->assertStatus(422)->assertJsonStructure(['errors' => ['pieces[1].id']]);
        $put('all')->assertStatus(422)->assertJsonStructure(['errors' => ['pieces']]);
        $put(array_fill(0, 501, $first))->assertStatus(422)->assertJsonStructure(['errors' => ['pieces']]);
        self::assertSame(1, $one->refresh()->version);
    }

    public function test_a_ranking_follows_its_tour(): void
    {
        $tour = Tour::query()->firstOrFail();
        $van = Vehicle::query()->where('name', 'Brindle')->firstOrFail()->ulid;
        $along = $this->postJson('/api/ranking', ['vehicle' => $van, 'tour' => $tour->ulid])->assertOk();
        Contract::holds('POST', '/ranking', $along);
        $places = Place::query()->whereIn('name', ['Quince Theatre yard', 'Fernway junction', 'Ostler quay'])->pluck('id');
        self::assertEqualsCanonicalizing(Outlet::query()->whereIn('place_id', $places)->pluck('ulid')->all(), $along->json('stops.*.outlet'));
        self::assertCount(Outlet::query()->count(), $this->postJson('/api/ranking', ['vehicle' => $van])->json('stops'));
        $this->postJson('/api/ranking', ['vehicle' => $van, 'tour' => 'nobody'])->assertStatus(422)->assertJsonStructure(['errors' => ['tour']]);
        // A place that was put aside is no stop any more; the tour still knows it.
        Place::query()->where('name', 'Ostler quay')->firstOrFail()->delete();
        self::assertCount(6, $this->postJson('/api/ranking', ['vehicle' => $van, 'tour' => $tour->ulid])->json('stops'));
    }

    public function test_what_to_pack_for_a_tour_is_told_in_the_order_of_the_kit(): void
    {
        $tour = Tour::query()->firstOrFail()->ulid;
        $pack = $this->getJson("/api/tours/{$tour}/pack")->assertOk();
        Contract::holds('GET', '/tours/{tour}/pack', $pack);
        $tags = static fn (array $ids): array => array_map(static fn (string $id): string => Adapter::query()->where('ulid', $id)->firstOrFail()->tag, $ids);
        // The yard's socket takes a portable supply each, the junction A1, the second generation at the quay A3.
        self::assertSame(['A1', 'A3', 'P1', 'P2'], $tags($pack->json('adapters')));
        $this->getJson('/api/tours/nobody/pack')->assertNotFound();
        $this->getJson("/api/tours/{$tour}/pack?policy=none")->assertStatus(422);
    }

    public function test_a_tour_keeps_its_order_and_nothing_else(): void
    {
        $places = Place::query()->orderByDesc('id')->pluck('ulid')->all();
        $id = $this->postJson('/api/pieces/tours', ['name' => 'Backwards', 'spec' => ['places' => $places, 'vehicles' => [], 'colour' => 'red']])->assertCreated()->json('id');
        self::assertEquals(['places' => $places, 'vehicles' => []], Tour::query()->where('ulid', $id)->firstOrFail()->spec);
        $dated = ['places' => $places, 'vehicles' => [], 'leaves_on' => '2031-05-02'];
        self::assertEquals($dated, Tour::query()->where('ulid', $this->postJson('/api/pieces/tours', ['name' => 'In May', 'spec' => $dated])->assertCreated()->json('id'))->firstOrFail()->spec);
        $this->postJson('/api/pieces/tours', ['name' => 'Never', 'spec' => [...$dated, 'leaves_on' => '2031-02-30']])->assertStatus(422)->assertJsonStructure(['errors' => ['spec.leaves_on']]);
        Contract::holds('GET', '/garage', $this->getJson('/api/garage')->assertOk());
        $this->postJson('/api/pieces/tours', ['name' => 'Wrong', 'spec' => ['places' => 'here']])->assertStatus(422)->assertJsonStructure(['errors' => ['spec.places']]);
    }

    public function test_how_much_nobody_has_read_is_counted(): void
    {
        $told = $this->getJson('/api/garage/plates')->assertOk();
        Contract::holds('GET', '/garage/plates', $told);
        self::assertStringContainsString('combo', $told->json('found_by')[Outlet::query()->where('name', 'Fernway 350')->firstOrFail()->ulid]);
        $unread = $told->json('unread');
        $of = static fn (string $name): int => $unread[Outlet::query()->where('name', $name)->firstOrFail()->ulid];
        // Its highest volts, which nobody has read.
        self::assertSame([1, 0], [$of('Fernway 400'), $of('Fernway 350')]);
        $car = $this->postJson('/api/pieces/vehicles', ['name' => 'Bare', 'spec' => ['inlets' => [['coupler' => 'type1', 'ac' => ['max_kw' => 7.4]]]]])->json('id');
        self::assertStringContainsString('j1772', $this->getJson('/api/garage/plates')->json("found_by.{$car}"));
        // Its kWh; the phases and the window of its onboard charger are fixed by its plug's standard.
        self::assertSame(1, $this->getJson('/api/garage/plates')->json("unread.{$car}"));
    }
}
