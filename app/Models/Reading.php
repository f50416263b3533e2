<?php

declare(strict_types=1);

namespace App\Models;

use App\Garage\BelongsToGarage;
use Harmozon\Core\Record\Point;
use Harmozon\Core\Record\Reading as CoreReading;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Facades\DB;

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
    use BootsByName;

    protected $table = 'readings';

    public $timestamps = false;

    protected $guarded = [];

    /** @return array<string, string> PostgreSQL's driver gives figures as text */
    protected function casts(): array
    {
        return array_fill_keys(CoreReading::quantities(), 'float');
    }

    /** @return Collection<int, self> newest first */
    public static function newestOf(ChargeSession $session, int $most): Collection
    {
        $query = self::query();
        $query->where('charge_session_id', $session->id)->orderByDesc('t_ms')->orderByDesc('id')->limit($most);

        return $query->get();
    }

    /** How many readings a session has. Without an order the index answers. */
    public static function countOf(ChargeSession $session): int
    {
        return DB::table('readings')->where('charge_session_id', $session->id)->count();
    }

    /** When the newest reading of a session was taken (ms); null where it has none. Without an order the index answers at once. */
    public static function newestMs(ChargeSession $session): ?int
    {
        $newest = DB::table('readings')->where('charge_session_id', $session->id)->max('t_ms');

        return is_numeric($newest) ? (int) $newest : null;
    }

    /**
     * The readings of a session after one of them, in the order they are judged, one at a time.
     *
     * @return iterable<\stdClass> without the framework's collections, which would be built again for every row
     */
    public static function rowsAfter(ChargeSession $session, int $lastMs, int $lastId): iterable
    {
        $rows = DB::table('readings')->where('charge_session_id', $session->id)
            ->where('t_ms', '>=', $lastMs)
            ->whereRaw('(t_ms > ? or id > ?)', [$lastMs, $lastId])
            ->orderBy('t_ms')->orderBy('id');

        return DB::connection()->cursor($rows->toSql(), $rows->getBindings());
    }

    public static function coreOf(\stdClass $row): CoreReading
    {
        $number = static fn (mixed $value): ?float => $value === null ? null : (float) $value;
        $text = static fn (mixed $value): ?string => $value === null ? null : (string) $value;
        $celsius = [];
        foreach (Point::cases() as $point) {
            $value = $row->{$point->value.'_c'};
            if ($value !== null) {
                $celsius[$point->value] = (float) $value;
            }
        }

        return new CoreReading((int) $row->t_ms, $number($row->soc_pct), $number($row->volts), $number($row->amps), $number($row->kw), $celsius, $text($row->source), $text($row->note));
    }

    /** @return array<string, mixed> */
    public static function rowOf(CoreReading $reading): array
    {
        return [
            't_ms' => $reading->tMs,
            ...array_combine(CoreReading::quantities(), $reading->values()),
            'source' => $reading->source,
            'note' => $reading->note,
        ];
    }
}
