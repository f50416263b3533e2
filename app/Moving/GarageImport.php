<?php

declare(strict_types=1);

namespace App\Moving;

use App\Equipment\PieceKind;
use App\Equipment\PieceStore;
use App\Imports\Sources;
use App\Models\Adapter;
use App\Models\Garage;
use App\Models\Outlet;
use App\Models\Piece;
use App\Models\Place;
use App\Models\Vehicle;
use App\Networks\NetworkTerms;
use App\People\GarageFields;
use Harmozon\Core\Case\CaseReader;
use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Json\Node;
use Harmozon\Core\Readings\Foreign\Mapping;
use Harmozon\Core\Readings\Foreign\MappingReader;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Voice;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Validator;

/**
 * Imports a garage's document into the current garage, all or nothing. Readings are written part by part where nobody
 * sees them, everything else at once. Pieces are matched by id; one that differs here is left as it is, unless it is to
 * be replaced. Importing the same document again adds nothing.
 */
final class GarageImport
{
    private const ULID = '/^[0-7][0-9a-hjkmnp-tv-z]{25}$/';

    /** The most values in one SQLite statement. */
    private const ROWS_A_WRITE = 400;

    /** Outlets of a version 1 file have no place. */
    private const NO_PLACE = 'places/';

    public function __construct(private readonly PieceStore $pieces, private readonly NetworkTerms $terms, private readonly SessionsImport $sessions, private readonly Sources $sources, private readonly Voice $voice)
    {
    }

    /**
     * @param  iterable<string>  $chunks  of the document's text
     * @param  \Closure(int): void|null  $told  of readings that were written, part by part
     *
     * @throws FieldError
     */
    public function bring(Garage $garage, iterable $chunks, bool $replaces, ?\Closure $told = null): ImportResult
    {
        $apart = SplitDocument::of($chunks);
        $document = $apart->rest();
        CaseReader::mustBeGarage($document);
        // Everything is read before anything is written.
        $settings = self::settings($document);
        $read = [];
        foreach ([PieceKind::Vehicles, PieceKind::Adapters, PieceKind::Places, PieceKind::Outlets, PieceKind::Networks, PieceKind::Tours, PieceKind::Wishes] as $kind) {
            $read[$kind->value] = $this->read($document, $kind);
        }
        $terms = $document->has('mappings') ? (string) json_encode(['terms' => array_map(static fn (Node $m): array => ['kind' => $m->raw('kind'), 'theirs' => $m->raw('theirs'), 'ours' => $m->raw('ours')], $document->objectsOrNone('mappings'))]) : null;
        $mappings = self::readingsMappings($document);
        $document->objectsOrNone('sessions');
        $this->sessions->check($apart);

        $moved = new ImportResult;
        $arrived = $this->sessions->arrive($apart, $garage, $replaces, $moved, self::standing($read), $told ?? static fn (int $readings): null => null);
        try {
            DB::transaction(function () use ($apart, $arrived, $garage, $settings, $read, $terms, $mappings, $replaces, $moved): void {
                self::settle($garage, $settings, $moved);
                foreach ($read as $kind => $pieces) {
                    $this->write($garage, PieceKind::from($kind), $pieces, $replaces, $moved);
                }
                $this->terms->remember($terms);
                foreach ($mappings as $source => [$name, $mapping]) {
                    if ($replaces || $this->sources->mapping((string) $source) === null) {
                        $this->sources->remember((string) $source, $name, $mapping);
                    }
                }
                $this->sessions->settle($apart, $arrived);
            });
        } catch (\Throwable $e) {
            SessionsImport::leave($arrived);
            throw $e;
        }
        array_map(static fn (ArrivingSession $a): int => $a->replaced === null ? 0 : PermanentDeletion::session($a->replaced), $arrived);

        return $moved;
    }

    /**
     * Only an empty garage takes the document's name, units, currency and time zone; the result says which.
     *
     * @param  array<string, mixed>  $settings
     */
    private static function settle(Garage $garage, array $settings, ImportResult $moved): void
    {
        $was = $garage->name;
        $garage->fill($settings);
        if (! $garage->isDirty()) {
            return;
        }
        if (! self::isEmpty()) {
            $garage->discardChanges();
            $moved->settings = SettingsMoved::Left;

            return;
        }
        $garage->save();
        $moved->settings = SettingsMoved::Taken;
        $moved->renamed = $garage->name === $was ? null : $garage->name;
    }

    /**
     * @param  array<string, list<array<string, mixed>>>  $read
     * @return array<string, true> ids of cars and outlets that are here, or about to be
     */
    private static function standing(array $read): array
    {
        $ids = [...Vehicle::query()->pluck('ulid')->all(), ...Outlet::query()->pluck('ulid')->all(), ...array_column($read[PieceKind::Vehicles->value], 'ulid'), ...array_column($read[PieceKind::Outlets->value], 'ulid')];

        return array_fill_keys(array_values(array_filter($ids, is_string(...))), true);
    }

    /** @return array<string, array{string, Mapping}> what files of readings were taken for, by their source */
    private static function readingsMappings(Node $document): array
    {
        $mappings = [];
        foreach ($document->objectsOrNone('readings_mappings') as $node) {
            $source = $node->text('source');
            if (preg_match('/^[0-9a-f]{64}$/', $source) !== 1) {
                throw $node->fail('source', Message::of('app.no_source'));
            }
            $mappings[$source] = [$node->text('name'), (new MappingReader)->mapping($node->object('mapping'))];
        }

        return $mappings;
    }

    /** @return array<string, mixed> */
    private static function settings(Node $document): array
    {
        $settings = $document->objectOrNull('settings');
        if ($settings === null) {
            return [];
        }
        $fields = ['name', 'timezone', 'currency', 'units', 'locale', 'region'];
        $given = array_filter(array_combine($fields, array_map($settings->raw(...), $fields)), static fn (mixed $v): bool => $v !== null);
        foreach (Validator::make($given, GarageFields::rules())->errors()->toArray() as $field => $problems) {
            throw $settings->fail((string) $field, Message::of('app.refused', why: (string) $problems[0]));
        }

        return $given;
    }

    /** @return list<array<string, mixed>> columns to be */
    private function read(Node $document, PieceKind $kind): array
    {
        $read = $seen = [];
        if ($kind === PieceKind::Places && ! $document->has('places') && $document->objectsOrNone('outlets', $kind->most()) !== []) {
            return [['ulid' => self::ulid(self::NO_PLACE), 'name' => $this->voice->say(Message::of('app.imported')), 'position' => 0, 'origin' => null]];
        }
        foreach ($document->objectsOrNone($kind->value, $kind->most()) as $position => $item) {
            $ulid = self::ulid("{$kind->value}/{$item->text('id')}", $item->text('id'));
            if (isset($seen[$ulid])) {
                throw $item->fail('id', Message::of('field.twice', id: $item->text('id')));
            }
            $seen[$ulid] = true;
            $read[] = ['ulid' => $ulid, 'position' => $position, ...$this->columns($document, $kind, $item, $position)];
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

    /** What the network's last file said about it; for an outlet this is a plate. */
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

    /**
     * Writes new pieces in a few statements, so that nobody waits.
     *
     * @param  list<array<string, mixed>>  $pieces
     */
    private function write(Garage $garage, PieceKind $kind, array $pieces, bool $replaces, ImportResult $moved): void
    {
        $model = $kind->model();
        $places = $kind === PieceKind::Outlets ? Place::query()->pluck('id', 'ulid')->all() : [];
        $stamp = ['garage_id' => $garage->id, 'version' => 1, 'created_at' => Carbon::now(), 'updated_at' => Carbon::now()];
        $new = [];
        foreach (array_chunk($pieces, self::ROWS_A_WRITE) as $some) {
            $query = $model::withTrashed();
            $query->whereIn('ulid', array_column($some, 'ulid'));
            $here = $query->get()->keyBy('ulid');
            foreach ($some as $columns) {
                if (array_key_exists('place', $columns)) {
                    $columns['place_id'] = $places[$columns['place']] ?? throw FieldError::at('outlets', Message::of('app.no_such_place', outlet: is_string($columns['name']) ? $columns['name'] : ''));
                    unset($columns['place']);
                }
                $piece = $here->get(is_string($columns['ulid']) ? $columns['ulid'] : '');
                if ($piece === null) {
                    $new[] = [...self::encoded($columns), ...$stamp];
                } else {
                    self::meet($piece, array_diff_key($columns, ['position' => 0]), $replaces, $moved);
                }
            }
        }
        if ($model::query()->count() + count($new) > $kind->most()) {
            throw FieldError::at($kind->value, Message::of('app.too_many_pieces', most: Amount::count($kind->most())));
        }
        foreach (array_chunk($new, self::ROWS_A_WRITE) as $rows) {
            $model::query()->insert($rows);
        }
        $moved->added += count($new);
    }

    /**
     * Handles a piece that exists here, or was deleted here.
     *
     * @param  array<string, mixed>  $columns
     */
    private static function meet(Piece|Place $here, array $columns, bool $replaces, ImportResult $moved): void
    {
        $wasAside = $here->trashed();
        $isSame = self::told((clone $here)->fill($columns)) === self::told($here);
        match (true) {
            $wasAside => $moved->added++,
            $isSame => $moved->same++,
            $replaces => $moved->replaced++,
            default => $moved->kept[] = $here->name,
        };
        if ($wasAside) {
            $here->restore();
        }
        if (! $isSame && ($replaces || $wasAside)) {
            $here->update([...$columns, 'version' => $here->version + 1]);
        }
    }

    /**
     * @param  array<string, mixed>  $columns
     * @return array<string, mixed> as in the table
     */
    private static function encoded(array $columns): array
    {
        return array_map(static fn (mixed $v): mixed => is_array($v) || $v instanceof \stdClass ? json_encode($v, JSON_THROW_ON_ERROR) : $v, $columns);
    }

    /** The columns of a piece that a document holds. */
    private static function told(Piece|Place $piece): string
    {
        $columns = array_intersect_key($piece->getAttributes(), array_flip(['name', 'blurb', 'tag', 'place_id', 'spec', 'origin']));
        foreach (array_intersect_key($columns, ['spec' => 0, 'origin' => 0]) as $name => $json) {
            $columns[$name] = is_string($json) ? json_decode($json, false, flags: JSON_THROW_ON_ERROR) : null;
        }

        return json_encode(GarageDocument::inOrder((object) $columns), JSON_THROW_ON_ERROR);
    }

    private static function isEmpty(): bool
    {
        return Vehicle::query()->doesntExist() && Adapter::query()->doesntExist() && Place::query()->doesntExist();
    }

    /** A ULID stays as it is; any other id always gives the same ULID. */
    public static function ulid(string $scoped, string $id = ''): string
    {
        if (preg_match(self::ULID, strtolower($id)) === 1) {
            return strtolower($id);
        }

        // Hexadecimal digits are among those of a ULID, which begins with 7 at the most.
        return '0'.substr(hash('sha256', $scoped), 0, 25);
    }
}
