<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Adapter;
use App\Models\ChargeSession;
use App\Models\Outlet;
use App\Models\Vehicle;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use Tests\Contract;
use Tests\StartsFromSeed;
use Tests\TakesFiles;
use Tests\TestCase;

/** What sessions prove, what held them back, and what they add up to; with the made-up company's log. */
final class ReviewApiTest extends TestCase
{
    use StartsFromSeed;
    use TakesFiles;

    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->demoUser());
    }

    public function test_a_report_says_what_held_the_session_back_and_what_it_proves(): void
    {
        $report = $this->report('Saw 45 kW where 150 were due, waited in vain.');
        $held = $report->json('judgement.held_back_by');

        self::assertSame('derated_stall', $held[0]['cause']);
        self::assertEqualsWithDelta(45.0, $held[0]['level_kw'], 0.3);
        self::assertStringStartsWith('Within all ratings; a derated stall cost ', $report->json('review.headline'));
        self::assertGreaterThan(10, $held[0]['lost_minutes']);
        self::assertSame(['cause' => 'derated_stall', 'minutes' => round($held[0]['lost_minutes'], 1)], $report->json('session.summary.held_back'));
        self::assertStringContainsString('carried', $report->json('review.proof.0'));
    }

    public function test_a_report_brings_duty_warmth_and_the_forecast_on_one_axis(): void
    {
        $report = $this->report('Hot afternoon, hall empty, left it running.');
        $a3 = collect($report->json('review.duty'))->firstWhere('name', 'A3 (Tenon T-31)');

        self::assertNotNull($a3['spent_at_s']);
        self::assertGreaterThan(1.0, max(array_column($a3['points'], 'theta')));
        self::assertSame([500, 300], array_values(array_unique(array_map(intval(...), [$a3['points'][0]['allowed_a'], 300]))));
        self::assertEqualsCanonicalizing(['adapter', 'ambient'], array_column($report->json('review.warmth'), 'point'));
        self::assertEquals(0, $report->json('review.expected.0.t_s'));
    }

    public function test_two_sessions_are_compared_and_one_is_kept_as_baseline(): void
    {
        $with = $this->noted('The same stretch through A3.');
        $without = $this->noted('Without any adapter, for comparison.');
        $compared = $this->getJson("/api/compare?with={$with->ulid}&without={$without->ulid}")->assertOk();
        Contract::holds('GET', '/compare', $compared);
        self::assertContains('station', array_column($compared->json('confounders'), 'code'));

        $kept = $this->putJson("/api/sessions/{$with->ulid}/baselines/{$without->ulid}")->assertOk()->assertJsonPath('baselines.0.id', $without->ulid);
        Contract::holds('PUT', '/sessions/{session}/baselines/{baseline}', $kept);
        self::assertSame($compared->json('sentence'), $kept->json('baselines.0.comparison.sentence'));
        $this->putJson("/api/sessions/{$with->ulid}/baselines/{$without->ulid}")->assertOk()->assertJsonCount(1, 'baselines');
        Contract::holds('DELETE', '/sessions/{session}/baselines/{baseline}', $this->deleteJson("/api/sessions/{$with->ulid}/baselines/{$without->ulid}")->assertOk()->assertJsonCount(0, 'baselines'));
        $this->deleteJson("/api/sessions/{$with->ulid}/baselines/{$without->ulid}")->assertNotFound();
    }

    public function test_what_cannot_be_compared_is_refused_by_name(): void
    {
        $brindle = $this->noted('The same stretch through A3.')->ulid;
        $sorrel = $this->noted('Step-up all the way.')->ulid;

        $other = $this->getJson("/api/compare?with={$brindle}&without={$sorrel}")->assertStatus(422)->assertJsonPath('errors.without.0', 'only sessions of the same car can be compared');
        Contract::holds('GET', '/compare', $other);
        $this->getJson("/api/compare?with={$brindle}")->assertStatus(422)->assertJsonStructure(['errors' => ['without']]);
        $this->putJson("/api/sessions/{$brindle}/baselines/{$sorrel}")->assertStatus(422)->assertJsonPath('errors.baseline.0', 'only sessions of the same car can be compared');
        $this->putJson("/api/sessions/{$brindle}/baselines/{$brindle}")->assertStatus(422)->assertJsonPath('errors.baseline.0', "a session can't be compared with itself");
        $this->putJson("/api/sessions/{$brindle}/baselines/nowhere")->assertStatus(422);
    }

    public function test_at_most_five_baselines_are_kept(): void
    {
        $session = $this->noted('The same stretch through A3.');
        $others = ChargeSession::query()->where('vehicle_id', $session->vehicle_id)->where('id', '!=', $session->id)->pluck('ulid');
        self::assertGreaterThan(5, $others->count());
        foreach ($others->take(5) as $other) {
            $this->putJson("/api/sessions/{$session->ulid}/baselines/{$other}")->assertOk();
        }

        $this->putJson("/api/sessions/{$session->ulid}/baselines/{$others[5]}")->assertStatus(422)->assertJsonPath('errors.baseline.0', 'at most 5 sessions can be compared with one. Remove one first');
    }

    public function test_a_plate_edited_later_changes_no_verdict_until_it_is_judged_anew_and_that_can_be_taken_back(): void
    {
        $session = $this->noted('The same stretch through A3.');
        $this->getJson("/api/sessions/{$session->ulid}")->assertJsonPath('plates.changed', [])->assertJsonPath('plates.before', null);
        $adapter = Adapter::query()->where('tag', 'A3')->firstOrFail();
        $adapter->update(['spec' => [...$adapter->spec, 'plate' => [...$adapter->spec['plate'], 'continuous_a' => 100, 'boost_a' => 150]]]);

        $this->getJson("/api/sessions/{$session->ulid}")->assertJsonPath('session.verdict', 'passed')->assertJsonPath('plates.changed', ['A3 (Tenon T-31)']);
        $anew = $this->postJson("/api/sessions/{$session->ulid}/judge-anew")->assertOk()->assertJsonPath('session.verdict', 'failed')->assertJsonPath('plates.changed', [])->assertJsonPath('plates.before.verdict', 'passed');
        Contract::holds('POST', '/sessions/{session}/judge-anew', $anew);
        self::assertSame($session->finished_at?->toIso8601ZuluString(), $anew->json('session.finished_at'));

        $back = $this->postJson("/api/sessions/{$session->ulid}/judge-as-before")->assertOk()->assertJsonPath('session.verdict', 'passed')->assertJsonPath('plates.changed', ['A3 (Tenon T-31)'])->assertJsonPath('plates.before', null);
        Contract::holds('POST', '/sessions/{session}/judge-as-before', $back);
        $this->postJson("/api/sessions/{$session->ulid}/judge-as-before")->assertStatus(422)->assertJsonPath('errors.session.0', 'this session has never been re-checked');
    }

    public function test_judging_anew_needs_the_pieces(): void
    {
        $session = $this->noted('The same stretch through A3.');
        Adapter::query()->where('tag', 'A3')->firstOrFail()->delete();

        $this->postJson("/api/sessions/{$session->ulid}/judge-anew")->assertStatus(422)->assertJsonStructure(['errors' => ['adapters[0]']]);
        $this->getJson("/api/sessions/{$session->ulid}")->assertJsonPath('plates.changed', [])->assertJsonPath('session.verdict', 'passed');
    }

    public function test_trust_of_every_adapter(): void
    {
        $trust = $this->getJson('/api/trust')->assertOk();
        Contract::holds('GET', '/trust', $trust);
        $a3 = collect($trust->json('adapters'))->firstWhere('adapter', Adapter::query()->where('tag', 'A3')->firstOrFail()->ulid);

        self::assertSame(7, $a3['sessions']);
        self::assertCount(7, $a3['indices']);
        self::assertNotNull($a3['slope']);
        self::assertTrue(ChargeSession::query()->where('ulid', $a3['proven']['boost_session'])->whereJsonContains('chain_adapters', $a3['adapter'])->exists());
        self::assertGreaterThan(0.9, $a3['proven']['of_boost']);
        $unused = collect($trust->json('adapters'))->firstWhere('adapter', Adapter::query()->where('tag', 'A5')->firstOrFail()->ulid);
        self::assertSame([0, true, 'Test it before you rely on it.'], [$unused['sessions'], $unused['next_test']['due'], $unused['next_test']['why']]);
    }

    public function test_memory_of_stalls_grades_and_learned_curves(): void
    {
        $memory = $this->getJson('/api/memory')->assertOk();
        Contract::holds('GET', '/memory', $memory);
        $outlet = Outlet::query()->where('name', 'Fernway 400')->firstOrFail()->ulid;
        $stall = collect($memory->json('stalls'))->firstWhere('outlet', $outlet);

        self::assertSame(['2', ['Last time at stall 2 it gave no more than 45.2 kW, less than its rating.']], [$stall['stall'], array_map(static fn (string $t): string => (string) preg_replace('/than 4\d(\.\d)? kW/', 'than 45.2 kW', $t), $stall['trouble'])]);
        $stalls = $this->getJson('/api/memory?part=stalls')->assertOk()->assertJsonPath('learned', []);
        Contract::holds('GET', '/memory', $stalls);
        self::assertSame($memory->json('stalls'), $stalls->json('stalls'));
        $brindle = collect($memory->json('grades.vehicles'))->firstWhere('id', Vehicle::query()->where('name', 'Brindle')->firstOrFail()->ulid);
        self::assertGreaterThanOrEqual(6, $brindle['sessions']);
        self::assertStringContainsString('forecasts, off by ', $brindle['words']);
    }

    public function test_what_a_stall_is_remembered_for_cautions_and_ranks_the_next_visit(): void
    {
        $outlet = Outlet::query()->where('name', 'Fernway 400')->firstOrFail()->ulid;
        $vehicle = Vehicle::query()->where('name', 'Brindle')->firstOrFail()->ulid;
        $access = fn (): array => collect($this->postJson('/api/fit', ['outlet' => $outlet, 'vehicle' => $vehicle])->assertOk()->json('gates'))->firstWhere('gate', 'access');
        self::assertSame('caution', $access()['result']);
        self::assertStringContainsString('At stall 2', ucfirst(strstr($access()['reason'], 'at stall 2') ?: ''));

        // A good session after the bad one lifts it.
        $good = $this->begin('Brindle', 'Fernway 400', [], '2');
        $this->charge($good, 140.0);
        self::assertSame('pass', $access()['result']);
    }

    public function test_heat_is_carried_over_to_the_next_session(): void
    {
        $first = $this->begin('Brindle', 'Ostler, third in full', ['A3']);
        $this->charge($first, 120.0, 1200);
        $a3 = Adapter::query()->where('tag', 'A3')->firstOrFail()->ulid;
        $theta = static fn (TestResponse $r): float => (float) (ChargeSession::query()->where('ulid', $r->json('session.id'))->firstOrFail()->case_file['conditions']['theta'][$a3] ?? 0.0);

        $soon = $theta($this->beginAnswer('Brindle', 'Ostler, third in full', ['A3']));
        self::assertGreaterThan(0.2, $soon);
        Carbon::setTestNow(Carbon::now()->addMinutes(60));
        $later = $theta($this->beginAnswer('Brindle', 'Ostler, third in full', ['A3']));
        // A plate of 500 A for 15 minutes, then 300 A: τ is −15 / ln(1 − 0.36) = 33.6 minutes.
        self::assertEqualsWithDelta($soon * exp(-60 / 33.61), $later, 0.01);
        $forecast = $this->postJson('/api/forecast', ['chains' => [['outlet' => Outlet::query()->where('name', 'Ostler, third in full')->firstOrFail()->ulid, 'vehicle' => Vehicle::query()->where('name', 'Brindle')->firstOrFail()->ulid, 'adapters' => [$a3], 'exact' => true]]])->assertOk();
        self::assertContains('note.warm', $forecast->json('forecasts.0.note_codes'));
        Carbon::setTestNow();
    }

    public function test_facts_are_looked_for_again_after_a_correction_and_gone_while_a_session_is_open(): void
    {
        $session = $this->noted('The same stretch through A3.');
        $count = fn (): int => collect($this->getJson('/api/trust')->json('adapters'))->firstWhere('adapter', Adapter::query()->where('tag', 'A3')->firstOrFail()->ulid)['sessions'];
        self::assertSame(7, $count());
        $this->postJson("/api/sessions/{$session->ulid}/reopen")->assertOk();
        self::assertSame(6, $count());
        $this->postJson("/api/sessions/{$session->ulid}/finish")->assertOk();
        self::assertSame(7, $count());
        $this->postJson("/api/sessions/{$session->ulid}/events", ['events' => [['client_id' => (string) Str::ulid(), 't_s' => 10, 'code' => 'failed_start']]])->assertOk();
        self::assertSame(7, $count());
        $kept = DB::table('session_adapters')->where('charge_session_id', $session->id)->value('used');
        self::assertSame(1, json_decode((string) $kept, true)['failed_starts']);
        $this->deleteJson("/api/sessions/{$session->ulid}")->assertNoContent();
        self::assertSame(6, $count());
    }

    public function test_a_session_leaves_as_csv_and_comes_back_the_same(): void
    {
        $session = $this->noted('The same stretch through A3.');
        $this->postJson("/api/sessions/{$session->ulid}/events", ['events' => [['client_id' => (string) Str::ulid(), 't_s' => 10, 'code' => 'plugged', 'detail' => '=cmd()']]])->assertOk();
        $csv = $this->get("/api/sessions/{$session->ulid}/export.csv")->assertOk()->assertHeader('content-type', 'text/csv; charset=utf-8')->streamedContent();
        self::assertStringContainsString(",'=cmd(),plugged", $csv);

        $again = $this->begin('Brindle', 'Ostler, second generation', ['A3']);
        $this->takeInto($again, $csv)->assertJsonPath('rejected_count', 0)->assertJsonPath('events_noted', 1);
        [$before, $after] = [$this->getJson("/api/sessions/{$session->ulid}"), $this->getJson("/api/sessions/{$again}")];
        self::assertSame($before->json('judgement.peaks'), $after->json('judgement.peaks'));
        self::assertSame($before->json('judgement.plate_check.0'), $after->json('judgement.plate_check.0'));
        self::assertSame($csv, $this->get("/api/sessions/{$again}/export.csv")->streamedContent());
    }

    public function test_a_session_leaves_as_json_and_as_a_charge_detail_record(): void
    {
        $session = $this->noted('The same stretch through A3.');
        $json = $this->getJson("/api/sessions/{$session->ulid}/export.json")->assertOk()->assertJsonPath('format', 'harmozon/session')->assertJsonPath('case.vehicle.name', 'Brindle')->assertJsonCount($session->readings()->count(), 'readings');
        Contract::holds('GET', '/sessions/{session}/export.json', $json);
        $cdr = $this->getJson("/api/sessions/{$session->ulid}/cdr")->assertOk()->assertJsonPath('session_id', $session->ulid)->assertJsonMissingPath('total_cost');
        Contract::holds('GET', '/sessions/{session}/cdr', $cdr);
        self::assertEquals([$session->summary['energy_kwh'], 'DC'], [$cdr->json('total_energy'), $cdr->json('cdr_location.connector_power_type')]);

        $this->patchJson("/api/sessions/{$session->ulid}", ['station_kwh' => 47.5, 'paid' => ['amount' => '18.53', 'currency' => 'USD']])->assertOk();
        $this->getJson("/api/sessions/{$session->ulid}/cdr")->assertJsonPath('total_cost.excl_vat', 18.53)->assertJsonPath('total_energy', 47.5)->assertJsonPath('charging_periods.0.dimensions.0', ['type' => 'ENERGY', 'volume' => 47.5]);
        $open = $this->begin('Brindle', 'Fernway 350', []);
        Contract::holds('GET', '/sessions/{session}/cdr', $this->getJson("/api/sessions/{$open}/cdr")->assertStatus(422)->assertJsonPath('errors.session.0', 'this session is still open. Finish it first'));
    }

    public function test_another_garage_sees_none_of_it(): void
    {
        $session = $this->noted('The same stretch through A3.')->ulid;
        $other = $this->noted('Without any adapter, for comparison.')->ulid;
        $this->actingAs($this->stranger());

        $this->postJson("/api/sessions/{$session}/judge-anew")->assertNotFound();
        $this->putJson("/api/sessions/{$session}/baselines/{$other}")->assertNotFound();
        $this->getJson("/api/compare?with={$session}&without={$other}")->assertStatus(422);
        foreach ($this->getJson('/api/trust')->json('adapters') as $adapter) {
            self::assertSame(0, $adapter['sessions']);
        }
        self::assertSame([], $this->getJson('/api/memory')->json('stalls'));
    }

    private function noted(string $note): ChargeSession
    {
        return ChargeSession::query()->where('note', $note)->firstOrFail();
    }

    /** @return TestResponse<\Symfony\Component\HttpFoundation\Response> */
    private function report(string $note): TestResponse
    {
        $report = $this->getJson("/api/sessions/{$this->noted($note)->ulid}")->assertOk();
        Contract::holds('GET', '/sessions/{session}', $report);

        return $report;
    }

    /**
     * @param  list<string>  $tags
     * @return TestResponse<\Symfony\Component\HttpFoundation\Response>
     */
    private function beginAnswer(string $vehicle, string $outlet, array $tags, ?string $stall = null): TestResponse
    {
        return $this->postJson('/api/sessions', [
            'vehicle' => Vehicle::query()->where('name', $vehicle)->firstOrFail()->ulid,
            'outlet' => Outlet::query()->where('name', $outlet)->firstOrFail()->ulid,
            'adapters' => array_map(static fn (string $tag): string => Adapter::query()->where('tag', $tag)->firstOrFail()->ulid, $tags),
            'exact' => true, ...($stall === null ? [] : ['stall' => $stall]),
        ])->assertCreated();
    }

    /** @param  list<string>  $tags */
    private function begin(string $vehicle, string $outlet, array $tags, ?string $stall = null): string
    {
        return $this->beginAnswer($vehicle, $outlet, $tags, $stall)->json('session.id');
    }

    /** Readings of one level, and the end. */
    private function charge(string $session, float $kw, int $seconds = 600): void
    {
        $readings = array_map(static fn (int $i): array => ['client_id' => (string) Str::ulid(), 't_s' => 30 * $i, 'soc_pct' => 10 + $i, 'volts' => 300, 'kw' => $kw], range(0, intdiv($seconds, 30)));
        $this->postJson("/api/sessions/{$session}/readings", ['readings' => $readings])->assertOk();
        $this->postJson("/api/sessions/{$session}/finish")->assertOk();
    }
}
