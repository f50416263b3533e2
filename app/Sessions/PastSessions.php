<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Equipment\GarageExperience;
use App\Garage\CurrentGarage;
use App\Models\ChargeSession;
use Harmozon\Core\Equipment\Adapter;
use Harmozon\Core\Equipment\PastTrouble;
use Harmozon\Core\Review\Memory\CarPace;
use Harmozon\Core\Review\Memory\HeatLeft;
use Harmozon\Core\Review\Memory\StallMemory;
use Harmozon\Core\Review\Memory\Visit;
use Harmozon\Core\Review\Trust\Used;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** What the garage's past sessions show about adapters, stalls, cars and our forecasts. */
final class PastSessions implements GarageExperience
{
    /** The most sessions considered. */
    private const MOST = 1000;

    /** The most sessions measured again for one request. */
    private const AT_ONCE = 20;

    public function __construct(private readonly CurrentGarage $garage)
    {
    }

    /** @return list<Used> in the order of time */
    public function used(string $adapterId): array
    {
        return array_values($this->facts('session_adapters')->where('f.adapter', $adapterId)->select('f.used')->get()
            ->map(static fn (\stdClass $row): Used => Used::fromArray(self::decoded($row->used)))->reverse()->all());
    }

    /** @return array<string, PastTrouble> what went wrong and was not lifted, by outlet id */
    public function remembered(): array
    {
        $remembered = [];
        foreach ($this->stalls() as $outlet => $memories) {
            $trouble = StallMemory::remembered($memories);
            if ($trouble !== null) {
                $remembered[$outlet] = $trouble;
            }
        }

        return $remembered;
    }

    /** @return array<string, list<StallMemory>> by outlet id */
    public function stalls(): array
    {
        $visits = [];
        foreach ($this->facts('session_facts')->select('f.facts')->get()->reverse() as $row) {
            $facts = self::decoded($row->facts);
            // A release before wrote one for a whole session.
            foreach ((array) ($facts['visits'] ?? [$facts['visit'] ?? []]) as $visit) {
                $visits[] = Visit::fromArray(is_array($visit) ? array_filter($visit, is_string(...), ARRAY_FILTER_USE_KEY) : []);
            }
        }

        return StallMemory::each($visits, $this->garage->today());
    }

    /** @return list<CarPace> of one car */
    public function paces(string $vehicleId): array
    {
        return array_values($this->facts('session_facts')->where('f.vehicle', $vehicleId)->select('f.facts')->get()->map(static function (\stdClass $row): CarPace {
            $kw = [];
            foreach ((array) (self::decoded($row->facts)['pace'] ?? []) as $bin => $value) {
                if (is_numeric($value)) {
                    $kw[(int) $bin] = (float) $value;
                }
            }

            return new CarPace($kw);
        })->all());
    }

    /**
     * Forecast grades, each with its car and adapter.
     *
     * @return list<array{vehicle: string, outlet: string, causes: list<string>, grade: array{minutes: float, measured_minutes: float, mean_error_kw: float, bias_kw: float}}>
     */
    public function grades(): array
    {
        $grades = [];
        foreach ($this->facts('session_facts')->select(['f.vehicle', 'f.outlet', 'f.facts'])->get() as $row) {
            $facts = self::decoded($row->facts);
            $grade = $facts['grade'] ?? null;
            if (is_array($grade)) {
                $figure = static fn (string $key): float => is_numeric($grade[$key] ?? null) ? (float) $grade[$key] : 0.0;
                $grades[] = [
                    'vehicle' => (string) $row->vehicle, 'outlet' => (string) $row->outlet,
                    'causes' => array_values(array_filter((array) ($facts['causes'] ?? []), is_string(...))),
                    'grade' => ['minutes' => $figure('minutes'), 'measured_minutes' => $figure('measured_minutes'), 'mean_error_kw' => $figure('mean_error_kw'), 'bias_kw' => $figure('bias_kw')],
                ];
            }
        }

        return $grades;
    }

    /**
     * The heat that the last session has left in each adapter by now.
     *
     * @param  list<Adapter>  $adapters
     * @return array<string, float> by id; those that are cold are left out
     */
    public function theta(array $adapters): array
    {
        $theta = [];
        $facts = $this->facts('session_adapters')->join('session_facts as whole', 'whole.charge_session_id', '=', 's.id')->select(['whole.facts', 's.finished_at']);
        foreach ($adapters as $adapter) {
            $last = $facts->clone()->where('f.adapter', $adapter->id)->first();
            $then = $last === null ? null : ((array) (self::decoded($last->facts)['theta_end'] ?? []))[$adapter->id] ?? null;
            if (is_numeric($then) && $last !== null) {
                $left = HeatLeft::in($adapter, (float) $then, Carbon::parse($last->finished_at)->diffInSeconds(Carbon::now()) / 60);
                if ($left !== null) {
                    $theta[$adapter->id] = round($left, 4);
                }
            }
        }

        return $theta;
    }

    /** Computes facts that aren't stored yet, or were invalidated by a correction. */
    private function complete(): void
    {
        foreach ($this->without(self::AT_ONCE) as $session) {
            SessionFacts::keep($session, StoredSession::of($session)->recorded);
        }
    }

    /** Finished sessions of this garage that aren't deleted, newest first. */
    private function facts(string $table): Builder
    {
        $this->complete();

        return DB::table($table, 'f')->join('charge_sessions as s', 's.id', '=', 'f.charge_session_id')
            ->where('f.garage_id', $this->garage->id())->whereNull('s.deleted_at')->whereNotNull('s.finished_at')
            ->orderByDesc('s.started_at')->orderByDesc('s.id')->limit(self::MOST);
    }

    /** @return array<string, mixed> */
    private static function decoded(mixed $json): array
    {
        $value = is_string($json) ? json_decode($json, true) : null;

        return is_array($value) ? array_filter($value, is_string(...), ARRAY_FILTER_USE_KEY) : [];
    }

    /** @return list<ChargeSession> finished, without kept facts */
    private function without(int $most): array
    {
        $query = ChargeSession::query();
        $query->whereNotNull('finished_at')->whereNotExists(static fn (Builder $q): Builder => $q->selectRaw('1')->from('session_facts')->whereColumn('session_facts.charge_session_id', 'charge_sessions.id'))->limit($most);

        return array_values($query->get()->all());
    }
}
