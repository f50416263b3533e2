<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Models\Outlet;
use Harmozon\Core\Review\Memory\Sums;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** What the log adds up to by month, by network and by car. */
final class LogSums
{
    /** @return array{all: array<string, mixed>, months: list<array<string, mixed>>, networks: list<array<string, mixed>>, vehicles: list<array<string, mixed>>} the most energy first; months in their order */
    public static function of(LogFilter $filter, string $zone): array
    {
        $networks = self::networks();
        $all = new Sums;
        /** @var array<string, array<string, Sums>> $by */
        $by = ['months' => [], 'networks' => [], 'vehicles' => []];
        $rows = DB::query()->fromSub($filter->query($zone)->toBase()->select(['started_at', 'outlet_id', 'pieces', 'paid_amount', 'paid_currency', 'station_kwh', 'summary->energy_kwh as kwh', 'summary->minutes as minutes']), 's')->cursor();
        foreach ($rows as $row) {
            $pieces = json_decode((string) $row->pieces, true);
            $kwh = $row->station_kwh ?? $row->kwh;
            $paid = $row->paid_amount === null ? null : ['amount' => (string) $row->paid_amount, 'currency' => (string) $row->paid_currency];
            $keys = [
                'months' => Carbon::parse($row->started_at, 'UTC')->setTimezone($zone)->format('Y-m'),
                'networks' => $networks[(int) $row->outlet_id] ?? '',
                'vehicles' => is_array($pieces) && is_string($pieces['vehicle']['name'] ?? null) ? $pieces['vehicle']['name'] : '',
            ];
            foreach ($keys as $group => $key) {
                $by[$group][$key] ??= new Sums;
                $by[$group][$key]->add($kwh === null ? null : (float) $kwh, $row->minutes === null ? null : (float) $row->minutes, $paid);
            }
            $all->add($kwh === null ? null : (float) $kwh, $row->minutes === null ? null : (float) $row->minutes, $paid);
        }
        ksort($by['months']);
        $told = static fn (array $sums): array => array_map(static fn (Sums $s, int|string $key): array => ['key' => (string) $key, ...$s->told()], array_values($sums), array_keys($sums));
        $most = static function (array $told): array {
            usort($told, static fn (array $a, array $b): int => $b['kwh'] <=> $a['kwh']);

            return $told;
        };

        return ['all' => $all->told(), 'months' => $told($by['months']), 'networks' => $most($told($by['networks'])), 'vehicles' => $most($told($by['vehicles']))];
    }

    /** @return array<int, string> the network of each outlet, else its place, by row number */
    private static function networks(): array
    {
        $names = [];
        foreach (Outlet::withTrashed()->with(['place' => static fn ($q) => $q->withTrashed()])->get() as $outlet) {
            $access = $outlet->spec['access'] ?? null;
            $network = is_array($access) ? ($access['network'] ?? null) : null;
            $names[$outlet->id] = is_string($network) && $network !== '' ? $network : $outlet->place->name;
        }

        return $names;
    }
}
