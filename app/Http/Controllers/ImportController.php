<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\BeginImportRequest;
use App\Http\Requests\PieceRequest;
use App\Http\Requests\TellImportRequest;
use App\Imports\ImportState;
use App\Imports\ImportStore;
use App\Imports\RejectedLines;
use App\Imports\WorkerHeartbeat;
use App\Models\ChargeSession;
use App\Models\Reading;
use App\Models\ReadingsImport;
use App\Sessions\JudgeSnapshot;
use Harmozon\Core\Answers\CheckWriter;
use Harmozon\Core\Readings\AmbiguousFile;
use Harmozon\Core\Readings\Foreign\FormatGuess;
use Harmozon\Core\Readings\Foreign\ReadingUnit;
use Harmozon\Core\Readings\ReadingColumns;
use Harmozon\Core\Words\Voice;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** Readings files: they arrive piece by piece, are previewed, and are imported in the background. */
final class ImportController extends Controller
{
    public function __construct(private readonly ImportStore $store, private readonly WorkerHeartbeat $worker)
    {
    }

    public function index(ChargeSession $session): JsonResponse
    {
        return response()->json(['imports' => ReadingsImport::ofSession($session)->map($this->told(...))->values()]);
    }

    public function store(BeginImportRequest $request, ChargeSession $session): JsonResponse
    {
        return response()->json($this->told($this->store->begin($session, $request->string('name')->toString(), $request->integer('bytes'))), 201);
    }

    public function append(PieceRequest $request, ReadingsImport $file): JsonResponse
    {
        return response()->json($this->told($this->store->append($file, $request->from(), $request->piece())));
    }

    public function show(ReadingsImport $file): JsonResponse
    {
        return response()->json($this->told($file));
    }

    public function look(ReadingsImport $file, CheckWriter $writer, Voice $voice): JsonResponse
    {
        $head = $this->store->head($file);
        $look = $this->store->look($file);
        [$clockShiftS, $clockOf] = $this->store->clockShift($file, $look);

        return response()->json([
            'headers' => array_map(static fn (string $header, array $samples): array => ['header' => $header, 'samples' => $samples], $head->headers, $head->samples),
            'delimiter' => $head->delimiter,
            'begun' => $head->begun?->toArray(),
            'fields' => array_map(static fn (string $f): array => ['field' => $f, 'units' => array_column(ReadingUnit::of($f), 'value')], ReadingColumns::fields()),
            'formats' => FormatGuess::formats(),
            'rows' => array_map(static fn ($r): array => ['t_s' => $r->tMs / 1000, ...array_diff_key(Reading::rowOf($r), ['t_ms' => 0])], $look->rows),
            'looked_at' => $look->understood + $look->rejected->count,
            'is_whole' => $look->isWhole,
            'understood' => $look->understood,
            ...$writer->rejected($look->rejected),
            'curve' => (object) $look->curve,
            'clock_shift_s' => $clockShiftS,
            'clock_of' => $clockOf,
            'unused_columns' => $look->unusedColumns,
            'question' => self::question($look->unsure, $voice),
            'problem' => $look->problem === null ? null : $voice->say($look->problem),
        ], 200, [], JSON_PRESERVE_ZERO_FRACTION);
    }

    public function tell(TellImportRequest $request, ReadingsImport $file): JsonResponse
    {
        return response()->json($this->told($this->store->tell($file, $request->mapping(), $request->shiftS(), $request->instrument())));
    }

    public function start(ReadingsImport $file): JsonResponse
    {
        return response()->json($this->told($this->store->start($file)));
    }

    public function stop(ReadingsImport $file): JsonResponse
    {
        return response()->json($this->told($this->store->stop($file)));
    }

    public function destroy(ReadingsImport $file): Response
    {
        $this->store->takeBack($file);

        return response()->noContent();
    }

    /** Every row that was left out, as it is in the file, and why. */
    public function rejected(ReadingsImport $file, RejectedLines $rejected): StreamedResponse
    {
        $lines = $rejected->csv($file);

        return response()->streamDownload(static function () use ($lines): void {
            foreach ($lines as $line) {
                echo $line;
            }
        }, "left-out-{$file->ulid}.csv", ['Content-Type' => 'text/csv; charset=utf-8']);
    }

    /** @return array<string, mixed>|null both ways to read it, each with the mapping that settles it */
    private static function question(?AmbiguousFile $unsure, Voice $voice): ?array
    {
        return $unsure === null ? null : [
            'column' => $unsure->column,
            'example' => $unsure->example,
            'ways' => array_map(static fn (array $way): array => ['words' => $voice->say($way['words']), 'mapping' => $way['mapping']->toArray()], $unsure->ways),
        ];
    }

    private static function isJudged(ReadingsImport $import): bool
    {
        $session = $import->session()->first();

        return ! $session instanceof ChargeSession || JudgeSnapshot::isNear($session);
    }

    /** @return array<string, mixed> */
    private function told(ReadingsImport $import): array
    {
        return [
            'id' => $import->ulid,
            ...$import->only(['name', 'instrument', 'bytes', 'received', 'state', 'mapping', 'mapping_from', 'lines', 'lines_done', 'understood', 'added']),
            'shift_s' => $import->shift_ms / 1000,
            'events_noted' => $import->noted,
            'rejected_count' => $import->rejected,
            'problem' => $import->problem,
            'is_judged' => $import->state !== ImportState::Done->value || self::isJudged($import),
            'worker_seen_s' => $this->worker->ago(),
        ];
    }
}
