<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Models\ChargeSession;
use App\Models\Reading;
use Harmozon\Core\Record\Event;
use Harmozon\Core\Record\Judge;
use Harmozon\Core\Record\Judgement;
use Harmozon\Core\Record\Trace;
use Harmozon\Core\Review\RecordedSession;

/** A stored session as the core reads it: checked against the ratings kept with it, its curve, its events. */
final readonly class StoredSession
{
    /** From this many readings on a snapshot saves time. */
    private const WORTH_REMEMBERING = 200;

    private const PATIENCE_S = 600;

    /** @param  list<Event>  $events */
    private function __construct(public SessionChain $chain, public RecordedSession $recorded, public Trace $trace, public array $events)
    {
    }

    public static function of(ChargeSession $session): self
    {
        [$chain, $judgement, $trace] = self::judged($session);
        $events = SessionFacts::events($session);

        return new self($chain, RecordedSession::of($chain->answer, $chain->conditions, $judgement, $events, $session->stall), $trace, $events);
    }

    /**
     * The check of its readings without the diagnosis, which is needed less often.
     *
     * @return array{SessionChain, Judgement, Trace}
     */
    public static function judged(ChargeSession $session): array
    {
        // Millions of readings that nobody has judged yet take longer than a page may.
        if ((int) ini_get('max_execution_time') > 0) {
            set_time_limit(self::PATIENCE_S);
        }
        $chain = SessionChain::of($session);
        $judge = new Judge($chain->answer, $chain->conditions);
        [$trace, $lastMs, $lastId] = JudgeSnapshot::recall($session, $judge);
        $new = 0;
        foreach (Reading::rowsAfter($session, $lastMs, $lastId) as $row) {
            $trace->add($judge->add(Reading::coreOf($row)));
            [$lastMs, $lastId] = [(int) $row->t_ms, (int) $row->id];
            $new++;
        }
        if ($new >= self::WORTH_REMEMBERING) {
            JudgeSnapshot::keep($session, $judge, $trace, $lastMs, $lastId);
        }

        return [$chain, $judge->judgement(), $trace];
    }
}
