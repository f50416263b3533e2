<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Models\ChargeSession;
use App\Models\SessionEvent;
use Harmozon\Core\Answers\ReviewWriter;
use Harmozon\Core\Record\DutyMeter;
use Harmozon\Core\Record\Event;
use Harmozon\Core\Review\LimitedSegment;
use Harmozon\Core\Review\Memory\CarPace;
use Harmozon\Core\Review\Memory\Visit;
use Harmozon\Core\Review\RecordedSession;
use Harmozon\Core\Review\Trust\Used;
use Illuminate\Support\Facades\DB;

/** Stores what a finished session shows about its adapters, its stall, its car and our forecast. */
final class SessionFacts
{
    /** @return list<Event> */
    public static function events(ChargeSession $session): array
    {
        return array_values($session->events()->get()->map(static fn (SessionEvent $e): Event => $e->core())->all());
    }

    public static function keep(ChargeSession $session, RecordedSession $recorded): void
    {
        $events = self::events($session);
        $day = $session->started_at->toDateString();
        $row = ['charge_session_id' => $session->id, 'garage_id' => $session->garage_id];
        DB::transaction(static function () use ($session, $recorded, $events, $day, $row): void {
            self::forget($session);
            DB::table('session_facts')->insert([
                ...$row,
                'vehicle' => $recorded->answer->chain->vehicle->id,
                'outlet' => $recorded->answer->chain->outlet->id,
                'facts' => json_encode(self::facts($recorded, $events, $day), JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION),
            ]);
            foreach (Used::of($recorded, $events, $session->ulid, $day) as $adapter => $used) {
                DB::table('session_adapters')->insert([...$row, 'adapter' => (string) $adapter, 'used' => json_encode($used->toArray(), JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION)]);
            }
        });
    }

    public static function forget(ChargeSession $session): void
    {
        DB::table('session_facts')->where('charge_session_id', $session->id)->delete();
        DB::table('session_adapters')->where('charge_session_id', $session->id)->delete();
    }

    /**
     * @param  list<Event>  $events
     * @return array<string, mixed>
     */
    private static function facts(RecordedSession $recorded, array $events, string $day): array
    {
        return [
            'visits' => array_map(static fn (Visit $v): array => $v->toArray(), Visit::each($recorded, $events, $day)),
            'grade' => $recorded->diagnosis->grade === null ? null : ReviewWriter::grade($recorded->diagnosis->grade),
            'causes' => array_values(array_unique(array_map(static fn (LimitedSegment $h): string => $h->finding->cause->value, $recorded->diagnosis->heldBackBy))),
            'unread' => array_column($recorded->judgement->unread(), 'value'),
            'pace' => CarPace::of($recorded)->kw,
            'theta_end' => array_map(static fn (DutyMeter $d): float => $d->theta(), $recorded->judgement->measured->duties),
        ];
    }
}
