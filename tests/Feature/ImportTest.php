<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Imports\ArrivingFile;
use App\Imports\ImportState;
use App\Imports\TakeFile;
use App\Models\ChargeSession;
use App\Models\ReadingsImport;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\Group;
use Tests\Contract;
use Tests\StartsFromSeed;
use Tests\TakesFiles;
use Tests\TestCase;

/** Readings files that arrive piece by piece, are looked at, and taken at once or in the background. */
#[Group('slow')]
final class ImportTest extends TestCase
{
    use StartsFromSeed;
    use TakesFiles;

    private User $user;

    private ChargeSession $session;

    protected function setUp(): void
    {
        parent::setUp();
        $this->user = $this->demoUser();
        $this->actingAs($this->user);
        $this->session = $this->inside($this->user, static function (): ChargeSession {
            $copy = ChargeSession::query()->firstOrFail()->replicate(['ulid', 'verdict', 'summary', 'finished_at']);
            $copy->save();

            return $copy;
        });
    }

    public function test_a_file_arrives_in_pieces_is_looked_at_and_taken(): void
    {
        $text = self::foreign(50);
        $begun = $this->postJson($this->doors(), ['name' => 'thermometer.csv', 'bytes' => strlen($text)])->assertCreated();
        Contract::holds('POST', '/sessions/{session}/imports', $begun);
        $id = $begun->json('id');
        self::assertSame(['arriving', 0], [$begun->json('state'), $begun->json('received')]);
        $this->getJson("/api/imports/{$id}/look")->assertStatus(422)->assertJsonStructure(['errors' => ['file']]);

        $half = $this->piece($id, 0, substr($text, 0, 300))->assertOk();
        Contract::holds('PUT', '/imports/{file}/piece', $half);
        self::assertSame(300, $this->piece($id, 0, substr($text, 0, 300))->assertOk()->json('received'));
        Contract::holds('PUT', '/imports/{file}/piece', $this->piece($id, 301, 'x')->assertStatus(422)->assertJsonStructure(['errors' => ['from']]));
        $this->piece($id, 300, substr($text, 300).'one more')->assertStatus(422)->assertJsonStructure(['errors' => ['piece']]);
        $whole = $this->piece($id, 300, substr($text, 300))->assertOk();
        self::assertSame(['ready', 'guessed', 52], [$whole->json('state'), $whole->json('mapping_from'), $whole->json('lines')]);

        $look = $this->getJson("/api/imports/{$id}/look")->assertOk();
        Contract::holds('GET', '/imports/{file}/look', $look);
        self::assertSame(['Uhrzeit', 'Leistung (W)', 'Adapter (°F)'], $look->json('headers.*.header'));
        self::assertEqualsWithDelta([0, 50.5, 10], [$look->json('rows.0.t_s'), $look->json('rows.0.kw'), $look->json('rows.0.adapter_c')], 1e-6);
        self::assertSame([51, 50, 1, [52]], [$look->json('looked_at'), $look->json('understood'), $look->json('rejected_count'), $look->json('rejected.*.line')]);
        self::assertCount(50, $look->json('curve.kw'));

        $taken = $this->postJson("/api/imports/{$id}/start")->assertOk();
        Contract::holds('POST', '/imports/{file}/start', $taken);
        self::assertSame(['done', 50, 50, 1, 52], [$taken->json('state'), $taken->json('understood'), $taken->json('added'), $taken->json('rejected_count'), $taken->json('lines_done')]);
        self::assertSame(50, $this->readings());
        $listed = $this->getJson($this->doors())->assertOk();
        Contract::holds('GET', '/sessions/{session}/imports', $listed);
        self::assertSame([$id], $listed->json('imports.*.id'));
    }

    public function test_the_same_file_twice_adds_nothing_and_read_otherwise_is_refused(): void
    {
        $this->taken(self::foreign(20));
        $again = $this->taken(self::foreign(20));
        self::assertSame([20, 0], [$again->json('understood'), $again->json('added')]);

        self::assertSame([true, true], $this->getJson($this->doors())->assertOk()->json('imports.*.is_judged'));

        $id = $this->arrived(self::foreign(20));
        Contract::holds('PUT', '/imports/{file}', $this->putJson("/api/imports/{$id}", ['shift_s' => 60])->assertOk());
        $refused = $this->postJson("/api/imports/{$id}/start")->assertStatus(422)->assertJsonStructure(['errors' => ['file']]);
        Contract::holds('POST', '/imports/{file}/start', $refused);
        self::assertSame(20, $this->readings());
    }

    public function test_the_sessions_own_file_loaded_again_notes_nothing_twice(): void
    {
        $this->postJson("/api/sessions/{$this->session->ulid}/events", ['events' => [['client_id' => '01ARZ3NDEKTSV4RRFFQ69G5FAV', 't_s' => 3.4, 'code' => 'plugged']]])->assertSuccessful();
        $this->taken("t_s,kw,event\n0,0,\n3.4,0,plugged\n60,50,current_flows\n")->assertOk();
        self::assertSame(['plugged', 'current_flows'], DB::table('session_events')->where('charge_session_id', $this->session->id)->orderBy('t_ms')->pluck('code')->all());
        $this->taken($this->get("/api/sessions/{$this->session->ulid}/export.csv")->assertOk()->streamedContent());
        self::assertSame(2, DB::table('session_events')->where('charge_session_id', $this->session->id)->count());
    }

    public function test_what_was_corrected_by_hand_is_remembered_for_files_of_that_header(): void
    {
        $text = "Uhrzeit;P1;T1\n01.05.2026 10:00:00;50500;20\n01.05.2026 10:01:00;51000;21\n";
        $id = $this->arrived($text);
        $look = $this->getJson("/api/imports/{$id}/look")->assertOk();
        self::assertNotNull($look->json('problem'));
        self::assertSame(['column' => 'Uhrzeit', 'format' => 'd.m.Y H:i:s'], $look->json('begun.time'), 'the clock needs no naming');
        $mapping = ['delimiter' => ';', 'decimal' => ',', 'columns' => ['P1' => ['field' => 'kw', 'unit' => 'W'], 'T1' => ['field' => 'adapter_c']], 'time' => ['column' => 'Uhrzeit', 'format' => 'd.m.Y H:i:s']];
        Contract::holds('PUT', '/imports/{file}', $this->putJson("/api/imports/{$id}", ['mapping' => ['columns' => ['P1' => ['field' => 'nonsense']]]])->assertStatus(422)->assertJsonStructure(['errors' => ['mapping.columns.P1.field']]));
        self::assertSame('told', $this->putJson("/api/imports/{$id}", ['mapping' => $mapping])->assertOk()->json('mapping_from'));
        $told = $this->getJson("/api/imports/{$id}/look");
        self::assertSame([null, null], [$told->json('problem'), $told->json('begun')]);
        self::assertSame(2, $this->postJson("/api/imports/{$id}/start")->json('added'));
        $this->putJson("/api/imports/{$id}", ['shift_s' => 5])->assertStatus(422);

        $next = $this->arrived(str_replace('01.05', '02.05', $text));
        self::assertSame('remembered', $this->getJson("/api/imports/{$next}")->json('mapping_from'));
        self::assertSame(2, $this->postJson("/api/imports/{$next}/start")->json('added'));
        $this->actingAs($this->stranger());
        $this->getJson("/api/imports/{$next}")->assertNotFound();
    }

    public function test_a_file_that_can_be_read_in_two_ways_is_asked_about_and_either_answer_settles_it(): void
    {
        $text = "Time;Power (kW)\n0:00;50\n0:20;51\n0:50;52\n";
        foreach ([[0, 50.0], [1, 3000.0]] as [$way, $lastS]) {
            $id = $this->arrived($way === 0 ? $text : str_replace('Power', 'Active power', $text));
            $look = $this->getJson("/api/imports/{$id}/look")->assertOk();
            Contract::holds('GET', '/imports/{file}/look', $look);
            self::assertSame(['Time', '0:50', ['0 min 50 s', '0 h 50 min']], [$look->json('question.column'), $look->json('question.example'), $look->json('question.ways.*.words')]);
            self::assertSame(0, $look->json('understood'));
            $told = $this->putJson("/api/imports/{$id}", ['mapping' => $look->json("question.ways.{$way}.mapping")])->assertOk();
            Contract::holds('PUT', '/imports/{file}', $told);
            $settled = $this->getJson("/api/imports/{$id}/look");
            self::assertSame([null, null, $lastS], [$settled->json('question'), $settled->json('problem'), (float) $settled->json('rows.2.t_s')]);
        }
    }

    public function test_a_second_file_is_laid_by_the_clock_of_the_first_and_both_name_their_instruments(): void
    {
        $first = $this->arrived("Uhrzeit;Leistung (kW)\n01.03.2024 10:00:00;50\n01.03.2024 10:05:00;51\n", 'car screen.csv');
        self::assertSame([0.0, 'car screen'], [(float) $this->getJson("/api/imports/{$first}")->json('shift_s'), $this->getJson("/api/imports/{$first}")->json('instrument')]);
        $this->postJson("/api/imports/{$first}/start")->assertJsonPath('added', 2);

        $second = $this->arrived("Uhrzeit;Adapter (°C)\n01.03.2024 10:01:30;30\n01.03.2024 10:04:00;33\n", 'thermo.csv');
        $look = $this->getJson("/api/imports/{$second}/look");
        Contract::holds('GET', '/imports/{file}/look', $look);
        self::assertSame([90.0, 'car screen.csv', 90.0], [(float) $look->json('clock_shift_s'), $look->json('clock_of'), (float) $look->json('rows.0.t_s')]);
        $this->putJson("/api/imports/{$second}", ['instrument' => str_repeat('x', 41)])->assertStatus(422)->assertJsonStructure(['errors' => ['instrument']]);
        $this->putJson("/api/imports/{$second}", ['instrument' => 'Thermometer, blue'])->assertOk()->assertJsonPath('instrument', 'Thermometer, blue');
        $this->postJson("/api/imports/{$second}/start")->assertJsonPath('added', 2);

        self::assertSame([['car screen', 0], ['car screen', 300_000], ['Thermometer, blue', 90_000], ['Thermometer, blue', 240_000]], DB::table('readings')->where('charge_session_id', $this->session->id)->orderBy('source', 'desc')->orderBy('t_ms')->get(['source', 't_ms'])->map(static fn ($r): array => [$r->source, (int) $r->t_ms])->sortBy(static fn (array $r): string => strtolower($r[0]))->values()->all());
        $report = $this->getJson("/api/sessions/{$this->session->ulid}")->assertOk();
        self::assertSame([['name' => 'Thermometer, blue', 'readings' => 2], ['name' => 'car screen', 'readings' => 2]], $report->json('instruments'));
    }

    public function test_a_clock_that_had_to_be_told_lays_the_next_file_too(): void
    {
        $first = $this->arrived("When;Leistung (kW)\n01-03-2024 10h00;50\n01-03-2024 10h05;51\n");
        self::assertNotNull($this->getJson("/api/imports/{$first}/look")->json('problem'));
        $this->putJson("/api/imports/{$first}", ['mapping' => ['delimiter' => ';', 'columns' => ['Leistung (kW)' => ['field' => 'kw']], 'time' => ['column' => 'When', 'format' => 'd-m-Y H\\hi']]])->assertOk();
        $this->postJson("/api/imports/{$first}/start")->assertJsonPath('added', 2);

        $second = $this->arrived("Uhrzeit;Adapter (°C)\n01.03.2024 10:01:30;30\n");
        self::assertSame(90.0, (float) $this->getJson("/api/imports/{$second}")->json('shift_s'));
    }

    /** Written in March of 2024, loaded in 2026: the record tells of March. */
    public function test_a_charge_record_tells_the_time_by_the_clock_of_its_readings(): void
    {
        DB::table('garages')->where('id', $this->user->garage_id)->update(['timezone' => 'Europe/Oslo']);
        $this->actingAs($this->user->refresh());
        $file = $this->arrived("Uhrzeit;Leistung (kW)\n01.03.2024 10:00:00;50\n01.03.2024 10:01:00;51\n01.03.2024 10:30:00;51\n");
        $this->postJson("/api/imports/{$file}/start")->assertJsonPath('added', 3);
        $this->postJson("/api/sessions/{$this->session->ulid}/finish")->assertOk();
        $record = $this->getJson("/api/sessions/{$this->session->ulid}/cdr")->assertOk();
        self::assertSame(['2024-03-01T09:00:00Z', '2024-03-01T09:30:00Z', 0.5], [$record->json('start_date_time'), $record->json('end_date_time'), $record->json('total_time')]);
    }

    /** Plugged in at 10:00 in Oslo (summer time); the file's clock begins at 10:05 and at 09:58. */
    public function test_a_file_is_laid_beside_the_session_by_its_clock(): void
    {
        DB::table('garages')->where('id', $this->user->garage_id)->update(['timezone' => 'Europe/Oslo']);
        $this->inside($this->user, fn () => $this->session->update(['started_at' => '2026-05-01 08:00:00']));
        $this->actingAs($this->user->refresh());
        foreach (['01.05.2026 10:05:00' => 300.0, '01.05.2026 09:58:00' => -120.0] as $clock => $shift) {
            $id = $this->arrived("Uhrzeit;Leistung (kW)\n{$clock};50\n01.05.2026 10:10:00;51\n");
            self::assertSame($shift, (float) $this->getJson("/api/imports/{$id}/look")->json('clock_shift_s'));
            $this->putJson("/api/imports/{$id}", ['shift_s' => $shift])->assertOk();
            $taken = $this->postJson("/api/imports/{$id}/start")->assertOk();
            self::assertSame($shift < 0 ? [1, 1] : [2, 0], [$taken->json('added'), $taken->json('rejected_count')]);
        }
        self::assertSame([300_000, 600_000, 600_000], $this->inside($this->user, fn () => $this->session->readings()->pluck('t_ms')->all()));
    }

    public function test_every_row_that_was_left_out_can_be_saved(): void
    {
        $bad = "t_s,kw,note\n0,50,fine\n1,=1+1,\"a, b\"\nx,5,\n2,51,\n";
        $id = $this->taken($bad)->json('id');
        $saved = $this->get("/api/imports/{$id}/left-out.csv")->assertOk()->streamedContent();
        $rows = array_map(static fn (string $l): array => str_getcsv($l, ',', '"', ''), explode("\r\n", trim($saved)));

        self::assertSame(['line', 'reason', 't_s', 'kw', 'note'], $rows[0]);
        self::assertSame([['3', "'=1+1", 'a, b'], ['4', '5', '']], [[$rows[1][0], $rows[1][3], $rows[1][4]], [$rows[2][0], $rows[2][3], $rows[2][4]]]);
        self::assertCount(3, $rows);
    }

    /** A quote that is never closed, letters of Windows-1252, and a file of which nothing can be read. */
    public function test_what_was_left_out_is_saved_as_it_stands_in_the_file(): void
    {
        $saved = fn (string $text): string => $this->get('/api/imports/'.$this->taken($text)->json('id').'/left-out.csv')->assertOk()->streamedContent();

        self::assertSame("line,reason,t_s,kw,note\r\n3,row: a quotation mark is opened but never closed,\"1,51,\"\"open\"\r\n", $saved("t_s,kw,note\n0,50,fine\n1,51,\"open\n2,52,fine\n"));
        self::assertSame("line,reason,t [s],Temp. Adapter [°C]\r\n3,\"Temp. Adapter [°C]: \"\"weiß\"\" is not a number\",1,weiß\r\n", $saved("t [s],Temp. Adapter [\xB0C]\n0,20\n1,wei\xDF\n2,21\n3,22\n"));
        $junk = $this->arrived('nothing that could be read');
        self::assertStringStartsWith("line,reason,nothing that could be read\r\n1,", $this->get("/api/imports/{$junk}/left-out.csv")->assertOk()->streamedContent());
    }

    public function test_files_that_were_taken_stand_in_nobodys_way(): void
    {
        for ($i = 0; $i < 24; $i++) {
            $this->taken("t_s,kw\n{$i},50\n");
        }
        self::assertSame(24, $this->readings());
        self::assertLessThanOrEqual(21, (int) DB::table('readings_imports')->count());
        for ($i = 0; $i < 20; $i++) {
            $this->postJson($this->doors(), ['name' => 'later.csv', 'bytes' => 10])->assertCreated();
        }
        $this->postJson($this->doors(), ['name' => 'too many.csv', 'bytes' => 10])->assertStatus(422)->assertJsonStructure(['errors' => ['file']]);
    }

    public function test_in_the_background_a_file_is_stopped_gone_on_with_and_taken_back(): void
    {
        config(['harmozon.import_at_once' => 0]);
        $id = $this->arrived(self::ours(9_000));
        self::assertSame('waiting', $this->postJson("/api/imports/{$id}/start")->json('state'));
        self::assertSame(1, DB::table('jobs')->count());
        Contract::holds('POST', '/imports/{file}/stop', $this->postJson("/api/imports/{$id}/stop")->assertOk());
        $this->work();
        self::assertSame(['stopped', 0], [$this->getJson("/api/imports/{$id}")->json('state'), $this->readings()]);

        $this->postJson("/api/imports/{$id}/start");
        $this->deleteJson("/api/imports/{$id}")->assertStatus(422)->assertJsonStructure(['errors' => ['file']]);
        $this->work();
        self::assertSame(['done', 9_000], [$this->getJson("/api/imports/{$id}")->json('state'), $this->readings()]);
        Contract::holds('GET', '/imports/{file}', $this->getJson("/api/imports/{$id}"));

        Contract::holds('DELETE', '/imports/{file}', $this->deleteJson("/api/imports/{$id}")->assertNoContent());
        self::assertSame(0, $this->readings());
        $this->getJson("/api/imports/{$id}")->assertNotFound();
    }

    /** A report of many readings comes at once when they are judged: after the file is in, or after somebody has looked. */
    public function test_a_file_that_is_in_says_whether_it_is_judged(): void
    {
        config(['harmozon.import_at_once' => 0]);
        $id = $this->arrived(self::ours(21_000));
        $isJudged = fn (): array => [$this->getJson("/api/imports/{$id}")->json('state'), $this->getJson("/api/imports/{$id}")->json('is_judged')];
        self::assertSame(['ready', true], $isJudged());
        $this->postJson("/api/imports/{$id}/start");
        $this->work();
        self::assertSame(['done', true], $isJudged());

        DB::table('judge_memories')->delete();
        self::assertSame(['done', false], $isJudged());
        $this->getJson("/api/sessions/{$this->session->ulid}")->assertOk();
        self::assertSame(['done', true], $isJudged());
    }

    /** The worker dies after its first part: what it wrote is there, and the next one goes on behind it. */
    public function test_whoever_takes_over_goes_on_where_the_dead_one_stopped(): void
    {
        config(['harmozon.import_at_once' => 0]);
        $id = $this->arrived(self::ours(9_000));
        $this->postJson("/api/imports/{$id}/start");
        $import = $this->inside($this->user, static fn (): ReadingsImport => ReadingsImport::query()->where('ulid', $id)->firstOrFail());
        $parts = 0;
        ReadingsImport::updated(static function () use (&$parts): void {
            if (++$parts === 2) {
                throw new \LogicException('the power is gone');
            }
        });
        try {
            $this->inside($this->user, fn () => $this->app->make(TakeFile::class)->run($import));
            self::fail('it went on');
        } catch (\LogicException) {
            ReadingsImport::flushEventListeners();
            ReadingsImport::clearBootedModels();
        }
        // Dead, it could not say so.
        DB::table('readings_imports')->update(['state' => ImportState::Running->value, 'worker' => 'the dead one', 'problem' => null]);
        self::assertSame([8_000, 8_001], [$this->readings(), (int) DB::table('readings_imports')->value('lines_done')]);

        $this->work();
        $ended = $this->getJson("/api/imports/{$id}");
        self::assertSame(['done', 9_000, 9_000, 9_001], [$ended->json('state'), $ended->json('understood'), $ended->json('added'), $ended->json('lines_done')]);
        self::assertSame(9_000, $this->readings());
    }

    public function test_one_who_was_taken_over_writes_nothing_more(): void
    {
        config(['harmozon.import_at_once' => 0]);
        $id = $this->arrived(self::ours(9_000));
        $this->postJson("/api/imports/{$id}/start");
        $parts = 0;
        ReadingsImport::updated(static function () use (&$parts): void {
            if (++$parts === 1) {
                DB::table('readings_imports')->update(['worker' => 'another']);
            }
        });
        $this->work();
        ReadingsImport::flushEventListeners();
        ReadingsImport::clearBootedModels();

        self::assertSame(8_000, $this->readings());
        self::assertSame('running', $this->getJson("/api/imports/{$id}")->json('state'));
    }

    public function test_a_session_that_is_ended_meanwhile_keeps_what_came_and_says_why_no_more_does(): void
    {
        config(['harmozon.import_at_once' => 0]);
        $id = $this->arrived(self::ours(10));
        $this->postJson("/api/imports/{$id}/start");
        $this->postJson("/api/sessions/{$this->session->ulid}/finish")->assertOk();
        $this->work();
        $failed = $this->getJson("/api/imports/{$id}");
        self::assertSame('failed', $failed->json('state'));
        self::assertStringContainsString('finished', $failed->json('problem'));

        $this->postJson("/api/sessions/{$this->session->ulid}/reopen")->assertOk();
        $this->postJson("/api/imports/{$id}/start");
        $this->work();
        self::assertSame(['done', 10], [$this->getJson("/api/imports/{$id}")->json('state'), $this->readings()]);
    }

    /** Taken in parts, in any order, or as a whole: the same readings. */
    public function test_the_parts_of_a_file_are_the_whole(): void
    {
        $lines = explode("\n", trim(self::ours(60)));
        $header = array_shift($lines);
        foreach ([[40, 20], [0, 20], [20, 20]] as [$from, $many]) {
            $this->taken($header."\n".implode("\n", array_slice($lines, $from, $many))."\n");
        }
        $stored = fn (): array => $this->session->readings()->get(['t_ms', 'kw', 'soc_pct'])->toArray();
        $inParts = $this->inside($this->user, $stored);
        $verdict = $this->getJson("/api/sessions/{$this->session->ulid}")->json('judgement');
        $this->inside($this->user, fn () => $this->session->readings()->delete());
        $this->taken(self::ours(60));

        self::assertSame($inParts, $this->inside($this->user, $stored));
        self::assertSame($verdict, $this->getJson("/api/sessions/{$this->session->ulid}")->json('judgement'));
    }

    /** The first part of a file fits, the second does not; and a file whose only part does not. */
    public function test_a_session_that_is_full_says_that_the_rest_was_not_taken(): void
    {
        config(['harmozon.most_readings' => 8_500]);
        $first = $this->taken(self::ours(9_000));
        $second = $this->taken("t_s,kw\n".implode("\n", array_map(static fn (int $t): string => "{$t},50", range(10_000, 10_600))));

        $why = 'the session holds at most 8500 readings and 500 events; the rest of this file was not added';
        self::assertSame(['failed', 8_000, $why], [$first->json('state'), $first->json('added'), $first->json('problem')]);
        self::assertSame(['failed', 0, $why], [$second->json('state'), $second->json('added'), $second->json('problem')]);
        self::assertSame(8_000, $this->readings());
    }

    public function test_a_file_that_is_added_unread_says_what_is_wrong_with_it(): void
    {
        foreach ([
            "name,address\nx,y\n" => 'the header needs a column t_s (seconds) or time',
            "Elapsed;Power (hp)\n0;50\n" => 'the unit of Power (hp) is not known. Write it as s, min, V, A, W, kW, %, °C, °F or K, or say what the column holds',
        ] as $text => $problem) {
            $file = $this->taken($text);
            self::assertSame(['failed', 0, $problem], [$file->json('state'), $file->json('added'), $file->json('problem')]);
        }
        self::assertStringContainsString('2500 could be 2500 W or 2500 kW', (string) $this->taken("Elapsed;Power\n0;2500\n")->json('problem'));
    }

    public function test_a_file_is_known_by_its_content_in_whatever_pieces_it_came(): void
    {
        $text = "t_s,kw\n".implode("\n", array_map(static fn (int $t): string => "{$t},50.{$t}", range(0, 999)));
        $prints = [];
        foreach ([[0, strlen($text)], [0, 1, 7, 4_000, strlen($text)]] as $edges) {
            $import = ReadingsImport::query()->findOrFail(ReadingsImport::query()->where('ulid', $this->postJson("/api/sessions/{$this->session->ulid}/imports", ['name' => 'a.csv', 'bytes' => strlen($text)])->assertCreated()->json('id'))->value('id'));
            foreach (array_slice($edges, 0, -1) as $i => $from) {
                // Each twice: an answer may be lost.
                foreach ([1, 2] as $time) {
                    $this->call('PUT', "/api/imports/{$import->ulid}/piece?from={$from}", server: ['HTTP_ACCEPT' => 'application/json', 'CONTENT_TYPE' => 'application/octet-stream'], content: substr($text, $from, $edges[$i + 1] - $from))->assertOk();
                }
            }
            $prints[] = $import->refresh()->fingerprint;
            self::assertFileDoesNotExist("{$import->path()}.sum");
        }
        self::assertSame([hash('sha256', $text), hash('sha256', $text)], $prints);
    }

    public function test_a_piece_that_was_written_and_never_acknowledged_counts_as_it_is_sent_the_second_time(): void
    {
        [$half, $first, $second] = ["t_s,kw\n0,50\n", "1,51\n", "1,61\n"];
        $import = ReadingsImport::query()->where('ulid', $this->postJson("/api/sessions/{$this->session->ulid}/imports", ['name' => 'a.csv', 'bytes' => strlen($half.$first)])->assertCreated()->json('id'))->firstOrFail();
        $this->piece($import->ulid, 0, $half)->assertOk();
        $this->piece($import->ulid, strlen($half), $first)->assertOk();
        // As if the process had died between the file and the row.
        $import->refresh()->update(['received' => strlen($half), 'state' => 'arriving', 'fingerprint' => null]);
        file_put_contents("{$import->path()}.sum", serialize([strlen($half.$first), tap(hash_init('sha256'), static fn (\HashContext $sum) => hash_update($sum, $half.$first))]));
        $this->piece($import->ulid, strlen($half), $second)->assertOk();

        self::assertSame(hash('sha256', $half.$second), $import->refresh()->fingerprint);
    }

    public function test_what_cannot_be_taken_is_refused_by_name(): void
    {
        foreach ([[[], 'name'], [['name' => 'a', 'bytes' => 0], 'bytes'], [['name' => 'a', 'bytes' => 999_999_999], 'bytes'], [['name' => str_repeat('a', 201), 'bytes' => 5], 'name']] as [$sent, $field]) {
            Contract::holds('POST', '/sessions/{session}/imports', $this->postJson($this->doors(), $sent)->assertStatus(422)->assertJsonStructure(['errors' => [$field]]));
        }
        $junk = $this->arrived("\0\1\2 nothing that could be read");
        self::assertNotNull($this->getJson("/api/imports/{$junk}/look")->assertOk()->json('problem'));
        self::assertSame('failed', $this->postJson("/api/imports/{$junk}/start")->assertOk()->json('state'));
        $ready = $this->arrived(self::ours(3));
        unlink(storage_path("app/imports/{$ready}.csv"));
        $this->getJson("/api/imports/{$ready}/look")->assertStatus(422)->assertJsonStructure(['errors' => ['file']]);
        $this->postJson("/api/imports/{$ready}/start")->assertStatus(422)->assertJsonStructure(['errors' => ['file']]);
        $large = $this->postJson($this->doors(), ['name' => 'large', 'bytes' => 100_000_000])->json('id');
        $this->piece($large, 0, str_repeat('x', ArrivingFile::LARGEST_PIECE + 1))->assertStatus(422)->assertJsonStructure(['errors' => ['piece']]);
        self::assertSame(0, $this->getJson("/api/imports/{$large}")->json('received'));
    }

    private function doors(): string
    {
        return "/api/sessions/{$this->session->ulid}/imports";
    }

    private function arrived(string $text, string $name = 'readings.csv'): string
    {
        return $this->arriveIn($this->session->ulid, $text, $name);
    }

    /** @return TestResponse<\Symfony\Component\HttpFoundation\Response> */
    private function taken(string $text): TestResponse
    {
        return $this->takeInto($this->session->ulid, $text);
    }

    private function work(): void
    {
        self::assertSame(0, $this->artisan('harmozon:work', ['--until-empty' => true])->run());
    }

    private function readings(): int
    {
        return (int) DB::table('readings')->where('charge_session_id', $this->session->id)->count();
    }

    /** The last row is no reading: its clock is not one. */
    private static function foreign(int $rows): string
    {
        $text = "Uhrzeit;Leistung (W);Adapter (°F)\n";
        for ($i = 0; $i < $rows; $i++) {
            $text .= sprintf("01.05.2026 10:%02d:%02d;%d,0;50\n", intdiv($i, 60), $i % 60, 50_500 + $i);
        }

        return $text."yesterday;50000;50\n";
    }

    private static function ours(int $rows): string
    {
        $text = "t_s,soc_pct,kw\n";
        for ($i = 0; $i < $rows; $i++) {
            $text .= sprintf("%d,%.4f,%.2f\n", $i, 12 + $i / 1000, max(5, 90 - $i / 200));
        }

        return $text;
    }
}
