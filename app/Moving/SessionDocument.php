<?php

declare(strict_types=1);

namespace App\Moving;

use App\Models\ChargeSession;
use App\Models\Outlet;
use App\Models\Reading;
use App\Models\SessionEvent;
use App\Models\Vehicle;
use Harmozon\Core\Record\Event;
use Harmozon\Core\Record\Reading as CoreReading;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/**
 * A session in a garage's document: the ratings it was checked against, its events, its verdict as given, and its
 * readings row by row. What can be computed from these is left out and computed again on import.
 */
final class SessionDocument
{
    private const FLAGS = JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR;

    /** Objects for which empty and missing mean the same. */
    private const MAY_BE_EMPTY = ['theta', 'origins'];

    /** @return list<string> columns of the readings: an id, milliseconds as seconds, and what was read */
    public static function columns(): array
    {
        return ['id', 't_s', ...CoreReading::quantities(), 'source', 'note'];
    }

    /** @return iterable<ChargeSession> oldest first */
    public static function all(): iterable
    {
        $query = ChargeSession::query();
        $query->orderBy('started_at')->orderBy('ulid');

        return $query->lazy(100);
    }

    /** @return \Generator<int, string> */
    public static function parts(ChargeSession $session): \Generator
    {
        $baselines = DB::table('session_baselines')->join('charge_sessions', 'charge_sessions.id', '=', 'baseline_id')->where('charge_session_id', $session->id)->whereNull('deleted_at')->orderBy('ulid')->pluck('ulid')->all();
        $events = $session->events()->get()->map(static fn (SessionEvent $e): array => self::event($e->client_id, $e->core(), $e->took_out))->all();
        $rows = (static function () use ($session): \Generator {
            foreach (Reading::rowsAfter($session, -1, 0) as $row) {
                yield (string) $row->client_id => Reading::coreOf($row);
            }
        })();

        $stands = static fn (string $model, ?int $id): ?string => $id === null ? null : $model::query()->whereKey($id)->value('ulid');

        return self::text($session, ['vehicle' => $stands(Vehicle::class, $session->vehicle_id), 'outlet' => $stands(Outlet::class, $session->outlet_id)], $baselines, $events, $rows);
    }

    /**
     * Writes a session, stored or about to be.
     *
     * @param  array{vehicle: string|null, outlet: string|null}  $stands  which car and outlet of the garage it belongs to, by their ids
     * @param  array<array-key, mixed>  $baselines  ids
     * @param  array<array-key, mixed>  $events  as of event()
     * @param  iterable<string, CoreReading>  $readings  by id
     * @return \Generator<int, string>
     */
    public static function text(ChargeSession $session, array $stands, array $baselines, array $events, iterable $readings): \Generator
    {
        $head = json_encode([...self::head($session, $stands), 'baselines' => $baselines, 'events' => $events], self::FLAGS);
        yield substr($head, 0, -1).',"readings":{"columns":'.json_encode(self::columns(), self::FLAGS).',"rows":[';
        $comma = "\n";
        foreach ($readings as $id => $reading) {
            yield $comma.self::row((string) $id, $reading);
            $comma = ",\n";
        }
        yield ']}}';
    }

    private static function row(string $id, CoreReading $reading): string
    {
        return json_encode([$id, $reading->tS(), ...$reading->values(), $reading->source, $reading->note], self::FLAGS);
    }

    /**
     * @param  array{vehicle: string|null, outlet: string|null}  $stands
     * @return array<string, mixed>
     */
    private static function head(ChargeSession $session, array $stands): array
    {
        [$case, $before] = [$session->getAttributes()['case_file'] ?? '{}', $session->getAttributes()['judged_before'] ?? null];
        $before = is_string($before) ? json_decode($before, false, 512, JSON_THROW_ON_ERROR) : null;

        return [
            'id' => $session->ulid,
            'started_at' => self::moment($session->started_at),
            'finished_at' => self::moment($session->finished_at),
            'verdict' => $session->verdict,
            'judged_at' => self::moment($session->judged_at),
            ...$stands,
            'pieces' => $session->pieces,
            'chain_adapters' => $session->chain_adapters,
            'inlet_index' => $session->inlet_index,
            'stall' => $session->stall,
            'note' => $session->note,
            'station_kwh' => $session->station_kwh,
            'paid' => $session->paid_amount === null ? null : ['amount' => $session->paid_amount, 'currency' => $session->paid_currency],
            'case' => self::plates(json_decode((string) $case, false, 512, JSON_THROW_ON_ERROR)),
            'judged_before' => $before === null ? null : ['case' => self::plates($before->case_file), 'verdict' => $before->verdict, 'judged_at' => $before->judged_at],
        ];
    }

    /**
     * @param  array<string, bool|null>|null  $tookOut
     * @return array<string, mixed>
     */
    public static function event(string $id, Event $event, ?array $tookOut): array
    {
        return ['id' => $id, 't_s' => $event->tMs / 1000, 'code' => $event->code->value, 'detail' => $event->detail, 'took_out' => $tookOut === null ? null : (object) $tookOut];
    }

    private static function moment(?Carbon $at): ?string
    {
        return $at?->toIso8601ZuluString();
    }

    /** A stored case, its fields sorted by name. */
    public static function plates(mixed $case): mixed
    {
        return GarageDocument::inOrder(self::withoutEmpty($case));
    }

    private static function withoutEmpty(mixed $value): mixed
    {
        if (is_array($value)) {
            return array_map(self::withoutEmpty(...), $value);
        }
        if (! $value instanceof \stdClass) {
            return $value;
        }
        $kept = new \stdClass;
        foreach ((array) $value as $key => $field) {
            if (! in_array($key, self::MAY_BE_EMPTY, true) || (array) $field !== []) {
                $kept->{$key} = self::withoutEmpty($field);
            }
        }

        return $kept;
    }
}
