<?php

declare(strict_types=1);

namespace App\Models;

use App\Garage\BelongsToGarage;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\SoftDeletes;
use Illuminate\Support\Carbon;

/**
 * @property int $id
 * @property string $ulid
 * @property int $garage_id
 * @property int|null $vehicle_id
 * @property int|null $outlet_id
 * @property array<string, mixed> $case_file the plates as they were when the session began
 * @property array{vehicle: array{id: string, name: string}, outlet: array{id: string, name: string}, adapters: list<array{id: string, name: string}>} $pieces by the names they had then
 * @property list<string> $chain_adapters ids of the adapters, in the order the current passes them
 * @property int $inlet_index
 * @property string $note
 * @property Carbon $started_at
 * @property Carbon|null $finished_at
 * @property string|null $verdict
 * @property array<string, mixed>|null $summary
 * @property string|null $stall the stall's label
 * @property string|null $paid_amount decimal
 * @property string|null $paid_currency
 * @property float|null $station_kwh what the station counted
 * @property array{case_file: array<string, mixed>, verdict: string|null, judged_at: string|null}|null $judged_before the ratings and the verdict before it was re-checked
 * @property Carbon|null $judged_at
 * @property int $held readings
 * @property int $revision counts every change of the readings
 * @property int $disturbed counts changes to readings before the newest one
 */
final class ChargeSession extends Model
{
    use BelongsToGarage;
    use BootsByName;
    use HasPublicId;
    use SoftDeletes;

    protected $table = 'charge_sessions';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'case_file' => 'array',
            'pieces' => 'array',
            'chain_adapters' => 'array',
            'started_at' => 'datetime',
            'finished_at' => 'datetime',
            'summary' => 'array',
            'judged_before' => 'array',
            'judged_at' => 'datetime',
            'station_kwh' => 'float',
        ];
    }

    /**
     * @param  array<array-key, mixed>  $ids  row numbers
     * @return Collection<int, self> oldest first
     */
    public static function among(array $ids): Collection
    {
        $query = self::query();
        $query->whereIn('id', $ids)->orderBy('started_at')->orderBy('id');

        return $query->get();
    }

    /** @return HasMany<Reading, $this> in the order they were taken */
    public function readings(): HasMany
    {
        $readings = $this->hasMany(Reading::class);
        $readings->orderBy('t_ms')->orderBy('id');

        return $readings;
    }

    /** @return HasMany<SessionEvent, $this> in the order they happened */
    public function events(): HasMany
    {
        $events = $this->hasMany(SessionEvent::class);
        $events->orderBy('t_ms')->orderBy('id');

        return $events;
    }
}
