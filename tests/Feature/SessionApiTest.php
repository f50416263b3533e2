<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Adapter;
use App\Models\Outlet;
use App\Models\Vehicle;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\Group;
use Tests\Contract;
use Tests\StartsFromSeed;
use Tests\TakesFiles;
use Tests\TestCase;

final class SessionApiTest extends TestCase
{
    use StartsFromSeed;
    use TakesFiles;

    private const FILE = "t_s,soc_pct,volts,amps,kw\n0,20,300,0,0\n60,21,301,400,120.4\n120,22,302,400,120.8\nx,1,2,3,4\n180,24,303,400,121.2\n";

    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->demoUser());
    }

    public function test_the_log_holds_the_scenarios_sessions_with_their_verdicts(): void
    {
        $response = $this->getJson('/api/sessions')->assertOk()->assertJsonCount(34, 'sessions');
        Contract::holds('GET', '/sessions', $response);

        self::assertEqualsCanonicalizing(
            [...array_fill(0, 30, 'passed'), 'passed_indicative', 'failed', 'incomplete', 'incomplete'],
            array_column($response->json('sessions'), 'verdict'),
        );
        foreach ($response->json('sessions') as $line) {
            Contract::holds('GET', '/sessions/{session}', $this->getJson("/api/sessions/{$line['id']}")->assertOk());
        }
    }

    public function test_a_session_from_start_to_verdict(): void
    {
        $begun = $this->begin()->assertCreated();
        Contract::holds('POST', '/sessions', $begun);
        $id = $begun->json('session.id');
        self::assertSame('incomplete', $begun->json('judgement.verdict'));

        $taken = $this->take($id, [['t_s' => 0, 'volts' => 300, 'amps' => 0], ['t_s' => 60, 'volts' => 301, 'amps' => 380], ['t_s' => 120, 'kw' => 100, 'soc_pct' => 22]])->assertOk();
        Contract::holds('POST', '/sessions/{session}/readings', $taken);
        self::assertSame(3, $taken->json('added'));
        self::assertEquals(380, $taken->json('judgement.peaks.a.value'));
        self::assertSame('passed', $taken->json('judgement.verdict'));

        $list = $this->getJson("/api/sessions/{$id}/readings")->assertOk()->assertJsonPath('count', 3);
        Contract::holds('GET', '/sessions/{session}/readings', $list);
        self::assertEquals([120, 60, 0], array_column($list->json('readings'), 't_s'));

        $finished = $this->postJson("/api/sessions/{$id}/finish")->assertOk()->assertJsonPath('session.verdict', 'passed');
        Contract::holds('POST', '/sessions/{session}/finish', $finished);
        $this->take($id, [['t_s' => 180, 'kw' => 1]])->assertStatus(422)->assertJsonPath('errors.session.0', 'is finished. Reopen it to change its readings');
        Contract::holds('POST', '/sessions/{session}/reopen', $this->postJson("/api/sessions/{$id}/reopen")->assertOk()->assertJsonPath('session.verdict', null));
    }

    public function test_the_same_reading_twice_is_stored_once_and_can_be_taken_back(): void
    {
        $id = $this->begin()->json('session.id');
        $reading = ['client_id' => (string) Str::ulid(), 't_s' => 5, 'kw' => 50];

        self::assertSame(1, $this->take($id, [$reading])->json('added'));
        self::assertSame(0, $this->take($id, [['kw' => 90] + $reading])->json('added'));
        self::assertEquals(50, $this->getJson("/api/sessions/{$id}/readings")->json('readings.0.kw'));

        Contract::holds('DELETE', '/sessions/{session}/readings/{clientId}', $this->deleteJson("/api/sessions/{$id}/readings/{$reading['client_id']}")->assertOk());
        $this->deleteJson("/api/sessions/{$id}/readings/{$reading['client_id']}")->assertOk();
        $this->deleteJson('/api/sessions/'.Str::ulid()."/readings/{$reading['client_id']}")->assertNotFound();
    }

    public function test_impossible_readings_are_named_and_nothing_of_them_is_written(): void
    {
        $id = $this->begin()->json('session.id');
        foreach ([
            [['t_s' => 1, 'amps' => 99_999], 'readings[1].amps'],
            [['t_s' => -1, 'kw' => 5], 'readings[1].t_s'],
            [['t_s' => 1, 'kw' => 'five'], 'readings[1].kw'],
            [['t_s' => 1], 'readings[1]'],
            [['kw' => 5], 'readings[1].t_s'],
        ] as [$wrong, $path]) {
            $response = $this->take($id, [['t_s' => 0, 'kw' => 5], $wrong])->assertStatus(422);
            Contract::holds('POST', '/sessions/{session}/readings', $response);
            self::assertArrayHasKey($path, $response->json('errors'), (string) $response->getContent());
        }
        foreach ([[], ['readings' => 'none'], ['readings' => []], ['readings' => [['client_id' => 'short', 't_s' => 1, 'kw' => 1]]], ['readings' => ['text']]] as $body) {
            $this->postJson("/api/sessions/{$id}/readings", $body)->assertStatus(422);
        }
        $this->getJson("/api/sessions/{$id}/readings")->assertJsonPath('count', 0);
    }

    public function test_a_readings_file_is_taken_once_with_a_report_of_what_was_left_out(): void
    {
        $id = $this->begin()->json('session.id');
        $file = $this->arriveIn($id, self::FILE);
        self::assertSame([['line' => 5, 'reason' => 't_s: "x" is not a number', 'code' => 'readings.not_number']], $this->getJson("/api/imports/{$file}/look")->assertOk()->json('rejected'));
        $taken = $this->postJson("/api/imports/{$file}/start")->assertOk();
        self::assertSame([4, 4, 1], [$taken->json('understood'), $taken->json('added'), $taken->json('rejected_count')]);
        self::assertEquals(400, $this->getJson("/api/sessions/{$id}")->json('judgement.peaks.a.value'));

        $again = $this->takeInto($id, self::FILE);
        self::assertSame([4, 0], [$again->json('understood'), $again->json('added')]);

        $this->deleteJson("/api/imports/{$again->json('id')}")->assertNoContent();
        $this->getJson("/api/sessions/{$id}/readings")->assertJsonPath('count', 0);
    }

    public function test_a_foreign_file_is_taken_as_it_looks_or_as_somebody_says(): void
    {
        $id = $this->begin()->json('session.id');
        $file = "Zeit;Akku [%];Leistung (W);Adapter (°F)\n01.05.2026 10:00:00;20,5;50500,5;50\n01.05.2026 10:01:00;21;51000;68\n01.05.2026 10:02:00;22;51000;77\n";
        $guessed = $this->takeInto($id, $file)->assertJsonPath('added', 3)->assertJsonPath('mapping_from', 'guessed');
        self::assertSame(['W', 'd.m.Y H:i:s'], [$guessed->json('mapping.columns')['Leistung (W)']['unit'], $guessed->json('mapping.time.format')]);
        $judgement = $this->getJson("/api/sessions/{$id}")->json('judgement');
        self::assertEquals([51.0, 25.0], [$judgement['peaks']['kw']['value'], $judgement['temperatures'][0]['max_c']]);

        $other = $this->arriveIn($this->begin()->json('session.id'), $file);
        $told = ['delimiter' => ';', 'decimal' => ',', 'columns' => ['Leistung (W)' => ['field' => 'kw']], 'time' => ['column' => 'Zeit', 'format' => 'd.m.Y H:i:s']];
        $this->putJson("/api/imports/{$other}", ['mapping' => ['columns' => []]])->assertStatus(422)->assertJsonStructure(['errors' => ['mapping.time']]);
        $this->putJson("/api/imports/{$other}", ['mapping' => $told])->assertOk()->assertJsonPath('mapping_from', 'told');
        self::assertSame(3, $this->postJson("/api/imports/{$other}/start")->json('rejected_count'), '51000 kW are beyond reason');
    }

    public function test_events_of_a_file_are_noted_once_and_taken_back_with_it(): void
    {
        $id = $this->begin()->json('session.id');
        $file = "t_s,kw,event\n0,,plugged\n40,50,current_flows\n70,51,\n100,51,shrugged\n";
        $taken = $this->takeInto($id, $file)->assertJsonPath('events_noted', 2)->assertJsonPath('added', 3)->assertJsonPath('rejected_count', 1);
        $this->takeInto($id, $file)->assertJsonPath('events_noted', 0)->assertJsonPath('added', 0);
        self::assertEquals(40, $this->getJson("/api/sessions/{$id}")->json('handshake_s'));

        $this->deleteJson("/api/imports/{$taken->json('id')}")->assertNoContent();
        self::assertSame([], $this->getJson("/api/sessions/{$id}")->json('events'));
    }

    public function test_a_file_of_which_nothing_can_be_read_is_not_taken(): void
    {
        $id = $this->begin()->json('session.id');
        foreach (["volts,amps\n1,2\n", "t_s,kw,kw\n1,2,3\n", "\xff\xfe\x00binary"] as $content) {
            $file = $this->arriveIn($id, $content);
            self::assertNotNull($this->getJson("/api/imports/{$file}/look")->assertOk()->json('problem'), $content);
            $failed = $this->postJson("/api/imports/{$file}/start")->assertOk();
            self::assertSame(['failed', 0], [$failed->json('state'), $failed->json('added')], $content);
            self::assertNotNull($failed->json('problem'), $content);
        }
        $this->getJson("/api/sessions/{$id}/readings")->assertJsonPath('count', 0);
    }

    public function test_editing_a_car_later_does_not_rewrite_the_past(): void
    {
        $begun = $this->begin();
        $limit = static fn (TestResponse $r): mixed => collect($r->json('judgement.plate_check'))->firstWhere(fn (array $row): bool => str_ends_with($row['link'], '#0') && $row['quantity'] === 'a')['limit'];
        $before = $limit($begun);
        $vehicle = Vehicle::query()->where('name', 'Brindle')->firstOrFail();
        $spec = $vehicle->spec;
        $spec['inlets'][0]['dc']['max_a'] = 10;
        $vehicle->update(['spec' => $spec]);

        self::assertSame($before, $limit($this->getJson('/api/sessions/'.$begun->json('session.id'))));
    }

    public function test_a_session_put_aside_is_gone_from_the_log_and_comes_back(): void
    {
        $id = $this->begin()->json('session.id');
        Contract::holds('DELETE', '/sessions/{session}', $this->deleteJson("/api/sessions/{$id}")->assertNoContent());
        Contract::holds('GET', '/sessions/{session}', $this->getJson("/api/sessions/{$id}")->assertNotFound());
        $this->getJson('/api/sessions')->assertJsonCount(34, 'sessions');
        Contract::holds('POST', '/sessions/{session}/restore', $this->postJson("/api/sessions/{$id}/restore")->assertOk());
        $this->getJson('/api/sessions')->assertJsonCount(35, 'sessions');
    }

    #[Group('sqlite')]
    public function test_the_database_keeps_what_it_acknowledges(): void
    {
        self::assertSame(1, (int) DB::selectOne('PRAGMA foreign_keys')->foreign_keys);
        self::assertSame(2, (int) DB::selectOne('PRAGMA synchronous')->synchronous);
    }

    private function begin(): TestResponse
    {
        return $this->postJson('/api/sessions', [
            'outlet' => Outlet::query()->where('name', 'Ostler, second generation')->firstOrFail()->ulid,
            'vehicle' => Vehicle::query()->where('name', 'Brindle')->firstOrFail()->ulid,
            'adapters' => [Adapter::query()->where('tag', 'A3')->firstOrFail()->ulid],
            'note' => 'stall 4',
        ]);
    }

    /** @param  list<array<string, mixed>>  $readings */
    private function take(string $session, array $readings): TestResponse
    {
        return $this->postJson("/api/sessions/{$session}/readings", [
            'readings' => array_map(static fn (array $r): array => ['client_id' => (string) Str::ulid(), ...$r], $readings),
        ]);
    }
}
