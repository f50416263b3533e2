<?php

declare(strict_types=1);

namespace App\Networks;

use App\Equipment\PieceKind;
use App\Equipment\PieceStore;
use App\Garage\CurrentGarage;
use App\Models\NetworkImport;
use App\Models\Outlet;
use App\Models\Place;
use Harmozon\Core\Case\FactDays;
use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Json\Node;
use Harmozon\Core\Ocpi\ChangeKind;
use Harmozon\Core\Ocpi\FileOutlet;
use Harmozon\Core\Ocpi\FilePlace;
use Harmozon\Core\Ocpi\KnownOutlet;
use Harmozon\Core\Ocpi\LocationsFile;
use Harmozon\Core\Ocpi\OutletChange;
use Harmozon\Core\Ocpi\PlaceDifference;
use Harmozon\Core\Ocpi\PlateMerge;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;

/** Imports the places of a network's file into the garage: what is new, and what changed since the last time. */
final class LocationsImport
{
    /** The number of imports that can be undone. */
    private const REMEMBERED = 20;

    private const ROWS_A_WRITE = 500;

    /** @var list<array<string, mixed>> */
    private array $steps = [];

    /** @var list<array<string, mixed>> of the outlets that begin */
    private array $rows = [];

    public function __construct(private readonly PieceStore $pieces, private readonly NetworkTerms $terms, private readonly CurrentGarage $garage)
    {
    }

    /**
     * A location where nobody can charge isn't added; one that is here already follows the file.
     *
     * @return list<PlacePlan> what the file would do; writes nothing
     */
    public function plan(LocationsFile $file): array
    {
        $places = Place::query()->get();
        $byOrigin = $places->filter(static fn (Place $p): bool => $p->origin !== null)->keyBy(static fn (Place $p): string => self::key($p->origin['party'] ?? '', $p->origin['id'] ?? ''));
        $byOwnId = $places->keyBy('ulid');
        $outlets = self::outletsOf($places);

        $plans = array_map(static function (FilePlace $one) use ($byOrigin, $byOwnId, $outlets): PlacePlan {
            $place = $byOrigin->get(self::key($one->party, $one->id)) ?? $byOwnId->get($one->id);
            $here = $place === null ? [] : $outlets[$place->id] ?? [];
            $wasNamed = $place->origin['name'] ?? $one->name;

            return new PlacePlan($one, $place, $place !== null && ($place->name !== $wasNamed || $wasNamed === $one->name) ? $place->name : $one->name, PlaceDifference::of($one, array_map(self::known(...), array_values($here))), $here);
        }, $file->places);

        return array_values(array_filter($plans, static fn (PlacePlan $p): bool => ! $p->isLeftOut()));
    }

    /**
     * @param  list<PlacePlan>  $plans
     * @return list<Message> why locations of the file begin no place
     */
    public static function leftOut(LocationsFile $file, array $plans): array
    {
        $planned = array_map(static fn (PlacePlan $p): FilePlace => $p->file, $plans);

        return array_values(array_filter(array_map(static fn (FilePlace $one): ?Message => $one->whyNot === null || in_array($one, $planned, true) ? null : $one->whyNot, $file->places)));
    }

    /**
     * Imports all of it or nothing, including assigned words.
     *
     * @param  string|null  $terms  what somebody has just assigned, as NetworkTerms reads it
     * @return NetworkImport|null null when there was nothing to do
     *
     * @throws FieldError when a piece cannot be kept, or the garage would hold too many
     */
    public function carryOut(LocationsFile $file, ?string $terms = null): ?NetworkImport
    {
        return DB::transaction(function () use ($file, $terms): ?NetworkImport {
            $this->terms->remember($terms);
            $this->steps = $this->rows = [];
            $plans = $this->plan($file);
            $counts = self::counts($plans);
            self::mustFit($counts);
            $position = (int) Place::query()->max('position');
            $outletPosition = (int) Outlet::query()->max('position');
            foreach ($plans as $plan) {
                $place = $this->place($plan, $position);
                foreach ($plan->outlets as $change) {
                    if ($change->kind === ChangeKind::New) {
                        $this->begin($place, $change, ++$outletPosition);
                    } elseif ($change->id !== null) {
                        $this->outlet($plan->here[$change->id], $change);
                    }
                }
            }
            foreach (array_chunk($this->rows, self::ROWS_A_WRITE) as $rows) {
                Outlet::query()->insert($rows);
            }
            if ($this->steps === []) {
                return null;
            }
            $import = NetworkImport::query()->create(['counts' => $counts, 'steps' => $this->steps]);
            $settled = NetworkImport::query()->orderByDesc('id')->offset(self::REMEMBERED)->limit(PHP_INT_MAX)->pluck('id');
            NetworkImport::query()->whereIn('id', $settled)->delete();

            return $import;
        });
    }

    /**
     * @param  list<PlacePlan>  $plans
     * @return array<string, array<string, int>> places and outlets by what becomes of them
     */
    public static function counts(array $plans): array
    {
        $none = array_fill_keys(array_column(ChangeKind::cases(), 'value'), 0);
        $counts = [PieceKind::Places->value => $none, PieceKind::Outlets->value => $none];
        foreach ($plans as $plan) {
            $counts[PieceKind::Places->value][$plan->kind()->value]++;
            foreach ($plan->outlets as $change) {
                $counts[PieceKind::Outlets->value][$change->kind->value]++;
            }
        }

        return $counts;
    }

    /**
     * @param  Collection<int, Place>  $places
     * @return array<int, array<string, Outlet>> by place and id, deleted ones too
     */
    private static function outletsOf(Collection $places): array
    {
        $query = Outlet::withTrashed();
        $query->whereIn('place_id', $places->modelKeys())->orderBy('position')->orderBy('id');
        $outlets = [];
        foreach ($query->get() as $outlet) {
            $outlets[$outlet->place_id][$outlet->ulid] = $outlet;
        }

        return $outlets;
    }

    private static function key(string $party, string $id): string
    {
        return "{$party} {$id}";
    }

    private static function known(Outlet $outlet): KnownOutlet
    {
        $last = $outlet->origin;

        return new KnownOutlet($outlet->ulid, $outlet->name, $outlet->spec, $last === null ? null : new FileOutlet($last['name'], $last['spec']), $outlet->trashed());
    }

    /** @param  array<string, array<string, int>>  $counts */
    private static function mustFit(array $counts): void
    {
        foreach ([[PieceKind::Places, Place::query()->count()], [PieceKind::Outlets, Outlet::query()->count()]] as [$kind, $there]) {
            if ($there + $counts[$kind->value][ChangeKind::New->value] > $kind->most()) {
                throw FieldError::at($kind->value, Message::of('app.too_many_pieces', most: Amount::count($kind->most())));
            }
        }
    }

    private function place(PlacePlan $plan, int &$position): Place
    {
        $origin = ['party' => $plan->file->party, 'id' => $plan->file->id, 'name' => $plan->file->name];
        $place = $plan->place;
        if ($place === null) {
            $place = Place::query()->create(['name' => $plan->name, 'origin' => $origin, 'position' => ++$position, 'version' => 1]);
            $this->step(PieceKind::Places, null, $place);
        } elseif (($place->origin !== null || $place->ulid !== $plan->file->id) && (! PlateMerge::isSame($place->origin, $origin) || $place->name !== $plan->name)) {
            $before = PieceState::of($place);
            $place->update(['origin' => $origin, ...($place->name === $plan->name ? [] : ['name' => $plan->name, 'version' => $place->version + 1])]);
            $this->step(PieceKind::Places, $before, $place);
        }

        return $place;
    }

    /** Written at the end with all the others. */
    private function begin(Place $place, OutletChange $change, int $position): void
    {
        $outlet = (new Outlet)->forceFill([
            'garage_id' => $place->garage_id, 'place_id' => $place->id, 'name' => $change->name, 'blurb' => '', 'spec' => $this->plate($change),
            'origin' => self::origin($change), 'position' => $position, 'version' => 1,
        ]);
        $outlet->ulid = $outlet->newUniqueId();
        $outlet->updateTimestamps();
        $this->rows[] = $outlet->syncOriginal()->getAttributes();
        $this->step(PieceKind::Outlets, null, $outlet);
    }

    private function outlet(Outlet $outlet, OutletChange $change): void
    {
        $origin = self::origin($change);
        $before = PieceState::of($outlet);
        match (true) {
            $change->kind === ChangeKind::Gone => $outlet->delete(),
            $change->kind === ChangeKind::Changed => $outlet->update(['name' => $change->name, 'spec' => $this->plate($change), 'origin' => $origin, 'version' => $outlet->version + 1]),
            $origin !== null && ! PlateMerge::isSame($outlet->origin, $origin) => $outlet->update(['origin' => $origin]),
            default => $before = [],
        };
        if ($before !== []) {
            $this->step(PieceKind::Outlets, $before, $outlet);
        }
    }

    /** @return array{name: string, spec: array<string, mixed>}|null what its network's file says of it */
    private static function origin(OutletChange $change): ?array
    {
        return $change->file === null ? null : ['name' => $change->file->name, 'spec' => $change->file->spec];
    }

    private function plate(OutletChange $change): \stdClass
    {
        $spec = $change->file === null ? $change->spec : FactDays::imported($change->spec, $change->file->spec, $this->garage->today());

        return $this->pieces->plate(PieceKind::Outlets, Node::of($spec, $change->name), $change->name);
    }

    /** @param  array<string, mixed>|null  $before */
    private function step(PieceKind $kind, ?array $before, Place|Outlet $piece): void
    {
        $this->steps[] = ['kind' => $kind->value, 'id' => $piece->ulid, 'before' => $before, 'after' => PieceState::of($piece)];
    }
}
