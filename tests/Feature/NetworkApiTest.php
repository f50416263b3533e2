<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Network;
use App\Models\Outlet;
use App\Models\Vehicle;
use Tests\Contract;
use Tests\StartsFromSeed;
use Tests\TestCase;

/** What is set up at the networks, and what gate 5 makes of it. */
final class NetworkApiTest extends TestCase
{
    use StartsFromSeed;

    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->demoUser());
    }

    public function test_gate_five_reads_the_list(): void
    {
        $millrace = Network::query()->where('name', 'Millrace')->firstOrFail();
        self::assertSame('access.before_you_leave', $this->access('Pippin', 'Millrace post, Type 1'));
        $this->putJson("/api/pieces/networks/{$millrace->ulid}", ['version' => 1, 'changes' => ['app' => 'done', 'account' => 'not_needed']])->assertOk();
        self::assertSame('access.ready', $this->access('Pippin', 'Millrace post, Type 1'));
        $this->deleteJson("/api/pieces/networks/{$millrace->ulid}")->assertNoContent();
        self::assertSame('access.needs_account_of', $this->access('Pippin', 'Millrace post, Type 1'));
        self::assertContains('networks', $this->getJson('/api/put-aside')->json('items.*.kind'));
        $this->postJson("/api/pieces/networks/{$millrace->ulid}/restore")->assertOk();
        self::assertSame('access.ready', $this->access('Pippin', 'Millrace post, Type 1'));
    }

    public function test_a_network_is_kept_as_typed_or_refused_by_name(): void
    {
        $created = $this->postJson('/api/pieces/networks', ['name' => 'Towpath', 'spec' => ['card' => 'to_do', 'fax' => 'done']])->assertCreated();
        Contract::holds('POST', '/pieces/{kind}', $created);
        self::assertSame(['card' => 'to_do'], Network::query()->where('name', 'Towpath')->firstOrFail()->spec);
        Contract::holds('GET', '/garage', $this->getJson('/api/garage')->assertOk());
        $this->postJson('/api/pieces/networks', ['name' => 'Towpath', 'spec' => ['card' => 'lost']])->assertStatus(422)->assertJsonStructure(['errors' => ['spec.card']]);
        $this->postJson('/api/pieces/networks', ['spec' => ['card' => 'done']])->assertStatus(422)->assertJsonStructure(['errors' => ['name']]);
        // Changed meanwhile: what is there now is told.
        $id = $created->json('id');
        $this->putJson("/api/pieces/networks/{$id}", ['version' => 1, 'changes' => ['card' => 'done']])->assertOk();
        $this->putJson("/api/pieces/networks/{$id}", ['version' => 1, 'changes' => ['card' => 'not_needed']])->assertStatus(409)->assertJsonPath('now.spec.card', 'done');
    }

    private function access(string $car, string $outlet): string
    {
        $fit = $this->postJson('/api/fit', [
            'vehicle' => Vehicle::query()->where('name', $car)->firstOrFail()->ulid,
            'outlet' => Outlet::query()->where('name', $outlet)->firstOrFail()->ulid,
            'adapters' => null,
        ])->assertOk();
        Contract::holds('POST', '/fit', $fit);

        return collect($fit->json('gates'))->firstWhere('gate', 'access')['code'];
    }
}
