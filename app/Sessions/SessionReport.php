<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Models\ChargeSession;
use App\Models\Reading;
use Harmozon\Core\Equipment\Quantity;
use Harmozon\Core\Files\CheckWriter;
use Harmozon\Core\Files\FitWriter;
use Harmozon\Core\Record\Completed;
use Harmozon\Core\Record\Judge;
use Harmozon\Core\Record\Judgement;
use Harmozon\Core\Record\Trace;
use Harmozon\Core\Review\Counted;
use Harmozon\Core\Words\Voice;

/** Asks the core to judge a stored session, and puts its answer into words of the API. */
final class SessionReport
{
    /** Fewer readings are measured again as quickly as they are remembered. */
    private const WORTH_REMEMBERING = 200;

    /** Stretches of the small curve in the log. */
    private const SPARK_STRETCHES = 24;

    public function __construct(private readonly CheckWriter $writer, private readonly FitWriter $fit, private readonly Voice $voice)
    {
    }

    /** @return array<string, mixed> chain, judgement and curve */
    public function full(ChargeSession $session): array
    {
        $chain = SessionChain::of($session);
        [$judgement, $trace] = $this->read($session, $chain);

        return [
            'chain' => $this->fit->chain($chain->answer),
            'judgement' => [...$this->writer->judgement($judgement), 'verdict_words' => $this->voice->begin($judgement->verdict->message())],
            'curve' => array_map(self::point(...), $trace->points()),
            'counted' => $this->voice->each($this->counted($session, $chain, $judgement)->messages()),
        ];
    }

    private function counted(ChargeSession $session, SessionChain $chain, Judgement $judgement): Counted
    {
        return new Counted(
            $chain->answer->chain->outlet->tariff,
            $chain->conditions->member,
            $session->station_kwh,
            $judgement->measured->energyKwh,
            $session->finished_at === null ? ($judgement->measured->lastTs === null ? null : $judgement->measured->lastTs / 60) : $session->started_at->diffInSeconds($session->finished_at) / 60,
            $session->paid_amount === null ? null : ['amount' => $session->paid_amount, 'currency' => (string) $session->paid_currency],
        );
    }

    /** @return array{string, array<string, mixed>} the verdict, and what a line of the log shows */
    public function summary(ChargeSession $session): array
    {
        $chain = SessionChain::of($session);
        [$judgement, $trace] = $this->read($session, $chain);
        $measured = $judgement->measured;

        return [$judgement->verdict->value, [
            'finding' => isset($judgement->findings[0]) ? $judgement->findings[0]->toArray() : null,
            'readings' => $measured->readings,
            'minutes' => $measured->lastTs === null ? null : round($measured->lastTs / 60, 1),
            'peak_kw' => FitWriter::rounded($measured->peak(Quantity::Kw)?->value, 1),
            'peak_a' => FitWriter::rounded($measured->peak(Quantity::Amps)?->value, 1),
            'energy_kwh' => FitWriter::rounded($measured->energyKwh, 1),
            'soc_from' => $measured->firstSoc,
            'soc_to' => $measured->lastSoc,
            'spark' => array_map(static fn (Completed $p): array => [$p->reading->tS(), FitWriter::rounded($p->kw, 1)], $trace->thinned(self::SPARK_STRETCHES)->points()),
        ]];
    }

    /** @return array{Judgement, Trace} */
    private function read(ChargeSession $session, SessionChain $chain): array
    {
        $judge = new Judge($chain->answer, $chain->conditions);
        [$trace, $lastMs, $lastId] = JudgeMemory::recall($session, $judge);
        $new = 0;
        foreach (Reading::rowsAfter($session, $lastMs, $lastId) as $row) {
            $trace->add($judge->add(Reading::coreOf($row)));
            [$lastMs, $lastId] = [(int) $row->t_ms, (int) $row->id];
            $new++;
        }
        if ($new >= self::WORTH_REMEMBERING) {
            JudgeMemory::keep($session, $judge, $trace, $lastMs, $lastId);
        }

        return [$judge->judgement(), $trace];
    }

    /** @return array<string, mixed> */
    private static function point(Completed $point): array
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
