<?php

declare(strict_types=1);

namespace App\Moving;

use App\Database\GivesWay;
use App\Models\ChargeSession;
use App\Models\Garage;
use App\Models\Outlet;
use App\Models\Reading as StoredReading;
use App\Models\Vehicle;
use App\Sessions\Correction;
use App\Sessions\EventRecorder;
use App\Sessions\ReadingRows;
use App\Sessions\SessionChain;
use App\Sessions\SessionFacts;
use App\Sessions\SessionReadings;
use App\Sessions\SessionReport;
use App\Sessions\StoredSession;
use Harmozon\Core\Case\CaseReader;
use Harmozon\Core\Chain\NoSuchInlet;
use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Json\Node;
use Harmozon\Core\Json\Range;
use Harmozon\Core\Readings\EventJsonReader;
use Harmozon\Core\Readings\ReadingJsonReader;
use Harmozon\Core\Record\Event;
use Harmozon\Core\Record\Reading;
use Harmozon\Core\Record\Verdict;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;
use Illuminate\Support\Facades\DB;

/** Imports the sessions of a garage's document. One that differs here is left, unless it is to be replaced. */
final class SessionsImport
{
    public const MOST = 20_000;

    private const LONGEST_ID = 26;

    private const LONGEST_NAME = 200;

    private const ROWS_A_WRITE = 4_000;

    /** While people write as well: so long they wait for one write. */
    private const ROWS_BESIDE_OTHERS = 400;

    /** A file may name its source at greater length than a person may type. */
    private const LONGEST_SOURCE = 300;

    public function __construct(private readonly SessionReport $reports, private readonly EventJsonReader $events, private readonly GivesWay $courtesy)
    {
    }

    /**
     * Reads every session without storing any.
     *
     * @throws FieldError
     */
    public function check(SplitDocument $document): void
    {
        $seen = [];
        foreach ($document->sessions() as $i => $session) {
            $columns = $this->columns($session);
            if (isset($seen[$columns['ulid']])) {
                throw $session->fail('id', Message::of('field.twice', id: $session->text('id')));
            }
            $seen[$columns['ulid']] = true;
            $this->noted($session);
            self::guard($session, static fn (): SessionChain => SessionChain::of(new ChargeSession($columns)));
            foreach ($this->readings($document, $i, $session) as $reading) {
                // Each complains of itself.
            }
        }
    }

    /**
     * Writes new sessions where nobody sees them yet, part by part so that others can write in between.
     *
     * @param  array<string, true>  $pieces  ids of cars and outlets that are here, or come with the document
     * @param  \Closure(int): void  $told  of each part that was written, by its readings
     * @return list<ArrivingSession> those that become visible when all is there
     */
    public function arrive(SplitDocument $document, Garage $garage, bool $replaces, ImportResult $moved, array $pieces, \Closure $told): array
    {
        $arrived = [];
        try {
            foreach ($document->sessions() as $i => $node) {
                $columns = $this->columns($node);
                $stands = ['vehicle' => self::known($node->textOrNull('vehicle'), $pieces), 'outlet' => self::known($node->textOrNull('outlet'), $pieces)];
                $stoodAs = ArrivingSession::state(is_string($columns['ulid']) ? $columns['ulid'] : '');
                $here = ChargeSession::withTrashed()->where('ulid', $columns['ulid'])->first();
                $isHere = $here instanceof ChargeSession && ! $here->trashed();
                if ($isHere && self::fingerprint(SessionDocument::parts($here)) === $this->fingerprintOf($document, $i, $node, $columns, $stands)) {
                    $moved->same++;
                } elseif ($isHere && ! $replaces) {
                    $moved->kept[] = $columns['pieces']['vehicle']['name'].' · '.$columns['pieces']['outlet']['name'];
                } else {
                    $isHere ? $moved->replaced++ : $moved->added++;
                    $arrived[] = $arrival = ArrivingSession::of($columns, $stands, $here instanceof ChargeSession ? $here : null, $i, $stoodAs);
                    $this->fill($arrival, $document, $node, $garage, $told);
                }
            }
        } catch (\Throwable $e) {
            self::leave($arrived);
            throw $e;
        }

        return $arrived;
    }

    /**
     * Makes the new sessions visible, in place of those they replace.
     *
     * @param  list<ArrivingSession>  $arrived
     */
    public function settle(SplitDocument $document, array $arrived): void
    {
        $vehicles = Vehicle::query()->pluck('id', 'ulid')->all();
        $outlets = Outlet::query()->pluck('id', 'ulid')->all();
        foreach ($arrived as $arrival) {
            $arrival->settle($vehicles[$arrival->stands['vehicle']] ?? null, $outlets[$arrival->stands['outlet']] ?? null);
        }
        $ids = ChargeSession::query()->pluck('id', 'ulid')->all();
        foreach ($arrived as $arrival) {
            foreach ($document->session($arrival->number)->texts('baselines') ?? [] as $baseline) {
                $baseline = GarageImport::ulid("sessions/{$baseline}", $baseline);
                if (isset($ids[$baseline]) && $baseline !== $arrival->ulid) {
                    DB::table('session_baselines')->insertOrIgnore(['charge_session_id' => $ids[$arrival->ulid], 'baseline_id' => $ids[$baseline]]);
                }
            }
        }
    }

    /**
     * Drops sessions that weren't imported after all.
     *
     * @param  list<ArrivingSession>  $arrived
     */
    public static function leave(array $arrived): void
    {
        foreach ($arrived as $arrival) {
            PermanentDeletion::session($arrival->session->id);
        }
    }

    /** @param  \Closure(int): void  $told */
    private function fill(ArrivingSession $arrival, SplitDocument $document, Node $node, Garage $garage, \Closure $told): void
    {
        $session = $arrival->session;
        $batch = [];
        foreach ($this->readings($document, $arrival->number, $node) as $id => $reading) {
            $batch[(string) $id] = $reading;
            if (count($batch) >= ($this->courtesy->areOthersAbout() ? self::ROWS_BESIDE_OTHERS : self::ROWS_A_WRITE)) {
                $began = microtime(true);
                DB::transaction(static fn (): int => ReadingRows::insert($session, $batch));
                $told(count($batch));
                $this->courtesy->afterWriting(microtime(true) - $began);
                $batch = [];
            }
        }
        DB::transaction(function () use ($session, $batch, $node, $garage): void {
            ReadingRows::insert($session, $batch);
            $session->update(['held' => StoredReading::countOf($session)]);
            foreach ($this->noted($node) as [$id, $event, $tookOut]) {
                $session->events()->create(['garage_id' => $garage->id, 'client_id' => $id, 'code' => $event->code, 't_ms' => $event->tMs, 'detail' => $event->detail, 'took_out' => $tookOut]);
            }
        });
        $told(count($batch));
        if ($session->finished_at !== null) {
            $read = StoredSession::of($session->refresh());
            // The verdict stays as it was given; the rest of its line in the log is computed.
            $session->update(['summary' => $this->reports->summary($read)[1]]);
            SessionFacts::keep($session, $read->recorded);
        }
    }

    /** @param  array<string, true>  $pieces */
    private static function known(?string $id, array $pieces): ?string
    {
        return $id !== null && isset($pieces[$id]) ? $id : null;
    }

    /** @return array<string, mixed> of the table, without the pieces that are here */
    private function columns(Node $node): array
    {
        $started = Correction::moment($node, 'started_at') ?? throw $node->fail('started_at', Message::of('field.required'));
        $finished = Correction::moment($node, 'finished_at');
        if ($finished !== null && $finished->isBefore($started)) {
            throw $node->fail('finished_at', Message::of('app.before_start'));
        }
        $verdict = $node->choice('verdict', Verdict::class);
        if (($verdict === null) !== ($finished === null)) {
            throw $node->fail('verdict', Message::of('app.verdict_of_finished'));
        }

        return [
            'ulid' => GarageImport::ulid('sessions/'.$node->text('id'), $node->text('id')),
            'started_at' => $started,
            'finished_at' => $finished,
            'verdict' => $verdict?->value,
            'judged_at' => Correction::moment($node, 'judged_at'),
            'case_file' => self::case($node, 'case'),
            'judged_before' => self::before($node),
            'pieces' => self::pieces($node->object('pieces')),
            'chain_adapters' => $node->texts('chain_adapters') ?? [],
            'inlet_index' => $node->wholeNumber('inlet_index', 0, 100) ?? throw $node->fail('inlet_index', Message::of('field.required')),
            'stall' => $node->textOrNull('stall', Correction::LONGEST_LABEL),
            'note' => $node->raw('note') === '' ? '' : $node->textOrNull('note', Correction::LONGEST_NOTE) ?? '',
            'station_kwh' => $node->number('station_kwh', Range::countedKwh()),
            ...Correction::paid($node),
        ];
    }

    /** @return array<string, mixed> as it is there, once read and valid */
    private static function case(Node $node, string $key): array
    {
        $case = $node->object($key);
        self::guard($case, static fn () => (new CaseReader)->case($case));
        $plates = json_decode((string) json_encode(SessionDocument::plates(json_decode((string) json_encode($case->fields()), false))), true);

        return is_array($plates) ? $plates : [];
    }

    /** @return array{case_file: array<string, mixed>, verdict: string|null, judged_at: string|null}|null */
    private static function before(Node $node): ?array
    {
        $before = $node->objectOrNull('judged_before');

        return $before === null ? null : ['case_file' => self::case($before, 'case'), 'verdict' => $before->choice('verdict', Verdict::class)?->value, 'judged_at' => Correction::moment($before, 'judged_at')?->toIso8601ZuluString()];
    }

    /** @return array{vehicle: array{id: string, name: string}, outlet: array{id: string, name: string}, adapters: list<array{id: string, name: string}>} */
    private static function pieces(Node $node): array
    {
        $named = static fn (Node $n): array => ['id' => $n->text('id'), 'name' => $n->textOrNull('name', self::LONGEST_NAME) ?? $n->text('id')];

        return ['vehicle' => $named($node->object('vehicle')), 'outlet' => $named($node->object('outlet')), 'adapters' => array_map($named, $node->objectsOrNone('adapters'))];
    }

    /** @return list<array{string, Event, array<string, bool|null>|null}> */
    private function noted(Node $node): array
    {
        $noted = [];
        foreach ($node->objectsOrNone('events', EventRecorder::MOST) as $event) {
            $tookOut = $event->objectOrNull('took_out')?->fields();
            foreach ($tookOut ?? [] as $was) {
                if ($was !== null && ! is_bool($was)) {
                    throw $event->fail('took_out', Message::of('app.not_true_or_false'));
                }
            }
            $id = $event->textOrNull('id', self::LONGEST_ID) ?? throw $event->fail('id', Message::of('field.required'));
            $noted[] = [$id, $this->events->event($event), $tookOut];
        }
        if (count(array_unique(array_column($noted, 0))) !== count($noted)) {
            throw $node->fail('events', Message::of('app.same_id_twice'));
        }

        /** @var list<array{string, Event, array<string, bool|null>|null}> $noted */
        return $noted;
    }

    /** @return \Generator<string, Reading> by id */
    private function readings(SplitDocument $document, int $number, Node $node): \Generator
    {
        $readings = $node->objectOrNull('readings');
        $columns = $readings?->texts('columns') ?? [];
        $readings?->list('rows');
        $count = $document->rowCount($number);
        if ($count > SessionReadings::most()) {
            throw FieldError::at($node->at('readings.rows'), Message::of('field.too_many', most: Amount::count(SessionReadings::most())));
        }
        if ($count > 0 && (array_diff($columns, SessionDocument::columns()) !== [] || count(array_unique($columns)) !== count($columns) || ! in_array('id', $columns, true))) {
            throw FieldError::at($node->at('readings.columns'), Message::of('app.reading_columns'));
        }
        $reader = new ReadingJsonReader(self::LONGEST_SOURCE);
        $seen = [];
        foreach ($document->rows($number) as $i => $row) {
            $at = $node->at("readings.rows[{$i}]");
            if (! is_array($row) || count($row) !== count($columns)) {
                throw FieldError::at($at, Message::of('app.reading_cells', count: Amount::count(count($columns))));
            }
            $read = Node::of(array_combine($columns, $row), $at);
            $id = $read->textOrNull('id', self::LONGEST_ID) ?? throw $read->fail('id', Message::of('field.required'));
            // A number for each: a million texts would take too much memory.
            $print = (int) hexdec(substr(hash('xxh64', $id), 0, 15));
            if (isset($seen[$print])) {
                throw $read->fail('id', Message::of('field.twice', id: $id));
            }
            $seen[$print] = true;
            yield $id => $reader->reading($read);
        }
    }

    /** @param  \Closure(): mixed  $read  whose complaints lack its path */
    private static function guard(Node $node, \Closure $read): void
    {
        try {
            $read();
        } catch (FieldError $e) {
            throw str_starts_with($e->path, $node->path) ? $e : FieldError::at($node->at($e->path), $e->problem);
        } catch (NoSuchInlet) {
            throw $node->fail('inlet_index', Message::of('app.no_such_inlet'));
        }
    }

    /**
     * The fingerprint of the session as it would be exported from here.
     *
     * @param  array<string, mixed>  $columns
     * @param  array{vehicle: string|null, outlet: string|null}  $stands
     */
    private function fingerprintOf(SplitDocument $document, int $number, Node $node, array $columns, array $stands): string
    {
        $ids = array_map(static fn (string $id): string => GarageImport::ulid("sessions/{$id}", $id), $node->texts('baselines') ?? []);
        $baselines = ChargeSession::query()->whereIn('ulid', $ids)->orderBy('ulid')->pluck('ulid')->all();
        $events = array_map(static fn (array $e): array => SessionDocument::event(...$e), $this->noted($node));

        return self::fingerprint(SessionDocument::text(new ChargeSession($columns), $stands, $baselines, $events, $this->readings($document, $number, $node)));
    }

    /** @param  iterable<string>  $parts */
    private static function fingerprint(iterable $parts): string
    {
        $hash = hash_init('sha256');
        foreach ($parts as $part) {
            hash_update($hash, $part);
        }

        return hash_final($hash);
    }
}
