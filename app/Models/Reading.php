<?php

declare(strict_types=1);

namespace App\Models;

use App\Garage\BelongsToGarage;
use Harmozon\Core\Record\Point;
use Harmozon\Core\Record\Reading as CoreReading;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;

/**
 * @property int $id
 * @property int $garage_id
 * @property int $charge_session_id
 * @property string $client_id made by the one who took the reading
 * @property int $t_ms milliseconds since plugging in
 * @property float|null $soc_pct
 * @property float|null $volts
 * @property float|null $amps
 * @property float|null $kw
 * @property string|null $source
 * @property string|null $note
 */
final class Reading extends Model
{
    use BelongsToGarage;

    public const QUANTITIES = ['soc_pct', 'volts', 'amps', 'kw', 'adapter_c', 'handle_c', 'cable_c', 'inlet_c', 'ambient_c'];

    public $timestamps = false;

    protected $guarded = [];

    /** @return Collection<int, self> newest first */
    public static function newestOf(ChargeSession $session, int $most): Collection
    {
        $query = self::query();
        $query->where('charge_session_id', $session->id)->orderByDesc('t_ms')->orderByDesc('id')->limit($most);

        return $query->get();
    }

    public function toCore(): CoreReading
    {
        $celsius = [];
        foreach (Point::cases() as $point) {
            $value = $this->getAttribute($point->value.'_c');
            if (is_float($value) || is_int($value)) {
                $celsius[$point->value] = (float) $value;
            }
        }

        return new CoreReading($this->t_ms, $this->soc_pct, $this->volts, $this->amps, $this->kw, $celsius, $this->source, $this->note);
    }

    /** @return array<string, mixed> */
    public static function rowOf(CoreReading $reading): array
    {
        return [
            't_ms' => $reading->tMs,
            'soc_pct' => $reading->socPct,
            'volts' => $reading->volts,
            'amps' => $reading->amps,
            'kw' => $reading->kw,
            'adapter_c' => $reading->celsius[Point::Adapter->value] ?? null,
            'handle_c' => $reading->celsius[Point::Handle->value] ?? null,
            'cable_c' => $reading->celsius[Point::Cable->value] ?? null,
            'inlet_c' => $reading->celsius[Point::Inlet->value] ?? null,
            'ambient_c' => $reading->celsius[Point::Ambient->value] ?? null,
            'source' => $reading->source,
            'note' => $reading->note,
        ];
    }
}
