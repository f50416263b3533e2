<?php

declare(strict_types=1);

namespace App\Moving;

use App\Equipment\PieceKind;
use App\Equipment\PieceStore;
use App\Models\Adapter;
use App\Models\Garage;
use App\Models\Outlet;
use App\Models\Place;
use App\Models\Vehicle;
use App\Networks\NetworkTerms;
use App\People\GarageFields;
use Harmozon\Core\Files\CaseReader;
use Harmozon\Core\Files\FieldError;
use Harmozon\Core\Files\Node;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Validator;

/**
 * Brings a garage's document into the current garage: whole, or not at all. A piece is known by its id; one that stands here
 * otherwise is left as it is, unless it is to be replaced. The same document again adds nothing.
 */
final class GarageImport
{
    private const ULID = '/^[0-7][0-9a-hjkmnp-tv-z]{25}$/';

    /** Crockford's Base32, of which a ULID is made. */
    private const ALPHABET = '0123456789abcdefghjkmnpqrstvwxyz';

    /** Outlets of a version 1 file stand in no place. */
    private const NO_PLACE = 'places/';

    public function __construct(private readonly PieceStore $pieces, private readonly NetworkTerms $terms)
    {
    }

    /** @throws FieldError */
    public function bring(Garage $garage, string $json, bool $replaces): Moved
    {
        $document = Node::fromJson($json);
        CaseReader::mustBeGarage($document);
        // Everything is read before anything is written.
        $settings = self::settings($document);
        $read = array_map(fn (PieceKind $kind): array => $this->read($document, $kind), [PieceKind::Vehicles, PieceKind::Adapters, PieceKind::Places, PieceKind::Outlets]);
        $terms = $document->has('mappings') ? (string) json_encode(['terms' => array_map(static fn (Node $m): array => ['kind' => $m->raw('kind'), 'theirs' => $m->raw('theirs'), 'ours' => $m->raw('ours')], $document->objectsOrNone('mappings'))]) : null;

        return DB::transaction(function () use ($garage, $settings, $read, $terms, $replaces): Moved {
            $moved = new Moved;
            if ($settings !== [] && self::isEmpty()) {
                $garage->update($settings);
            }
            foreach (array_merge(...$read) as [$kind, $columns]) {
                $this->write($kind, $columns, $replaces, $moved);
            }
            $this->terms->remember($terms);

            return $moved;
        });
    }

    /** @return array<string, mixed> */
    private static function settings(Node $document): array
    {
        $settings = $document->objectOrNull('settings');
        if ($settings === null) {
            return [];
        }
        $given = array_combine(['name', 'timezone', 'currency', 'units', 'locale'], array_map($settings->raw(...), ['name', 'timezone', 'currency', 'units', 'locale']));
        foreach (Validator::make($given, GarageFields::rules())->errors()->toArray() as $field => $problems) {
            throw $settings->fail((string) $field, Message::of('app.refused', why: (string) $problems[0]));
        }

        return array_filter($given, static fn (mixed $v): bool => $v !== null);
    }

    /** @return list<array{PieceKind, array<string, mixed>}> columns to be */
    private function read(Node $document, PieceKind $kind): array
    {
        $read = $seen = [];
        if ($kind === PieceKind::Places && ! $document->has('places') && $document->objectsOrNone('outlets', $kind->most()) !== []) {
            return [[$kind, ['ulid' => self::ulid(self::NO_PLACE), 'name' => 'Imported', 'position' => 0, 'origin' => null]]];
        }
        foreach ($document->objectsOrNone($kind->value, $kind->most()) as $position => $item) {
            $ulid = self::ulid("{$kind->value}/{$item->text('id')}", $item->text('id'));
            if (isset($seen[$ulid])) {
                throw $item->fail('id', Message::of('field.twice', id: $item->text('id')));
            }
            $seen[$ulid] = true;
            $read[] = [$kind, ['ulid' => $ulid, 'position' => $position, ...$this->columns($document, $kind, $item, $position)]];
        }

        return $read;
    }

    /** @return array<string, mixed> */
    private function columns(Node $document, PieceKind $kind, Node $item, int $position): array
    {
        $name = $item->textOrNull('name', 120) ?? $item->text('id');
        if ($kind === PieceKind::Places) {
            return ['name' => $name, 'origin' => $this->origin($item, $kind)];
        }

        return [
            'name' => $name,
            'blurb' => $item->raw('blurb') === '' ? '' : ($item->textOrNull('blurb', 120) ?? ''),
            'spec' => $this->pieces->plate($kind, $item, $name),
            ...($kind === PieceKind::Adapters ? ['tag' => $item->textOrNull('tag', 4) ?? 'A'.($position + 1)] : []),
            ...($kind === PieceKind::Outlets ? [
                'place' => $document->has('places') ? self::ulid('places/'.$item->text('place'), $item->text('place')) : self::ulid(self::NO_PLACE),
                'origin' => $this->origin($item, $kind),
            ] : []),
        ];
    }

    /** What the network's file said of it the last time: an outlet's is a plate like its own. */
    private function origin(Node $item, PieceKind $kind): mixed
    {
        $origin = $item->objectOrNull('origin');
        if ($origin === null) {
            return null;
        }

        return $kind === PieceKind::Places
            ? ['party' => $origin->raw('party') === '' ? '' : $origin->text('party'), 'id' => $origin->text('id'), 'name' => $origin->text('name')]
            : ['name' => $origin->text('name'), 'spec' => $this->pieces->plate($kind, $origin->object('spec'), $origin->text('name'))];
    }

    /** @param  array<string, mixed>  $columns */
    private function write(PieceKind $kind, array $columns, bool $replaces, Moved $moved): void
    {
        $model = $kind->model();
        if (array_key_exists('place', $columns)) {
            $place = Place::query()->firstWhere('ulid', $columns['place']) ?? throw FieldError::at('outlets', Message::of('app.no_such_place', outlet: (string) $columns['name']));
            unset($columns['place']);
            $columns['place_id'] = $place->id;
        }
        $here = $model::withTrashed()->where('ulid', $columns['ulid'])->first();
        if ($here === null) {
            if ($model::query()->count() >= $kind->most()) {
                throw FieldError::at($kind->value, Message::of('app.too_many_pieces', most: Amount::count($kind->most())));
            }
            $model::query()->create([...$columns, 'version' => 1]);
            $moved->added++;

            return;
        }
        $wanted = (clone $here)->fill(array_diff_key($columns, ['position' => 0]));
        $isSame = self::told($wanted) === self::told($here);
        match (true) {
            $here->trashed() => $moved->added++,
            $isSame => $moved->same++,
            $replaces => $moved->replaced++,
            default => $moved->kept[] = $here->name,
        };
        if ($here->trashed()) {
            $here->restore();
        }
        if (! $isSame && ($replaces || $here->wasChanged('deleted_at'))) {
            $here->update([...array_diff_key($columns, ['position' => 0]), 'version' => $here->version + 1]);
        }
    }

    /** What of a piece a document tells, whatever the order of its figures. */
    private static function told(Vehicle|Adapter|Outlet|Place $piece): string
    {
        $told = array_intersect_key($piece->attributesToArray(), array_flip(['name', 'blurb', 'tag', 'place_id', 'spec', 'origin']));
        array_walk_recursive($told, static fn (mixed & $v): mixed => $v = is_int($v) ? (float) $v : $v);

        return serialize(self::sorted($told));
    }

    private static function sorted(mixed $value): mixed
    {
        if (is_array($value)) {
            array_is_list($value) || ksort($value);

            return array_map(self::sorted(...), array_is_list($value) ? $value : array_filter($value, static fn (mixed $v): bool => $v !== null));
        }

        return $value;
    }

    private static function isEmpty(): bool
    {
        return Vehicle::query()->doesntExist() && Adapter::query()->doesntExist() && Place::query()->doesntExist();
    }

    /** An id that is a ULID stays what it is; from any other the same one comes every time. */
    private static function ulid(string $scoped, string $id = ''): string
    {
        if (preg_match(self::ULID, strtolower($id)) === 1) {
            return strtolower($id);
        }
        $ulid = '0';
        foreach (array_slice(str_split(hash('sha256', $scoped)), 0, 25) as $i => $digit) {
            $ulid .= self::ALPHABET[(hexdec($digit) + 16 * (hexdec(hash('sha256', $scoped)[$i + 25]) % 2)) % 32];
        }

        return $ulid;
    }
}
