<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\LocationsRequest;
use App\Models\NetworkImport;
use App\Models\Outlet;
use App\Models\Place;
use App\Networks\ImportUndo;
use App\Networks\LocationsImport;
use App\Networks\NetworkTerms;
use App\Networks\PlacePlan;
use Harmozon\Core\Ocpi\FigureChange;
use Harmozon\Core\Ocpi\ForeignTerm;
use Harmozon\Core\Ocpi\LocationsFile;
use Harmozon\Core\Ocpi\LocationsReader;
use Harmozon\Core\Ocpi\LocationsWriter;
use Harmozon\Core\Ocpi\OutletChange;
use Harmozon\Core\Ocpi\TariffsReader;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Voice;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Carbon;

final class OcpiController extends Controller
{
    public function __construct(private readonly Voice $voice, private readonly NetworkTerms $terms, private readonly LocationsImport $locations)
    {
    }

    /** Previews what the file would do; stores nothing, not even assigned words. */
    public function preview(LocationsRequest $request): JsonResponse
    {
        $file = $this->file($request);
        $plans = $this->locations->plan($file);

        return response()->json([
            'counts' => LocationsImport::counts($plans),
            'left_out' => $this->voice->each(LocationsImport::leftOut($file, $plans)),
            'places' => array_map($this->place(...), $plans),
            'prices' => ['named' => $file->prices->named, 'found' => $file->prices->found, 'left_open' => $this->voice->each($file->prices->leftOpen)],
            'terms' => array_map(static fn (ForeignTerm $t): array => ['kind' => $t->kind->value, 'theirs' => $t->theirs, 'ours' => $t->ours, 'times' => $t->times], $file->foreign),
        ]);
    }

    /** Imports all places or none. */
    public function import(LocationsRequest $request): JsonResponse
    {
        $file = $this->file($request);
        $import = $this->locations->carryOut($file, $request->terms());

        return response()->json(['import' => $import?->ulid, 'counts' => $import->counts ?? LocationsImport::counts($this->locations->plan($file))]);
    }

    /** The imports that can still be undone, the newest first. */
    public function index(): JsonResponse
    {
        return response()->json(NetworkImport::open()->map(static fn (NetworkImport $i): array => ['id' => $i->ulid, 'at' => $i->created_at->toIso8601ZuluString(), 'counts' => $i->counts]));
    }

    public function undo(string $import, ImportUndo $undo): JsonResponse
    {
        $open = NetworkImport::open();
        $found = $open->firstWhere('ulid', $import) ?? throw (new ModelNotFoundException)->setModel(NetworkImport::class);

        return $found->is($open->first())
            ? response()->json(['kept' => $undo->undo($found->ulid)])
            : response()->json(['message' => $this->voice->say(Message::of('app.undo_newest_first'))], 409);
    }

    public function export(LocationsWriter $writer): JsonResponse
    {
        $written = $writer->write(array_values(Place::inOrder()->map(static fn (Place $p): array => [
            'id' => $p->origin['id'] ?? $p->ulid,
            'party' => $p->origin['party'] ?? '',
            'name' => $p->name,
            'outlets' => array_values($p->outlets->map(static fn (Outlet $o): array => ['id' => $o->ulid, 'spec' => $o->spec])->all()),
        ])->all()));

        return response()->json([...$written, 'left_out' => $this->voice->each($written['left_out'])]);
    }

    private function file(LocationsRequest $request): LocationsFile
    {
        $tariffs = $request->tariffs();
        $prices = $tariffs === null ? null : TariffsReader::read((string) file_get_contents($tariffs->getPathname()), Carbon::now()->toDateTimeImmutable());

        return (new LocationsReader($this->voice))->read((string) file_get_contents($request->upload()->getPathname()), $this->terms->with($request->terms()), $prices);
    }

    /** @return array<string, mixed> */
    private function place(PlacePlan $plan): array
    {
        return [
            'name' => $plan->name,
            'was' => $plan->place?->name,
            'kind' => $plan->kind()->value,
            'outlets' => array_map(self::outlet(...), $plan->outlets),
            'not_understood' => $this->voice->each($plan->file->notUnderstood),
        ];
    }

    /** @return array<string, mixed> */
    private static function outlet(OutletChange $change): array
    {
        $stalls = $change->spec['stalls'] ?? [];

        return [
            'kind' => $change->kind->value,
            'name' => $change->name,
            'stalls' => array_map(static fn (mixed $s): array => [
                'label' => is_array($s) ? ($s['label'] ?? '') : '',
                'evse_id' => is_array($s) ? ($s['evse_id'] ?? null) : null,
                'fault' => is_array($s) ? ($s['fault'] ?? null) : null,
            ], is_array($stalls) ? array_values($stalls) : []),
            'figures' => array_map(static fn (FigureChange $f): array => ['path' => $f->path, 'here' => $f->here, 'file' => $f->file, 'kept' => $f->isKept], $change->figures),
        ];
    }
}
