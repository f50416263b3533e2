<?php

declare(strict_types=1);

namespace App\Moving;

use App\Models\Adapter;
use App\Models\Garage;
use App\Models\Network;
use App\Models\NetworkTerm;
use App\Models\Outlet;
use App\Models\Piece;
use App\Models\Place;
use App\Models\ReadingsSource;
use App\Models\Tour;
use App\Models\Vehicle;
use App\Models\Wish;
use Harmozon\Core\Case\CaseReader;

/**
 * Everything that a garage holds in one document (`harmozon/garage`, version 2): pieces as the garage has arranged them, the
 * figures of a plate by name, every session with its readings. What is imported and exported again is the same to the byte.
 * Photographs stay behind.
 */
final class GarageDocument
{
    private const FLAGS = JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR;

    private const SESSIONS = ",\n    \"sessions\": [";

    /** @return \Generator<int, string> its text piece by piece: a garage may hold millions of readings. The current garage must be this one */
    public function parts(Garage $garage): \Generator
    {
        // The sessions come behind all else, inside the same braces.
        yield substr(json_encode($this->of($garage), self::FLAGS), 0, -2);
        yield self::SESSIONS;
        $comma = "\n";
        foreach (SessionDocument::all() as $session) {
            yield $comma;
            yield from SessionDocument::parts($session);
            $comma = ",\n";
        }
        yield "\n    ]\n}\n";
    }

    /** @return array<string, mixed> all but the sessions */
    private function of(Garage $garage): array
    {
        $places = Place::inOrder();
        $ulids = $places->pluck('ulid', 'id');

        return [
            'format' => CaseReader::GARAGE_FORMAT,
            'version' => CaseReader::NEWEST_GARAGE,
            'settings' => ['name' => $garage->name, 'timezone' => $garage->timezone, 'currency' => $garage->currency, 'units' => $garage->units, 'locale' => $garage->locale, 'region' => $garage->region->value],
            'vehicles' => Vehicle::inOrder()->map(static fn (Vehicle $v): array => self::piece($v))->all(),
            'adapters' => Adapter::inOrder()->map(static fn (Adapter $a): array => self::piece($a, ['tag' => $a->tag]))->all(),
            'places' => $places->map(static fn (Place $p): array => ['id' => $p->ulid, 'name' => $p->name, ...self::origin($p)])->all(),
            'outlets' => Outlet::inOrder()->map(static fn (Outlet $o): array => self::piece($o, ['place' => $ulids[$o->place_id] ?? '', ...self::origin($o)]))->all(),
            'networks' => Network::inOrder()->map(static fn (Network $n): array => self::piece($n))->all(),
            'tours' => Tour::inOrder()->map(static fn (Tour $t): array => self::piece($t))->all(),
            'wishes' => Wish::inOrder()->map(static fn (Wish $w): array => self::piece($w))->all(),
            'mappings' => NetworkTerm::query()->get()->sortBy(['kind', 'theirs'])->values()->map(static fn (NetworkTerm $t): array => ['kind' => $t->kind, 'theirs' => $t->theirs, 'ours' => $t->ours])->all(),
            'readings_mappings' => ReadingsSource::told(),
        ];
    }

    /**
     * @param  array<string, mixed>  $more
     * @return array<string, mixed>
     */
    private static function piece(Piece $piece, array $more = []): array
    {
        return ['id' => $piece->ulid, 'name' => $piece->name, ...$more, 'blurb' => $piece->blurb, ...(array) self::inOrder($piece->plate())];
    }

    /** @return array<string, mixed> what the network's file said the last time, where there is one */
    private static function origin(Place|Outlet $of): array
    {
        $origin = $of->getRawOriginal('origin');

        return is_string($origin) ? ['origin' => self::inOrder(json_decode($origin, false, flags: JSON_THROW_ON_ERROR))] : [];
    }

    /** The fields of an object by name, without those that nobody knows. */
    public static function inOrder(mixed $value): mixed
    {
        if (is_array($value)) {
            return array_map(self::inOrder(...), $value);
        }
        if (! $value instanceof \stdClass) {
            return $value;
        }
        // Unknown values may be null or absent.
        $fields = array_filter((array) $value, static fn (mixed $v): bool => $v !== null);
        ksort($fields, SORT_STRING);

        return (object) array_map(self::inOrder(...), $fields);
    }
}
