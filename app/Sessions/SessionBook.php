<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Equipment\FitQuestion;
use App\Models\ChargeSession;
use App\Models\Reading;
use Harmozon\Core\Chain\Chain;
use Harmozon\Core\Equipment\Adapter;
use Harmozon\Core\Equipment\Outlet;
use Harmozon\Core\Equipment\Vehicle;
use Harmozon\Core\Files\FieldError;
use Harmozon\Core\Files\ReadingsReader;
use Harmozon\Core\Files\RejectedRow;
use Harmozon\Core\Record\Reading as CoreReading;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** Begins sessions, takes their readings and closes them. Writing the same reading twice changes nothing. */
final class SessionBook
{
    private const ROWS_A_WRITE = 200;

    public function __construct(private readonly SessionReport $reports)
    {
    }

    public function begin(FitQuestion $question, Carbon $startedAt, string $note = ''): ChargeSession
    {
        $chain = $question->answer()->best->chain;
        $caseFile = $question->caseFile();
        $used = $chain->adapterIds();
        $caseFile['adapters'] = array_values(array_filter(
            is_array($caseFile['adapters']) ? $caseFile['adapters'] : [],
            static fn (mixed $a): bool => is_array($a) && in_array($a['id'] ?? null, $used, true),
        ));

        return ChargeSession::query()->create([
            'vehicle_id' => $question->vehicle->id,
            'outlet_id' => $question->outlet->id,
            'case_file' => $caseFile,
            'pieces' => self::pieces($chain),
            'chain_adapters' => $used,
            'inlet_index' => $chain->inletIndex,
            'note' => $note,
            'started_at' => $startedAt,
        ]);
    }

    /** @return array{vehicle: array{id: string, name: string}, outlet: array{id: string, name: string}, adapters: list<array{id: string, name: string}>} */
    private static function pieces(Chain $chain): array
    {
        $named = static fn (Vehicle|Outlet|Adapter $piece): array => ['id' => $piece->id, 'name' => $piece->name];

        return ['vehicle' => $named($chain->vehicle), 'outlet' => $named($chain->outlet), 'adapters' => array_map($named, $chain->adapters)];
    }

    /**
     * @param  array<string, CoreReading>  $readings  by the id their taker gave them
     * @return int how many were new
     */
    public function take(ChargeSession $session, array $readings): int
    {
        $this->mustBeOpen($session);

        return DB::transaction(fn (): int => $this->write($session, $readings));
    }

    /**
     * Loads a readings file. Loading the same file again adds nothing.
     *
     * @param  iterable<string>  $lines
     * @param  string  $fingerprint  of the file, so that its rows keep their ids
     */
    public function load(ChargeSession $session, iterable $lines, string $fingerprint): LoadedFile
    {
        $this->mustBeOpen($session);
        $reader = new ReadingsReader;
        $import = strtoupper(substr($fingerprint, 0, 12));

        return DB::transaction(function () use ($session, $lines, $reader, $import): LoadedFile {
            $added = $understood = 0;
            $rejected = $batch = [];
            foreach ($reader->read($lines) as $line => $row) {
                if ($row instanceof RejectedRow) {
                    $rejected[] = $row;

                    continue;
                }
                $understood++;
                $batch[sprintf('F%s%013d', $import, $line)] = $row;
                if (count($batch) === self::ROWS_A_WRITE) {
                    $added += $this->write($session, $batch);
                    $batch = [];
                }
            }
            $added += $this->write($session, $batch);

            return new LoadedFile($import, $understood, $added, $rejected, $reader->ignoredColumns());
        });
    }

    public function forget(ChargeSession $session, string $clientId): int
    {
        $this->mustBeOpen($session);

        return $session->readings()->where('client_id', $clientId)->delete();
    }

    /** Takes back a whole file. */
    public function forgetFile(ChargeSession $session, string $import): int
    {
        $this->mustBeOpen($session);

        return $session->readings()->where('client_id', 'like', 'F'.addcslashes($import, '%_\\').'%')->delete();
    }

    public function finish(ChargeSession $session, ?Carbon $at = null): void
    {
        if ($session->finished_at !== null) {
            return;
        }
        [$verdict, $summary] = $this->reports->summary($session);
        $session->update(['finished_at' => $at ?? Carbon::now(), 'verdict' => $verdict, 'summary' => $summary]);
    }

    public function reopen(ChargeSession $session): void
    {
        $session->update(['finished_at' => null, 'verdict' => null, 'summary' => null]);
    }

    private function mustBeOpen(ChargeSession $session): void
    {
        if ($session->finished_at !== null) {
            throw FieldError::at('session', Message::of('app.session_finished'));
        }
    }

    /** @param  array<string, CoreReading>  $readings */
    private function write(ChargeSession $session, array $readings): int
    {
        $most = config('harmozon.most_readings');
        if (is_int($most) && $session->readings()->count() + count($readings) > $most) {
            throw FieldError::at('readings', Message::of('app.too_many_readings', most: Amount::count($most)));
        }
        $rows = [];
        foreach ($readings as $clientId => $reading) {
            $rows[] = ['garage_id' => $session->garage_id, 'charge_session_id' => $session->id, 'client_id' => (string) $clientId, ...Reading::rowOf($reading)];
        }
        $added = 0;
        foreach (array_chunk($rows, self::ROWS_A_WRITE) as $chunk) {
            $added += Reading::query()->insertOrIgnore($chunk);
        }

        return $added;
    }
}
