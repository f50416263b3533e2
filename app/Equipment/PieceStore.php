<?php

declare(strict_types=1);

namespace App\Equipment;

use App\Models\Adapter;
use App\Models\Outlet;
use App\Models\Place;
use App\Models\Vehicle;
use Harmozon\Core\Files\EquipmentReader;
use Harmozon\Core\Files\FieldError;
use Harmozon\Core\Files\Node;
use Harmozon\Core\Words\Message;

/** Writes pieces of the garage. A plate is stored only after the core has read it. */
final class PieceStore
{
    public function __construct(private readonly EquipmentReader $reader)
    {
    }

    /**
     * @param  array<string, mixed>  $fields  name, blurb, spec; a tag for an adapter, a place for an outlet
     *
     * @throws FieldError
     */
    public function create(PieceKind $kind, array $fields): Vehicle|Adapter|Outlet|Place
    {
        $model = $kind->model();

        return $model::query()->create([...$this->columns($kind, $fields), 'position' => $model::query()->max('position') + 1]);
    }

    /**
     * @param  array<string, mixed>  $fields
     *
     * @throws FieldError
     */
    public function replace(PieceKind $kind, string $id, array $fields): Vehicle|Adapter|Outlet|Place
    {
        $piece = $this->find($kind, $id);
        $piece->update($this->columns($kind, $fields));

        return $piece;
    }

    /**
     * @param  array<string, mixed>  $fields
     *
     * @throws FieldError when the core cannot read the plate
     */
    public function check(PieceKind $kind, array $fields): void
    {
        $this->columns($kind, $fields);
    }

    public function remove(PieceKind $kind, string $id): void
    {
        $this->find($kind, $id)->delete();
    }

    public function restore(PieceKind $kind, string $id): Vehicle|Adapter|Outlet|Place
    {
        $model = $kind->model();
        $piece = $model::withTrashed()->where('ulid', $id)->firstOrFail();
        $piece->restore();

        return $piece;
    }

    private function find(PieceKind $kind, string $id): Vehicle|Adapter|Outlet|Place
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
        $columns = ['name' => $node->textOrNull('name', 120) ?? throw $node->fail('name', Message::of('field.required'))];
        if (! $kind->hasPlate()) {
            return $columns;
        }
        $spec = $node->object('spec')->with(['id' => 'new', 'name' => $columns['name']]);
        match ($kind) {
            PieceKind::Vehicles => $this->reader->vehicle($spec),
            PieceKind::Adapters => $this->reader->adapter($spec),
            default => $this->reader->outlet($spec),
        };
        // A plate has no name of its own: the piece's id and name stand outside it.
        $columns += ['blurb' => $node->textOrNull('blurb', 120) ?? '', 'spec' => array_diff_key((array) $node->raw('spec'), ['id' => true, 'name' => true])];
        if ($kind === PieceKind::Adapters) {
            $columns['tag'] = $node->textOrNull('tag', 4) ?? throw $node->fail('tag', Message::of('field.required'));
        }
        if ($kind === PieceKind::Outlets) {
            $place = Place::query()->firstWhere('ulid', $node->text('place')) ?? throw $node->fail('place', Message::of('app.not_in_garage'));
            $columns['place_id'] = $place->id;
        }

        return $columns;
    }
}
