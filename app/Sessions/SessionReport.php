<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Models\ChargeSession;
use Harmozon\Core\Answers\CheckWriter;
use Harmozon\Core\Answers\FitWriter;
use Harmozon\Core\Answers\ReviewWriter;
use Harmozon\Core\Equipment\Quantity;
use Harmozon\Core\Record\CompletedReading;
use Harmozon\Core\Record\Judgement;
use Harmozon\Core\Record\Trace;
use Harmozon\Core\Review\DutyStrip;
use Harmozon\Core\Review\LogWords;
use Harmozon\Core\Review\StationMeter;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Voice;

/** Has the core check a stored session, and writes the result in the API's words. */
final class SessionReport
{
    /** The number of points in the log's small curve. */
    private const SPARK_STRETCHES = 24;

    public function __construct(
        private readonly CheckWriter $writer,
        private readonly FitWriter $fit,
        private readonly ReviewWriter $review,
        private readonly Voice $voice,
        private readonly Baselines $baselines,
        private readonly PlateVersions $plates,
    ) {
    }

    /** @return array<string, mixed> what changes with every reading: chain, judgement, curve, what the place counted */
    public function now(ChargeSession $session): array
    {
        return $this->live($session, ...StoredSession::judged($session));
    }

    /** @return array<string, mixed> the same, its review, and what it is held against */
    public function full(ChargeSession $session): array
    {
        $read = StoredSession::of($session);
        $recorded = $read->recorded;
        $live = $this->live($session, $read->chain, $recorded->judgement, $read->trace);

        return [
            ...$live,
            'judgement' => [...$live['judgement'], ...$this->review->diagnosis($recorded->diagnosis)],
            'review' => [
                ...$this->review->told($recorded),
                'duty' => array_map($this->review->duty(...), DutyStrip::each($recorded->diagnosis)),
                'warmth' => $this->review->warmth($recorded),
                'expected' => $this->review->expected($recorded->diagnosis),
            ],
            'instruments' => Instruments::of($session),
            'baselines' => $this->baselines->of($session, $recorded),
            'plates' => $this->plates->of($session),
        ];
    }

    /** @return array{chain: array<string, mixed>, judgement: array<string, mixed>, curve: list<array<string, mixed>>, counted: list<string>} */
    private function live(ChargeSession $session, SessionChain $chain, Judgement $judgement, Trace $trace): array
    {
        return [
            'chain' => $this->fit->chain($chain->answer),
            'judgement' => [...$this->writer->judgement($judgement), 'verdict_words' => $this->voice->begin($judgement->verdict->message())],
            'curve' => array_map(self::point(...), $trace->points()),
            'counted' => $this->voice->each($this->counted($session, $chain, $judgement)->messages()),
        ];
    }

    private function counted(ChargeSession $session, SessionChain $chain, Judgement $judgement): StationMeter
    {
        return new StationMeter(
            $chain->answer->chain->outlet->site->tariff,
            $chain->conditions->visit->member,
            $session->station_kwh,
            $judgement->measured->energy->kwh,
            self::minutes($session, $judgement->measured->count->lastTs),
            $session->paid_amount === null ? null : ['amount' => $session->paid_amount, 'currency' => (string) $session->paid_currency],
        );
    }

    /** A file may cover more time than has passed since the session was created here. */
    private static function minutes(ChargeSession $session, ?float $lastS): ?float
    {
        $hereS = $session->finished_at === null ? null : $session->started_at->diffInSeconds($session->finished_at);

        return $hereS === null && $lastS === null ? null : max($hereS ?? 0.0, $lastS ?? 0.0) / 60;
    }

    /** @return array{string, array<string, mixed>} the verdict, and what a line of the log shows */
    public function summary(StoredSession $read): array
    {
        $judgement = $read->recorded->judgement;
        $measured = $judgement->measured;

        return [$judgement->verdict->value, [
            'finding' => isset($judgement->findings[0]) ? $judgement->findings[0]->toArray() : null,
            'says' => array_map(static fn (Message $m): array => $m->toArray(), LogWords::of($read->recorded)),
            'held_back' => $this->review->line($read->recorded),
            'readings' => $measured->count->all,
            'minutes' => $measured->count->lastTs === null ? null : round($measured->count->lastTs / 60, 1),
            'peak_kw' => FitWriter::rounded($measured->peak(Quantity::Kw)?->value, 1),
            'peak_a' => FitWriter::rounded($measured->peak(Quantity::Amps)?->value, 1),
            'energy_kwh' => FitWriter::rounded($measured->energy->kwh, 1),
            'soc_from' => $measured->energy->firstSoc,
            'soc_to' => $measured->energy->lastSoc,
            'spark' => array_map(static fn (CompletedReading $p): array => [$p->reading->tS(), FitWriter::rounded($p->kw, 1)], $read->trace->thinned(self::SPARK_STRETCHES)->points()),
        ]];
    }

    /** @return array<string, mixed> */
    private static function point(CompletedReading $point): array
    {
        return [
            't_s' => $point->reading->tS(),
            'soc' => $point->reading->socPct,
            'v' => FitWriter::rounded($point->volts, 1),
            'a' => FitWriter::rounded($point->amps, 1),
            'kw' => FitWriter::rounded($point->kw, 1),
        ];
    }
}
