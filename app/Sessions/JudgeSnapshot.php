<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Database\Bytes;
use App\Database\DeferrableWrite;
use App\Models\ChargeSession;
use Harmozon\Core\Record\Judge;
use Harmozon\Core\Record\Trace;
use Illuminate\Support\Facades\DB;

/**
 * A snapshot of a session's check, so that one more reading costs no more in a long session than in a short one. It is
 * valid while no reading before its last one has changed, and while the code is the same.
 */
final class JudgeSnapshot
{
    /** The number of readings that can be checked within a second. */
    private const NEAR = 20_000;

    private static ?string $code = null;

    /**
     * Brings a judge to the state of the snapshot.
     *
     * @return array{Trace, int, int} the curve so far; time (ms) and id of the last reading that is in it, -1 for none
     */
    public static function recall(ChargeSession $session, Judge $judge): array
    {
        $kept = DB::table('judge_memories')->where('charge_session_id', $session->id)->first();
        if ($kept === null || (int) $kept->disturbed !== $session->disturbed || $kept->made_by !== self::code()) {
            return [new Trace, -1, 0];
        }
        [$memory, $trace] = unserialize(Bytes::read($kept->memory));
        assert(is_string($memory) && $trace instanceof Trace);
        $judge->recall($memory);

        return [$trace, (int) $kept->last_ms, (int) $kept->last_id];
    }

    /** Whether it covers nearly all of a session's readings, so that its report is immediate. */
    public static function isNear(ChargeSession $session): bool
    {
        $kept = DB::table('judge_memories')->where('charge_session_id', $session->id)->first(['disturbed', 'made_by', 'last_ms']);
        $isValid = $kept !== null && (int) $kept->disturbed === $session->disturbed && $kept->made_by === self::code();
        $rest = DB::table('readings')->where('charge_session_id', $session->id)->where('t_ms', '>', $isValid ? (int) $kept->last_ms : -1);

        return $rest->offset(self::NEAR)->limit(1)->pluck('id')->isEmpty();
    }

    /**
     * Stores the snapshot, unless an older reading has changed meanwhile or another process has got further. Without it
     * everything is measured again.
     */
    public static function keep(ChargeSession $session, Judge $judge, Trace $trace, int $lastMs, int $lastId): void
    {
        $row = ['disturbed' => $session->disturbed, 'last_ms' => $lastMs, 'last_id' => $lastId, 'made_by' => self::code(), 'memory' => Bytes::written(serialize([$judge->remember(), $trace]))];
        DeferrableWrite::write(static function () use ($session, $row): void {
            DB::transaction(static function () use ($session, $row): void {
                $isAsItWas = (int) DB::table('charge_sessions')->where('id', $session->id)->value('disturbed') === $session->disturbed;
                $further = DB::table('judge_memories')->where('charge_session_id', $session->id)->where('disturbed', $row['disturbed'])->where('made_by', $row['made_by'])
                    ->whereRaw('(last_ms, last_id) >= (?, ?)', [$row['last_ms'], $row['last_id']]);
                if ($isAsItWas && $further->doesntExist()) {
                    DB::table('judge_memories')->updateOrInsert(['charge_session_id' => $session->id], $row);
                }
            });
        });
    }

    /**
     * Identifies the measuring code: a snapshot by other code isn't used. Changed files show in the modification times
     * of their folders.
     */
    private static function code(): string
    {
        if (self::$code === null) {
            $paths = [glob(base_path('core/src/{Record,Power}/*.php'), GLOB_BRACE), glob(base_path('core/src/{*,*/*}'), GLOB_BRACE | GLOB_ONLYDIR)];
            self::$code = md5(implode(' ', array_map(static fn (string $path): string => $path.(int) filemtime($path), array_merge(...array_filter($paths, is_array(...))))));
        }

        return self::$code;
    }
}
