<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Equipment\FitQuestion;
use App\Models\ChargeSession;
use Harmozon\Core\Chain\Chain;
use Harmozon\Core\Equipment\Adapter;
use Harmozon\Core\Equipment\Outlet;
use Harmozon\Core\Equipment\Vehicle;
use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Words\Message;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** Starts and finishes sessions, and checks them against the ratings they were started with, or later ones. */
final class SessionRecorder
{
    /** How often a session is checked outside the lock before it is checked inside. */
    private const TRIES = 3;

    public function __construct(private readonly SessionReport $reports)
    {
    }

    /**
     * @param  string|null  $id  given where it began; begun twice, it stands once
     * @param  string|null  $stall  what stands on the stall
     */
    public function begin(FitQuestion $question, Carbon $startedAt, string $note = '', ?string $id = null, ?string $stall = null): ChargeSession
    {
        $begun = $id === null ? null : $this->begun($id);
        if ($begun !== null) {
            return $begun;
        }
        if (! $question->outlet->exists) {
            throw FieldError::at('outlet', Message::of('app.kind_stands_nowhere'));
        }
        $chain = $question->answer()->best->chain;
        $caseFile = $question->caseFile();
        $used = $chain->adapterIds();
        $caseFile['adapters'] = array_values(array_filter(
            is_array($caseFile['adapters']) ? $caseFile['adapters'] : [],
            static fn (mixed $a): bool => is_array($a) && in_array($a['id'] ?? null, $used, true),
        ));

        return ChargeSession::query()->create([
            ...($id === null ? [] : ['ulid' => $id]),
            'stall' => $stall,
            'vehicle_id' => $question->vehicle->id,
            'outlet_id' => $question->outlet->id,
            'case_file' => $caseFile,
            'pieces' => self::pieces($chain),
            'chain_adapters' => $used,
            'inlet_index' => $chain->inletIndex,
            'note' => $note,
            'started_at' => $startedAt,
            'revision' => 0,
            'disturbed' => 0,
            'held' => 0,
        ]);
    }

    /** The session with this id, if it was started before. */
    private function begun(string $id): ?ChargeSession
    {
        $known = ChargeSession::withTrashed()->where('ulid', $id)->first();
        if ($known === null && DB::table('charge_sessions')->where('ulid', $id)->exists()) {
            throw FieldError::at('id', Message::of('app.id_taken'));
        }

        return $known instanceof ChargeSession ? $known : null;
    }

    /** @return array{vehicle: array{id: string, name: string}, outlet: array{id: string, name: string}, adapters: list<array{id: string, name: string}>} */
    private static function pieces(Chain $chain): array
    {
        $named = static fn (Vehicle|Outlet|Adapter $piece): array => ['id' => $piece->id, 'name' => $piece->name];

        return ['vehicle' => $named($chain->vehicle), 'outlet' => $named($chain->outlet), 'adapters' => array_map($named, $chain->adapters)];
    }

    /**
     * Finishes a session with a verdict on everything acknowledged so far: if a reading arrives during the check, it is
     * repeated, finally while no reading can arrive.
     */
    public function finish(ChargeSession $session, ?Carbon $at = null): void
    {
        for ($try = 0; $session->refresh()->finished_at === null; $try++) {
            $read = $try < self::TRIES ? StoredSession::of($session) : null;
            DB::transaction(function () use ($session, $read, $at): void {
                $revision = $session->revision;
                $session->refresh();
                if ($read === null || $session->revision === $revision) {
                    $read ??= StoredSession::of($session);
                    [$verdict, $summary] = $this->reports->summary($read);
                    $session->update(['finished_at' => $session->finished_at ?? self::end($session, $at), 'verdict' => $verdict, 'summary' => $summary, 'judged_at' => Carbon::now()]);
                    SessionFacts::keep($session, $read->recorded);
                }
            });
        }
    }

    /** The end, never before the start even if the clock was set back. */
    private static function end(ChargeSession $session, ?Carbon $at): Carbon
    {
        return ($at ?? Carbon::now())->max($session->started_at);
    }

    public function reopen(ChargeSession $session): void
    {
        DB::transaction(static function () use ($session): void {
            $session->update(['finished_at' => null, 'verdict' => null, 'summary' => null]);
            SessionFacts::forget($session);
        });
    }

    /** Re-checks a session with ratings other than those at its start; the earlier result is kept. */
    public function judgeAnew(ChargeSession $session, PlateVersions $plates): void
    {
        DB::transaction(function () use ($session, $plates): void {
            $session->refresh();
            $this->judgeBy($session, $plates->today($session), ['case_file' => $session->case_file, 'verdict' => $session->verdict, 'judged_at' => $session->judged_at?->toIso8601ZuluString()]);
        });
    }

    /** Restores the earlier ratings; false if it was never re-checked. */
    public function judgeAsBefore(ChargeSession $session): bool
    {
        return DB::transaction(function () use ($session): bool {
            $before = $session->refresh()->judged_before;
            if ($before === null) {
                return false;
            }
            $this->judgeBy($session, $before['case_file'], null);

            return true;
        });
    }

    /**
     * @param  array<string, mixed>  $caseFile
     * @param  array{case_file: array<string, mixed>, verdict: string|null, judged_at: string|null}|null  $before
     */
    private function judgeBy(ChargeSession $session, array $caseFile, ?array $before): void
    {
        $finishedAt = $session->finished_at;
        $session->update(['case_file' => $caseFile, 'judged_before' => $before, 'judged_at' => Carbon::now(), 'disturbed' => $session->disturbed + 1]);
        if ($finishedAt !== null) {
            $this->reopen($session);
            $this->finish($session, $finishedAt);
        }
    }
}
