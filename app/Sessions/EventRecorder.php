<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Equipment\OutOfUse;
use App\Models\ChargeSession;
use App\Models\SessionEvent;
use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Record\Event;
use Harmozon\Core\Record\EventCode;
use Harmozon\Core\Record\TouchReading;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;
use Illuminate\Support\Facades\DB;

/** Records a session's events. Recorded twice, an event is stored once; it may also come after the end. */
final class EventRecorder
{
    /** Events of one session. */
    public const MOST = 500;

    public function __construct(private readonly OutOfUse $outOfUse)
    {
    }

    /**
     * @param  array<string, Event>  $events  by the id that was given them where they were noted
     * @return int how many were new
     */
    public function note(ChargeSession $session, array $events): int
    {
        return DB::transaction(function () use ($session, $events): int {
            $known = $session->events()->whereIn('client_id', array_map(strval(...), array_keys($events)))->pluck('client_id')->all();
            $new = array_diff_key($events, array_flip(array_map(strval(...), $known)));
            if ($new !== [] && $session->events()->count() + count($new) > self::MOST) {
                throw FieldError::at('events', Message::of('app.too_many_events', most: Amount::count(self::MOST)));
            }
            foreach ($new as $clientId => $event) {
                $session->events()->create([
                    'garage_id' => $session->garage_id,
                    'client_id' => (string) $clientId,
                    'code' => $event->code,
                    't_ms' => $event->tMs,
                    'detail' => $event->detail,
                    'took_out' => $event->code->takesOutOfUse() || self::isHotBelowItsRating($session, $event) ? $this->outOfUse->take($session->chain_adapters, $session->outlet_id) : null,
                ]);
            }

            if ($new !== []) {
                SessionFacts::forget($session);
            }

            return count($new);
        });
    }

    /**
     * Leaves out events of a file that were noted by hand already: importing the session's own file again adds nothing.
     *
     * @param  array<string, Event>  $events  by the ids of their rows
     * @return array<string, Event>
     */
    public static function unknown(ChargeSession $session, array $events): array
    {
        if ($events === []) {
            return [];
        }
        $known = $session->events()->get()->map(static fn (SessionEvent $e): string => self::saying($e->code, $e->t_ms, $e->detail))->all();

        return array_filter($events, static fn (Event $e): bool => ! in_array(self::saying($e->code, $e->tMs, $e->detail), $known, true));
    }

    /** A key for a noted event, to the second. */
    private static function saying(EventCode $code, int $tMs, ?string $detail): string
    {
        return implode("\n", [$code->value, (string) intdiv($tMs, 1000), $detail ?? '']);
    }

    /** Whether an adapter felt hot while it carried less than half its rating. */
    private static function isHotBelowItsRating(ChargeSession $session, Event $event): bool
    {
        if ($event->code !== EventCode::FeltHot) {
            return false;
        }
        $amps = DB::table('readings')->where('charge_session_id', $session->id)->whereNotNull('amps')->where('t_ms', '<=', $event->tMs)
            ->where('t_ms', '>=', $event->tMs - 1000 * TouchReading::LOAD_LASTS_S)->orderByDesc('t_ms')->value('amps');
        $adapter = SessionChain::of($session)->answer->chain->adapters[0] ?? null;

        return TouchReading::takesOutOfUse($event, is_numeric($amps) ? (float) $amps : null, $adapter?->rating->plate->continuousA);
    }

    /** Removes an event; a piece that it took out of use returns to its earlier state, unless somebody has inspected it meanwhile. */
    public function forget(ChargeSession $session, string $clientId): int
    {
        return DB::transaction(function () use ($session, $clientId): int {
            $event = $session->events()->where('client_id', $clientId)->first();
            if (! $event instanceof SessionEvent) {
                return 0;
            }
            $event->delete();
            SessionFacts::forget($session);
            $this->outOfUse->giveBack(self::unlessTakenTwice($event->took_out ?? []), $session->outlet_id);

            return 1;
        });
    }

    /**
     * A piece that another event has also taken out of use stays out of use; removing that event restores the state
     * before both.
     *
     * @param  array<string, bool|null>  $before
     * @return array<string, bool|null> what no other note speaks of
     */
    private static function unlessTakenTwice(array $before): array
    {
        foreach ($before as $id => $known) {
            foreach (SessionEvent::query()->whereNotNull('took_out')->get() as $other) {
                if ($other instanceof SessionEvent && array_key_exists($id, $other->took_out ?? [])) {
                    $other->update(['took_out' => [...$other->took_out ?? [], $id => $other->took_out[$id] === true ? $known : $other->took_out[$id]]]);
                    unset($before[$id]);
                }
            }
        }

        return $before;
    }
}
