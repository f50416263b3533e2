<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Database\Dialect;
use App\Models\ChargeSession;
use App\Models\Outlet;
use App\Models\Vehicle;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Query\Builder as Query;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** Which sessions of the log are wanted. */
final readonly class LogFilter
{
    /** Stands for an unfinished session in place of a verdict. */
    public const OPEN = 'open';

    /** Matches any unread rating. */
    public const ANY = 'any';

    /** The columns that a line of the log needs. */
    private const COLUMNS = ['id', 'ulid', 'garage_id', 'pieces', 'note', 'stall', 'station_kwh', 'paid_amount', 'paid_currency', 'started_at', 'finished_at', 'verdict', 'summary'];

    /**
     * @param  string|null  $q  in a note, a name, or on a stall
     * @param  string|null  $unread  a quantity of a plate that the session says nothing about, or ANY of them
     */
    public function __construct(
        private ?string $q = null,
        private ?string $vehicle = null,
        private ?string $adapter = null,
        private ?string $outlet = null,
        private ?string $verdict = null,
        private ?string $cause = null,
        private DayRange $days = new DayRange,
        private ?string $unread = null,
    ) {
    }

    /**
     * Newest first.
     *
     * @param  string|null  $after  the session before them
     * @param  string  $zone  in which the days are meant
     * @return list<ChargeSession>
     */
    public function page(?string $after, int $most, string $zone): array
    {
        $query = $this->query($zone);
        $query->select(self::COLUMNS)->orderByDesc('started_at')->orderByDesc('id')->limit($most);
        $before = $after === null ? null : ChargeSession::query()->firstWhere('ulid', $after);
        if ($before !== null) {
            $at = $before->getRawOriginal('started_at');
            $query->whereRaw('(started_at < ? or (started_at = ? and id < ?))', [$at, $at, $before->id]);
        }

        return array_values($query->get()->all());
    }

    public function count(string $zone): int
    {
        return $this->query($zone)->count();
    }

    /** @return Builder<ChargeSession> */
    public function query(string $zone): Builder
    {
        $query = ChargeSession::query();
        $dialect = Dialect::ofConnection();
        if ($this->vehicle !== null) {
            $query->whereIn('vehicle_id', Vehicle::withTrashed()->where('ulid', $this->vehicle)->select('id'));
        }
        if ($this->outlet !== null) {
            $query->whereIn('outlet_id', Outlet::withTrashed()->where('ulid', $this->outlet)->select('id'));
        }
        if ($this->adapter !== null) {
            $query->whereRaw($dialect->contains('chain_adapters'), [Dialect::contained("\"{$this->adapter}\"")]);
        }
        if ($this->verdict !== null) {
            $this->verdict === self::OPEN ? $query->whereNull('finished_at') : $query->where('verdict', $this->verdict);
        }
        if ($this->cause !== null) {
            $query->whereIn('id', self::withFact('causes', "\"{$this->cause}\""));
        }
        if ($this->unread !== null) {
            $query->whereIn('id', self::withFact('unread', $this->unread === self::ANY ? '"' : "\"{$this->unread}\""));
        }
        if ($this->days->from !== null) {
            $query->where('started_at', '>=', Carbon::parse($this->days->from, $zone)->utc());
        }
        if ($this->days->to !== null) {
            $query->where('started_at', '<', Carbon::parse($this->days->to, $zone)->addDay()->utc());
        }
        if ($this->q !== null) {
            // What stands in JSON has its accents and quotes written out.
            $kept = substr((string) json_encode($this->q), 1, -1);
            $query->whereRaw('('.implode(' or ', array_map($dialect->contains(...), ['note', 'stall', 'pieces'])).')', array_map(Dialect::contained(...), [$this->q, $this->q, $kept]));
        }

        return $query;
    }

    /** Sessions one of whose facts contains a text of JSON. */
    private static function withFact(string $fact, string $text): Query
    {
        return DB::table('session_facts')->select('charge_session_id')->whereRaw(Dialect::ofConnection()->contains(DB::connection()->getQueryGrammar()->wrap("facts->{$fact}")), [Dialect::contained($text)]);
    }
}
