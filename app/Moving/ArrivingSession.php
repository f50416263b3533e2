<?php

declare(strict_types=1);

namespace App\Moving;

use App\Models\ChargeSession;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\WrongState;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** A session that is being imported: it has another id and is marked as deleted on a future day until all of it has arrived. */
final class ArrivingSession
{
    private const HIDDEN_DAYS = 1;

    /** Longer than any document takes: the process that wrote it has died. */
    private const ABANDONED_HOURS = 6;

    /** The record that it replaced; it is to be destroyed. */
    public ?int $replaced = null;

    /**
     * @param  array{vehicle: string|null, outlet: string|null}  $stands
     * @param  int  $number  of the session in its document
     * @param  list<mixed>  $stoodAs  as of state()
     */
    private function __construct(public readonly ChargeSession $session, public readonly string $ulid, public readonly array $stands, public readonly int $number, private readonly ?ChargeSession $here, private readonly array $stoodAs)
    {
    }

    /**
     * @param  array<string, mixed>  $columns
     * @param  array{vehicle: string|null, outlet: string|null}  $stands  ids of the car and the outlet that it belongs to
     * @param  ChargeSession|null  $here  the one that it replaces, deleted or not
     * @param  list<mixed>  $stoodAs  its state() before it was looked at
     */
    public static function of(array $columns, array $stands, ?ChargeSession $here, int $number, array $stoodAs): self
    {
        $session = ChargeSession::query()->create([
            ...$columns, 'ulid' => self::anyId(), 'deleted_at' => Carbon::now()->addDays(self::HIDDEN_DAYS),
            'revision' => $here === null ? 0 : $here->revision + 1, 'disturbed' => $here === null ? 0 : $here->disturbed + 1, 'held' => 0,
        ]);

        return new self($session, is_string($columns['ulid']) ? $columns['ulid'] : '', $stands, $number, $here, $stoodAs);
    }

    /** @throws WrongState where the session has changed while this one was written: what was acknowledged meanwhile is not replaced */
    public function settle(?int $vehicleId, ?int $outletId): void
    {
        if (self::state($this->ulid) !== $this->stoodAs) {
            throw WrongState::of('garage', Message::of('app.session_changed_meanwhile', session: $this->ulid));
        }
        if ($this->here !== null) {
            $of = ['charge_session_id' => $this->here->id];
            DB::table('readings_imports')->where($of)->update(['charge_session_id' => $this->session->id]);
            // Other sessions are compared with what is there now.
            DB::table('session_baselines')->where('baseline_id', $this->here->id)->update(['baseline_id' => $this->session->id]);
            DB::table('charge_sessions')->where('id', $this->here->id)->update(['ulid' => self::anyId(), 'deleted_at' => Carbon::createFromTimestamp(0)]);
            $this->replaced = $this->here->id;
        }
        DB::table('charge_sessions')->where('id', $this->session->id)->update(['ulid' => $this->ulid, 'deleted_at' => null, 'vehicle_id' => $vehicleId, 'outlet_id' => $outletId]);
    }

    /** @return list<mixed> what changes with every change of the session of this id; empty where there is none */
    public static function state(string $ulid): array
    {
        $session = ChargeSession::withTrashed()->where('ulid', $ulid)->first();

        return $session instanceof ChargeSession
            ? [$session->id, $session->revision, $session->disturbed, $session->held, $session->getRawOriginal('updated_at'), $session->getRawOriginal('deleted_at'), $session->events()->count()]
            : [];
    }

    /** @return list<int> records of those that will never be whole, in every garage */
    public static function abandoned(): array
    {
        $ids = DB::table('charge_sessions')->where('deleted_at', '>', Carbon::now())->where('created_at', '<', Carbon::now()->subHours(self::ABANDONED_HOURS))->pluck('id')->all();

        return array_values(array_filter($ids, is_int(...)));
    }

    private static function anyId(): string
    {
        return strtolower((string) Str::ulid());
    }
}
