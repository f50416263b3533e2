<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Garage\Role;
use App\Imports\Sources;
use App\Models\Adapter;
use App\Models\ChargeSession;
use App\Models\Garage;
use App\Models\NetworkTerm;
use App\Models\Outlet;
use App\Models\Place;
use App\Models\Tour;
use App\Models\User;
use App\Models\Vehicle;
use App\Moving\GarageDocument;
use Harmozon\Core\Case\CaseReader;
use Harmozon\Core\Json\Node;
use Harmozon\Core\Readings\Foreign\ColumnMap;
use Harmozon\Core\Readings\Foreign\Encoding;
use Harmozon\Core\Readings\Foreign\Mapping;
use Harmozon\Core\Readings\Foreign\TimeMap;
use Harmozon\Core\Tests\Cases;
use Illuminate\Database\Events\TransactionBeginning;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Event;
use Illuminate\Testing\TestResponse;
use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Contract;
use Tests\StartsFromSeed;
use Tests\TestCase;

/** A whole garage leaves as one document and comes back. */
final class MovingTest extends TestCase
{
    use StartsFromSeed;

    public function test_what_was_written_comes_back_the_same_to_the_byte_and_twice_adds_nothing(): void
    {
        $json = $this->export($this->lanternfish());
        $keeper = $this->keeper();
        $first = $this->bring($keeper, $json)->assertOk();
        Contract::holds('POST', '/garage/import', $first);

        self::assertSame([$this->pieces($json), 0, 0, []], array_values($first->json() === null ? [] : [$first->json('added'), $first->json('replaced'), $first->json('same'), $first->json('kept')]));
        self::assertSame($json, $this->export($keeper));
        // An empty garage takes the name of the file, and says so; one with pieces keeps its own.
        $first->assertJson(['settings' => 'taken', 'renamed' => 'The Lanternfish Puppet Company']);
        $this->bring($keeper, $json)->assertJson(['added' => 0, 'replaced' => 0, 'same' => $this->pieces($json), 'kept' => [], 'renamed' => null, 'settings' => 'same']);
        self::assertSame($json, $this->export($keeper));
        // The garage it came from still stands as it was.
        self::assertSame($json, $this->export($this->demoUser()));
        $this->getJson('/api/board?first=20')->assertOk();
    }

    public function test_the_document_is_what_its_schema_says_and_the_core_reads_it(): void
    {
        $json = $this->export($this->lanternfish());
        self::assertTrue(self::schemaAccepts($json));
        self::assertNotSame([], (new CaseReader)->garage(Node::fromJson($json))->vehicles);
        self::assertStringContainsString('"party": "XX*FRN"', $json);
        self::assertFalse(self::schemaAccepts(str_replace('"version": 2', '"version": 3', $json)));
        Contract::holds('GET', '/garage/export', $this->getJson('/api/garage/export')->assertHeader('Content-Disposition', 'attachment; filename=the-lanternfish-puppet-company.garage.json'));
    }

    public function test_what_stands_here_otherwise_is_left_and_named_or_replaced(): void
    {
        $json = $this->export($this->lanternfish());
        $keeper = $this->keeper();
        $this->bring($keeper, $json)->assertOk();
        [$van, $adapter] = $this->inside($keeper, static fn (): array => [Vehicle::query()->where('name', 'Brindle')->firstOrFail(), Adapter::query()->firstOrFail()]);
        $this->putJson("/api/pieces/vehicles/{$van->ulid}", ['version' => $van->version, 'changes' => ['km_per_kwh' => 3.3]])->assertOk();
        $this->deleteJson("/api/pieces/adapters/{$adapter->ulid}")->assertNoContent();
        $own = $this->postJson('/api/pieces/vehicles', ['name' => 'Our own', 'spec' => ['inlets' => [['coupler' => 'ccs1']]]])->assertCreated()->json('id');

        $document = (array) json_decode($json, true);
        $renamed = (string) json_encode([...$document, 'settings' => [...(array) $document['settings'], 'name' => 'Other name']]);
        $this->bring($keeper, $renamed)->assertJson(['settings' => 'left', 'renamed' => null]);
        $this->deleteJson("/api/pieces/adapters/{$adapter->ulid}");
        self::assertSame('The Lanternfish Puppet Company', $this->getJson('/api/me')->json('garage.name'));
        $this->bring($keeper, $json)->assertJson(['added' => 1, 'replaced' => 0, 'kept' => ['Brindle']]);
        self::assertSame(3.3, $this->inside($keeper, static fn (): mixed => $van->refresh()->spec['km_per_kwh']));
        $version = $van->version;
        $this->bring($keeper, $json, replace: true)->assertJson(['added' => 0, 'replaced' => 1, 'kept' => []]);
        self::assertNotSame(3.3, $this->inside($keeper, static fn (): mixed => $van->refresh()->spec['km_per_kwh']));
        self::assertSame($version + 1, $van->version);
        self::assertSame(1, $this->inside($keeper, static fn (): int => Vehicle::query()->where('ulid', $own)->count()));
        // Settings come into an empty garage only.
        $this->putJson('/api/garage', ['name' => 'Rook wharf'])->assertOk();
        $this->bring($keeper, $json)->assertOk();
        $this->getJson('/api/me')->assertJsonPath('garage.name', 'Rook wharf');
    }

    public function test_a_file_of_version_1_is_read_for_ever(): void
    {
        $keeper = $this->keeper();
        $file = (string) json_encode(['format' => 'harmozon/garage', 'version' => 1, 'vehicles' => [Cases::CAR], 'adapters' => [Cases::ADAPTER], 'outlets' => [Cases::DC_POST]]);
        $this->bring($keeper, $file)->assertJson(['added' => 4]);
        $this->bring($keeper, $file)->assertJson(['added' => 0, 'same' => 4]);
        self::assertSame(['Test car', 'A1', 'Imported', 'Test post'], $this->inside($keeper, static fn (): array => [Vehicle::query()->firstOrFail()->name, Adapter::query()->firstOrFail()->tag, Place::query()->firstOrFail()->name, Outlet::query()->firstOrFail()->name]));
        self::assertTrue(self::schemaAccepts($file));
        // And written as what it is now.
        $second = $this->person('second', Role::Keeper, Garage::query()->create(['name' => 'Second yard']));
        $json = $this->export($keeper);
        $this->bring($second, $json)->assertJson(['added' => 4]);
        self::assertSame($json, $this->export($second));
    }

    public function test_sessions_come_back_with_all_that_was_noted_and_their_verdict_as_it_was_given(): void
    {
        $demo = $this->lanternfish();
        $this->inside($demo, function (): void {
            $session = ChargeSession::query()->whereNotNull('verdict')->orderBy('started_at')->firstOrFail();
            $other = ChargeSession::query()->whereKeyNot($session->id)->firstOrFail();
            // A verdict that the judge of today would not give.
            $session->update(['verdict' => $session->verdict === 'failed' ? 'caution' : 'failed', 'stall' => '7b', 'paid_amount' => '12.30', 'paid_currency' => 'USD', 'judged_before' => ['case_file' => $session->case_file, 'verdict' => 'passed', 'judged_at' => null]]);
            $session->events()->create(['garage_id' => $session->garage_id, 'client_id' => 'E1', 'code' => 'smell_or_heat', 't_ms' => 1500, 'detail' => 'warm "plastic"', 'took_out' => ['a' => null, 'b' => false]]);
            DB::table('session_baselines')->insert(['charge_session_id' => $session->id, 'baseline_id' => $other->id]);
            $this->app->make(Sources::class)->remember(str_repeat('ab', 32), 'thermometer.csv', new Mapping(';', ',', Encoding::Utf8, ['T1' => new ColumnMap('adapter_c')], new TimeMap('Zeit')));
        });
        $json = $this->export($demo);
        self::assertTrue(self::schemaAccepts($json));
        $keeper = $this->keeper();
        $this->bring($keeper, $json)->assertOk();
        self::assertSame($json, $this->export($keeper));
        self::assertSame($this->log($demo), $this->log($keeper));

        // One that stands here otherwise is left, unless it is to be replaced.
        $first = $this->inside($keeper, static function (): string {
            $session = ChargeSession::query()->where('stall', '7b')->firstOrFail();
            $session->readings()->limit(1)->delete();

            return $session->ulid;
        });
        $this->bring($keeper, $json)->assertJson(['added' => 0, 'replaced' => 0])->assertJsonCount(1, 'kept');
        $this->bring($keeper, $json, replace: true)->assertJson(['added' => 0, 'replaced' => 1, 'kept' => []]);
        self::assertSame($json, $this->export($keeper));
        // Others that are held against the one that was replaced still are.
        $this->inside($keeper, static function (): void {
            ChargeSession::query()->whereKey((int) DB::table('session_baselines')->max('baseline_id'))->firstOrFail()->update(['note' => 'changed here']);
        });
        $this->bring($keeper, $json, replace: true)->assertJson(['added' => 0, 'replaced' => 1, 'kept' => []]);
        self::assertSame($json, $this->export($keeper));
        $this->deleteJson("/api/sessions/{$first}")->assertNoContent();
        $this->bring($keeper, $json)->assertJson(['added' => 1, 'replaced' => 0, 'kept' => []]);
        self::assertSame($json, $this->export($keeper));
    }

    /** @return list<array<string, mixed>> what the log tells of every session, but what the garage says in its own way */
    private function log(User $user): array
    {
        $log = $this->actingAs($user)->getJson('/api/sessions')->assertOk()->json('sessions');
        $this->getJson('/api/memory')->assertOk();
        $this->getJson("/api/sessions/{$log[0]['id']}")->assertOk();

        return $log;
    }

    /** @param  callable(array<string, mixed>): array<string, mixed>  $spoil */
    #[DataProvider('faults')]
    public function test_a_document_that_cannot_be_is_refused_by_its_field_and_nothing_is_written(callable $spoil, string $field): void
    {
        $document = json_decode($this->export($this->lanternfish()), true);
        $keeper = $this->keeper();
        $response = $this->bring($keeper, (string) json_encode($spoil($document)))->assertUnprocessable();

        self::assertSame([$field], array_keys($response->json('errors')));
        self::assertSame([0, 0, 0, 0], $this->inside($keeper, static fn (): array => [Vehicle::query()->count(), Place::query()->count(), Outlet::query()->count(), NetworkTerm::query()->count()]));
        $this->actingAs(User::query()->findOrFail($keeper->id))->getJson('/api/me')->assertJsonPath('garage.name', 'Rook yard');
    }

    /** @return iterable<string, array{callable(array<string, mixed>): array<string, mixed>, string}> */
    public static function faults(): iterable
    {
        $at = static fn (string $path, mixed $value): callable => static fn (array $d): array => Cases::changed($d, [$path => $value]);
        yield 'another format' => [$at('format', 'other'), 'format'];
        yield 'a version to come' => [$at('version', 3), 'version'];
        yield 'a plate that cannot be' => [$at('vehicles.2.inlets.0.dc.max_v', -4), 'vehicles[2].inlets[0].dc.max_v'];
        yield 'the last outlet' => [static fn (array $d): array => Cases::changed($d, ['outlets.'.(count($d['outlets']) - 1).'.coupler' => 'round']), 'outlets[12].coupler'];
        yield 'an id twice' => [static fn (array $d): array => Cases::changed($d, ['adapters.1.id' => $d['adapters'][0]['id']]), 'adapters[1].id'];
        yield 'an outlet of no place' => [$at('outlets.0.place', 'nowhere'), 'outlets'];
        yield 'an outlet that names none' => [$at('outlets.0.place', null), 'outlets[0].place'];
        yield 'another currency' => [$at('settings.currency', 'euro'), 'settings.currency'];
        yield 'a tag as long as a name' => [$at('adapters.0.tag', 'Tenon'), 'adapters[0].tag'];
        yield 'a word that means nothing of ours' => [$at('mappings.0.ours', 'pantograph'), 'terms[0].ours'];
        yield 'a session that ends before it begins' => [$at('sessions.0.finished_at', '2020-01-01T00:00:00Z'), 'sessions[0].finished_at'];
        yield 'a verdict of ours that is none' => [$at('sessions.1.verdict', 'splendid'), 'sessions[1].verdict'];
        yield 'a finished session without a verdict' => [$at('sessions.1.verdict', null), 'sessions[1].verdict'];
        yield 'a session twice' => [static fn (array $d): array => Cases::changed($d, ['sessions.1.id' => $d['sessions'][0]['id']]), 'sessions[1].id'];
        yield 'a session of an inlet that is none' => [$at('sessions.0.inlet_index', 9), 'sessions[0].inlet_index'];
        yield 'a session of plates that cannot be' => [$at('sessions.0.case.outlet.max_kw', 'much'), 'sessions[0].case.outlet.max_kw'];
        yield 'a session through an adapter that is not in its case' => [$at('sessions.0.chain_adapters', ['nobody']), 'sessions[0].adapters'];
        yield 'a reading beyond anything' => [$at('sessions.0.readings.rows.1.3', 9_999_999), 'sessions[0].readings.rows[1].volts'];
        yield 'a row too short' => [$at('sessions.0.readings.rows.2', [1]), 'sessions[0].readings.rows[2]'];
        yield 'a column of no reading' => [$at('sessions.0.readings.columns.3', 'ohms'), 'sessions[0].readings.columns'];
        yield 'an event of no kind' => [$at('sessions.0.events', [['id' => 'e', 't_s' => 1, 'code' => 'applause']]), 'sessions[0].events[0].code'];
        yield 'a mapping that cannot be' => [$at('readings_mappings', [['source' => str_repeat('a', 64), 'name' => 'n', 'mapping' => ['columns' => ['x' => ['field' => 'ohms']]]]]), 'readings_mappings[0].mapping.columns.x.field'];
        yield 'vehicles in words' => [$at('vehicles', 'all'), 'vehicles'];
    }

    public function test_what_is_no_document_at_all(): void
    {
        $keeper = $this->keeper();
        foreach (['', '[]', 'null', '{"format":', "\xFF\xFE", str_repeat('[', 500)] as $text) {
            Contract::holds('POST', '/garage/import', $this->bring($keeper, $text)->assertUnprocessable());
        }
        $this->postJson('/api/garage/import', [])->assertUnprocessable();
        $this->actingAs($this->person('driver', Role::Driver, $keeper->garage));
        $this->postJson('/api/garage/import', [])->assertForbidden();
        $this->getJson('/api/garage/export')->assertOk();
    }

    public function test_at_the_command_line(): void
    {
        $demo = $this->lanternfish();
        $keeper = $this->keeper();
        $file = tempnam(sys_get_temp_dir(), 'garage');
        try {
            file_put_contents($file, $this->export($demo));
            $this->artisan('harmozon:import', ['garage' => $file, '--user' => $keeper->email])->expectsOutputToContain(' added, 0 replaced')->assertSuccessful();
            $this->artisan('harmozon:import', ['garage' => $file, '--user' => $keeper->email, '--json' => true])->expectsOutputToContain('"added": 0')->assertSuccessful();
            $this->artisan('harmozon:export', ['--user' => $keeper->email])->expectsOutputToContain('"format": "harmozon/garage"')->assertSuccessful();
            foreach ([['harmozon:export', []], ['harmozon:export', ['--user' => 'nobody@another.example']], ['harmozon:import', ['garage' => '/no/such/file', '--user' => $keeper->email]], ['harmozon:import', ['garage' => __FILE__, '--user' => $keeper->email]], ['harmozon:import', ['garage' => $file]]] as [$command, $bad]) {
                $this->artisan($command, $bad)->assertExitCode(2);
            }
        } finally {
            unlink($file);
        }
    }

    /** The demo's keeper; the garage has a network's place with words of its own. */
    private function lanternfish(): User
    {
        $user = $this->demoUser();
        $connector = ['id' => '1', 'standard' => 'PANTOGRAPH', 'power_type' => 'DC', 'max_voltage' => 920, 'max_amperage' => 200, 'max_electric_power' => 120_000];
        $file = (string) json_encode([['id' => 'L1', 'country_code' => 'XX', 'party_id' => 'FRN', 'name' => 'Sluice wharf', 'evses' => [['uid' => 'E1', 'connectors' => [$connector]]]]]);
        $this->actingAs($user)->post('/api/ocpi/import', ['file' => UploadedFile::fake()->createWithContent('l.json', $file), 'terms' => json_encode(['terms' => [['kind' => 'standard', 'theirs' => 'PANTOGRAPH', 'ours' => 'ccs1']]])], ['Accept' => 'application/json'])->assertSuccessful();
        $answers = ['plate_said' => 'yes', 'certified_mark' => 'not_said', 'sold_for' => 'dc'];
        $this->postJson('/api/pieces/wishes', ['name' => 'Gudgeon G-7', 'spec' => ['input' => 'ccs1', 'output' => 'chademo', 'price' => '620.00', 'vetting' => $answers]])->assertCreated();
        $adapter = Adapter::query()->where('tag', 'A1')->firstOrFail();
        $this->putJson("/api/pieces/adapters/{$adapter->ulid}", ['version' => $adapter->version, 'changes' => ['kept_in' => 'Brindle', 'lent_to' => 'Ida', 'purchased_on' => '2030-05-02', 'certificate_number' => 'E 12345', 'vetting' => $answers]])->assertOk();
        $tour = Tour::query()->firstOrFail();
        $this->putJson("/api/pieces/tours/{$tour->ulid}", ['version' => $tour->version, 'changes' => ['leaves_on' => '2031-05-02']])->assertOk();

        return $user;
    }

    private function keeper(): User
    {
        return $this->person('rook', Role::Keeper, Garage::query()->create(['name' => 'Rook yard']));
    }

    public function test_a_large_document_arrives_in_pieces_and_comes_in_beside_the_server(): void
    {
        $json = $this->export($this->lanternfish());
        $keeper = $this->keeper();
        $this->actingAs($keeper);
        self::assertNull($this->getJson('/api/garage/arrivals')->assertOk()->json('arrival'));
        $begun = $this->postJson('/api/garage/arrivals', ['name' => 'garage.json', 'bytes' => strlen($json), 'replace' => false])->assertCreated();
        Contract::holds('POST', '/garage/arrivals', $begun);
        $id = $begun->json('id');
        Contract::holds('POST', '/garage/arrivals', $this->postJson('/api/garage/arrivals', ['name' => 'another', 'bytes' => 10])->assertStatus(422));
        $half = intdiv(strlen($json), 2);
        Contract::holds('PUT', '/garage/arrivals/{arrival}/piece', $this->piece($id, 0, substr($json, 0, $half))->assertOk()->assertJsonPath('state', 'arriving'));
        Contract::holds('POST', '/garage/arrivals/{arrival}/start', $this->postJson("/api/garage/arrivals/{$id}/start")->assertStatus(422));
        // An answer that was lost, and whoever does not know how far it came.
        $this->piece($id, 0, substr($json, 0, $half))->assertOk()->assertJsonPath('received', $half);
        $this->piece($id, $half + 5, 'x')->assertStatus(422)->assertJsonStructure(['errors' => ['from']]);
        $this->piece($id, $half, substr($json, $half))->assertOk()->assertJsonPath('state', 'ready');
        Contract::holds('POST', '/garage/arrivals/{arrival}/start', $this->postJson("/api/garage/arrivals/{$id}/start")->assertOk()->assertJsonPath('state', 'waiting'));
        Contract::holds('DELETE', '/garage/arrivals/{arrival}', $this->deleteJson("/api/garage/arrivals/{$id}")->assertStatus(422));
        self::assertSame([], $this->getJson('/api/garage')->json('vehicles'));

        $this->artisan('harmozon:work', ['--until-empty' => true])->assertSuccessful();
        $done = $this->actingAs($keeper)->getJson("/api/garage/arrivals/{$id}")->assertOk();
        Contract::holds('GET', '/garage/arrivals/{arrival}', $done);
        self::assertSame(['done', $this->pieces($json), null], [$done->json('state'), $done->json('moved.added'), $done->json('problem')]);
        self::assertSame(count(array_merge(...array_column(array_column(json_decode($json, true)['sessions'], 'readings'), 'rows'))), $done->json('readings'));
        self::assertSame($json, $this->export($keeper));
        self::assertSame(0, DB::table('charge_sessions')->whereNotNull('deleted_at')->count());
        $this->actingAs($this->person('driver', Role::Driver, $keeper->garage))->getJson("/api/garage/arrivals/{$id}")->assertForbidden();
        $this->actingAs($this->lanternfish())->getJson("/api/garage/arrivals/{$id}")->assertNotFound();
        Contract::holds('DELETE', '/garage/arrivals/{arrival}', $this->actingAs($keeper)->deleteJson("/api/garage/arrivals/{$id}")->assertNoContent());
        Contract::holds('GET', '/garage/arrivals', $this->getJson('/api/garage/arrivals')->assertOk());
    }

    /** @return array<string, array{string, string}> */
    public static function broken(): array
    {
        return ['no JSON' => ['{"format": "harmozon/garage", "version": 2, "sessions": [{]}', 'is not valid JSON'], 'no garage' => ['{"format": "harmozon/case", "version": 1}', 'harmozon/garage'], 'readings of a session' => ["t_s,kw\n0,1\n10,2\n", 'This is a table, such as readings of a session (CSV), not a garage that was saved from Harmozon.'], 'a picture' => ["\x89PNG\r\n", 'This is a picture'], 'one that does not say what it is' => ['{"version": 2, "vehicles": [], "outlets": [], "sessions": []}', 'format: is required'], 'a bad session' => ['{"format": "harmozon/garage", "version": 2, "vehicles": [], "outlets": [], "sessions": [{"id": "x"}]}', 'sessions[0]']];
    }

    #[DataProvider('broken')]
    public function test_a_large_document_that_cannot_be_read_is_told_and_nothing_of_it_is_here(string $json, string $told): void
    {
        $keeper = $this->keeper();
        $this->actingAs($keeper);
        $id = $this->postJson('/api/garage/arrivals', ['name' => 'garage.json', 'bytes' => strlen($json)])->assertCreated()->json('id');
        $this->piece($id, 0, $json)->assertOk();
        $this->postJson("/api/garage/arrivals/{$id}/start")->assertOk();
        $this->artisan('harmozon:work', ['--until-empty' => true])->assertSuccessful();

        $failed = $this->getJson("/api/garage/arrivals/{$id}")->assertOk()->assertJsonPath('state', 'failed');
        self::assertStringContainsString($told, (string) $failed->json('problem'));
        self::assertSame([], $this->getJson('/api/garage')->json('vehicles'));
        self::assertSame(0, DB::table('charge_sessions')->where('garage_id', $keeper->garage_id)->count());
    }

    public function test_what_fails_at_the_last_leaves_nothing_of_its_sessions(): void
    {
        $json = $this->export($this->lanternfish());
        $keeper = $this->keeper();
        $before = [DB::table('charge_sessions')->count(), DB::table('readings')->count(), DB::table('vehicles')->count()];
        $sessions = count(json_decode($json, true)['sessions']);
        Event::listen(TransactionBeginning::class, static function () use ($sessions): void {
            if (DB::table('charge_sessions')->where('deleted_at', '>', now())->count() === $sessions) {
                throw new \RuntimeException('the power goes');
            }
        });
        $this->bring($keeper, $json)->assertStatus(500);
        Event::forget(TransactionBeginning::class);

        self::assertSame($before, [DB::table('charge_sessions')->count(), DB::table('readings')->count(), DB::table('vehicles')->count()]);
        $this->bring($keeper, $json)->assertOk();
        self::assertSame($json, $this->export($keeper));
    }

    public function test_a_reading_acknowledged_while_its_session_is_being_replaced_is_not_lost(): void
    {
        $json = $this->export($this->lanternfish());
        $keeper = $this->keeper();
        $this->bring($keeper, $json)->assertOk();
        $session = $this->inside($keeper, static fn (): ChargeSession => ChargeSession::query()->orderBy('id')->firstOrFail());
        $this->patchJson("/api/sessions/{$session->ulid}", ['note' => 'changed here'])->assertOk();
        $before = DB::table('charge_sessions')->count();
        $isTaken = false;
        // Somebody reopens the session and writes a reading down while the other one is written where nobody sees it.
        Event::listen(TransactionBeginning::class, function () use ($session, &$isTaken): void {
            if (! $isTaken && DB::table('charge_sessions')->where('deleted_at', '>', now())->exists()) {
                $isTaken = true;
                DB::table('readings')->insert(['garage_id' => $session->garage_id, 'charge_session_id' => $session->id, 'client_id' => 'late', 't_ms' => 1, 'kw' => 5]);
                DB::table('charge_sessions')->where('id', $session->id)->increment('revision', 1, ['held' => $session->held + 1]);
            }
        });
        $refused = $this->bring($keeper, $json, replace: true)->assertStatus(422);
        Event::forget(TransactionBeginning::class);

        self::assertTrue($isTaken);
        self::assertStringContainsString('changed here in the meantime', (string) $refused->json('message'));
        self::assertSame(1, DB::table('readings')->where('charge_session_id', $session->id)->where('client_id', 'late')->count());
        self::assertSame($before, DB::table('charge_sessions')->count());
        $this->bring($keeper, $json, replace: true)->assertOk();
        self::assertSame($json, $this->export($keeper));
    }

    private function piece(string $id, int $from, string $bytes): TestResponse
    {
        return $this->call('PUT', "/api/garage/arrivals/{$id}/piece?from={$from}", server: ['HTTP_ACCEPT' => 'application/json', 'CONTENT_TYPE' => 'application/octet-stream'], content: $bytes);
    }

    private function export(User $user): string
    {
        $garage = Garage::query()->findOrFail($user->refresh()->garage_id);

        return $this->inside($user, fn (): string => implode('', iterator_to_array($this->app->make(GarageDocument::class)->parts($garage), false)));
    }

    /** @return TestResponse<\Symfony\Component\HttpFoundation\Response> */
    private function bring(User $user, string $json, bool $replace = false): TestResponse
    {
        return $this->actingAs($user)->post('/api/garage/import', ['file' => UploadedFile::fake()->createWithContent('g.json', $json), 'replace' => $replace ? '1' : '0'], ['Accept' => 'application/json']);
    }

    private function pieces(string $json): int
    {
        $document = json_decode($json, true);

        return array_sum(array_map(static fn (string $kind): int => count($document[$kind]), ['vehicles', 'adapters', 'places', 'outlets', 'networks', 'tours', 'wishes', 'sessions']));
    }

    private static function schemaAccepts(string $json): bool
    {
        $validator = new Validator;
        foreach (['case', 'garage'] as $name) {
            $schema = json_decode((string) file_get_contents(public_path("schema/{$name}.schema.json")), false, 512, JSON_THROW_ON_ERROR);
            $validator->resolver()?->registerRaw($schema);
        }

        return $validator->validate(json_decode($json, false, 512, JSON_THROW_ON_ERROR), $schema->{'$id'})->isValid();
    }
}
