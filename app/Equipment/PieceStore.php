<?php

declare(strict_types=1);

namespace App\Equipment;

use App\Garage\CurrentGarage;
use App\Garage\DeletionPeriod;
use App\Models\Adapter;
use App\Models\Outlet;
use App\Models\Piece;
use App\Models\Place;
use Harmozon\Core\Case\EquipmentReader;
use Harmozon\Core\Case\FactDays;
use Harmozon\Core\Case\PackVolts;
use Harmozon\Core\Chain\FactOwner;
use Harmozon\Core\Equipment\Outlet as CoreOutlet;
use Harmozon\Core\Equipment\Vehicle as CoreVehicle;
use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Json\Node;
use Harmozon\Core\Json\ReadFields;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;
use Illuminate\Support\Arr;
use Illuminate\Support\Facades\DB;

/** Writes pieces of the garage. A plate is stored only after the core has read it. */
final class PieceStore
{
    /** Of a piece (characters). */
    public const LONGEST_NAME = 120;

    /** No figure is nested deeper. */
    private const DEEPEST_PATH = 6;

    public function __construct(private readonly EquipmentReader $reader, private readonly CurrentGarage $garage, private readonly PackVolts $packVolts)
    {
    }

    /**
     * @param  array<string, mixed>  $fields  name, blurb, spec; a tag for an adapter, a place for an outlet
     *
     * @throws FieldError
     */
    public function create(PieceKind $kind, array $fields): Piece|Place
    {
        $model = $kind->model();
        if ($model::query()->count() >= $kind->most()) {
            throw FieldError::at($kind->value, Message::of('app.too_many_pieces', most: Amount::count($kind->most())));
        }

        $columns = $this->columns($kind, $this->noted($kind, [], $fields));
        self::mustBeFree($columns['tag'] ?? null, null);

        return $model::query()->create([...$columns, 'position' => $model::query()->max('position') + 1, 'version' => 1]);
    }

    /**
     * Changes the given fields and leaves the rest as it is.
     *
     * @param  array<string, mixed>  $fields  the version they were typed against; any of name, blurb, tag, place and spec;
     *                                        or `changes`, figures of the plate by dotted path (`inlets.0.dc.max_v`)
     *
     * @throws FieldError
     * @throws StalePiece when there is a newer version, or the piece was deleted
     */
    public function change(PieceKind $kind, string $id, array $fields): Piece|Place
    {
        return DB::transaction(function () use ($kind, $id, $fields): Piece|Place {
            $node = Node::of($fields);
            $piece = $kind->model()::withTrashed()->where('ulid', $id)->firstOrFail();
            $version = $node->wholeNumber('version', 1, PHP_INT_MAX) ?? throw $node->fail('version', Message::of('field.required'));
            if ($piece->trashed() || $piece->version !== $version) {
                throw new StalePiece($piece);
            }
            $columns = $this->columns($kind, $this->noted($kind, self::fieldsOf($piece), [...self::fieldsOf($piece), ...self::changed($kind, $piece, $node, $fields)]));
            self::mustBeKept($node, $columns['spec'] ?? null);
            self::mustBeFree($columns['tag'] ?? null, $piece);
            $piece->update([...$columns, 'version' => $version + 1]);

            return $piece;
        });
    }

    /**
     * Several of one kind at once: all of them, or none.
     *
     * @param  list<Node>  $pieces  each an id with what change() takes
     * @return list<Piece|Place>
     *
     * @throws FieldError
     * @throws StalePiece
     */
    public function changeSeveral(PieceKind $kind, array $pieces): array
    {
        return DB::transaction(fn (): array => array_map(function (Node $piece) use ($kind): Piece|Place {
            $id = $piece->text('id');
            try {
                return $this->change($kind, $id, array_intersect_key($piece->fields(), ['version' => true, 'changes' => true, 'blurb' => true, 'place' => true]));
            } catch (FieldError $e) {
                throw FieldError::at($piece->at($e->path), $e->problem);
            }
        }, $pieces));
    }

    /**
     * @param  array<string, mixed>  $fields
     * @return CoreVehicle|CoreOutlet|null as the core reads its plate; null for a kind of which no standard fixes anything
     *
     * @throws FieldError when the core cannot read the plate
     */
    public function check(PieceKind $kind, array $fields): CoreVehicle|CoreOutlet|null
    {
        $this->columns($kind, $fields);
        $spec = is_array($fields['spec'] ?? null) ? self::byName($fields['spec']) : [];
        $node = Node::of([...$spec, 'id' => 'new', 'name' => 'new'], 'spec');

        return match ($kind) {
            PieceKind::Vehicles => $this->reader->vehicle($node),
            PieceKind::Outlets => $this->reader->outlet($node),
            default => null,
        };
    }

    /**
     * A piece as it is stored.
     *
     * @return array<string, mixed>
     */
    public static function fieldsOf(Piece|Place $piece): array
    {
        return match (true) {
            $piece instanceof Place => ['name' => $piece->name],
            $piece instanceof Adapter => ['name' => $piece->name, 'blurb' => $piece->blurb, 'tag' => $piece->tag, 'spec' => $piece->spec],
            $piece instanceof Outlet => ['name' => $piece->name, 'blurb' => $piece->blurb, 'place' => $piece->placeUlid(), 'spec' => $piece->spec],
            default => ['name' => $piece->name, 'blurb' => $piece->blurb, 'spec' => $piece->spec],
        };
    }

    /**
     * The same with the days on which its facts were read.
     *
     * @param  array<string, mixed>  $before
     * @param  array<string, mixed>  $after
     * @return array<string, mixed>
     */
    private function noted(PieceKind $kind, array $before, array $after): array
    {
        [$of, $was, $spec] = [$kind->facts(), $before['spec'] ?? [], $after['spec'] ?? null];
        if ($of === null || ! is_array($spec) || ! is_array($was)) {
            return $after;
        }

        [$before, $now] = [self::byName($was), FactDays::noted($of, self::byName($was), self::byName($spec), $this->garage->today())];

        return [...$after, 'spec' => $of === FactOwner::Vehicle ? $this->packVolts->completed($before, $now, $this->garage->today()) : $now];
    }

    /**
     * @param  array<array-key, mixed>  $plate
     * @return array<string, mixed>
     */
    private static function byName(array $plate): array
    {
        return array_combine(array_map(strval(...), array_keys($plate)), array_values($plate));
    }

    /**
     * The given fields, with every change of the plate applied.
     *
     * @param  array<string, mixed>  $fields
     * @return array<string, mixed>
     */
    private static function changed(PieceKind $kind, Piece|Place $piece, Node $node, array $fields): array
    {
        $changes = $node->raw('changes');
        if ($changes === null) {
            return $fields;
        }
        if (! $kind->hasPlate() || ! is_array($changes) || ($changes !== [] && array_is_list($changes))) {
            throw $node->fail('changes', Message::of('app.expected_changes'));
        }
        $spec = $fields['spec'] ?? self::fieldsOf($piece)['spec'];
        foreach ($changes as $path => $value) {
            if (! is_array($spec) || substr_count((string) $path, '.') > self::DEEPEST_PATH) {
                throw $node->fail('changes', Message::of('app.expected_changes'));
            }
            Arr::set($spec, (string) $path, $value);
        }

        return [...$fields, 'spec' => $spec];
    }

    /**
     * Refuses a figure at an unknown path by name: what a person typed is never dropped.
     *
     * @throws FieldError
     */
    private static function mustBeKept(Node $node, mixed $spec): void
    {
        $changes = $node->raw('changes');
        foreach (is_array($changes) ? $changes : [] as $path => $value) {
            if ($value !== null && data_get($spec, (string) $path) === null) {
                throw $node->fail("changes.{$path}", Message::of('app.no_such_figure'));
            }
        }
    }

    /**
     * Two adapters with one tag can't be told apart. One that shares its tag already, as a document brought it, keeps it.
     *
     * @param  mixed  $tag  null where there is none
     * @param  Piece|Place|null  $own  the piece that takes it; null for a new one
     *
     * @throws FieldError
     */
    private static function mustBeFree(mixed $tag, Piece|Place|null $own): void
    {
        if ($tag === null || ($own instanceof Adapter && $own->tag === $tag)) {
            return;
        }
        $other = Adapter::query()->firstWhere('tag', $tag);
        if ($other !== null) {
            throw FieldError::at('tag', Message::of('app.tag_taken', name: $other->name));
        }
    }

    /**
     * A plate as it is stored, without the piece's id and name. What the core doesn't read is not stored.
     *
     * @throws FieldError when the core cannot read it
     */
    public function plate(PieceKind $kind, Node $spec, string $name): \stdClass
    {
        $read = new ReadFields;
        $spec = $spec->noting($read)->with(['id' => 'new', 'name' => $name]);
        match ($kind) {
            PieceKind::Vehicles => $this->reader->vehicle($spec),
            PieceKind::Adapters, PieceKind::Wishes => $this->reader->adapter($spec),
            PieceKind::Networks => $this->reader->network($spec),
            PieceKind::Tours => [$spec->texts('places'), $spec->texts('vehicles'), $spec->dayOrNull('leaves_on')],
            default => $this->reader->outlet($spec),
        };
        $kept = $read->copy();
        unset($kept->id, $kept->name);

        return $kept;
    }

    public function remove(PieceKind $kind, string $id): void
    {
        $this->find($kind, $id)->delete();
    }

    public function restore(PieceKind $kind, string $id): Piece|Place
    {
        return DeletionPeriod::restored($kind->model(), $id);
    }

    private function find(PieceKind $kind, string $id): Piece|Place
    {
        return $kind->model()::query()->where('ulid', $id)->firstOrFail();
    }

    /**
     * @param  array<string, mixed>  $fields
     * @return array<string, mixed>
     */
    private function columns(PieceKind $kind, array $fields): array
    {
        $node = Node::of($fields);
        $columns = ['name' => $node->textOrNull('name', self::LONGEST_NAME) ?? throw $node->fail('name', Message::of('field.required'))];
        if (! $kind->hasPlate()) {
            return $columns;
        }
        $columns += ['blurb' => $node->raw('blurb') === '' ? '' : ($node->textOrNull('blurb', 120) ?? ''), 'spec' => $this->plate($kind, $node->object('spec'), $columns['name'])];
        if ($kind === PieceKind::Adapters) {
            $columns['tag'] = $node->textOrNull('tag', 4) ?? throw $node->fail('tag', Message::of('field.required'));
        }
        if ($kind === PieceKind::Outlets) {
            $this->reader->entered($node->object('spec')->with(['id' => 'new', 'name' => $columns['name']]));
            $place = Place::query()->firstWhere('ulid', $node->text('place')) ?? throw $node->fail('place', Message::of('app.not_in_garage'));
            $columns['place_id'] = $place->id;
        }

        return $columns;
    }
}
