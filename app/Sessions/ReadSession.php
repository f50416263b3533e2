<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Models\ChargeSession;
use App\Models\Reading;
use Harmozon\Core\Record\Event;
use Harmozon\Core\Record\Judge;
use Harmozon\Core\Record\Trace;
use Harmozon\Core\Review\Recorded;

/** A stored session as the core reads it: judged by the plates it keeps, its curve, what was noted. */
final readonly class ReadSession
{
    /** Fewer readings are measured again as quickly as they are remembered. */
    private const WORTH_REMEMBERING = 200;

    private const PATIENCE_S = 600;

    /** @param  list<Event>  $events */
    private function __construct(public SessionChain $chain, public Recorded $recorded, public Trace $trace, public array $events)
    {
    }

    public static function of(ChargeSession $session): self
    {
        // Millions of readings that nobody has judged yet take longer than a page may.
        set_time_limit(self::PATIENCE_S);
        $chain = SessionChain::of($session);
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
        $events = SessionFacts::events($session);

        return new self($chain, Recorded::of($chain->answer, $chain->conditions, $judge->judgement(), $events, $session->stall), $trace, $events);
    }
}
