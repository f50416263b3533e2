<?php

declare(strict_types=1);

namespace Harmozon\Core\Review\Causes;

use Harmozon\Core\Review\Cause;
use Harmozon\Core\Review\CauseEvidence;
use Harmozon\Core\Review\CauseRule;
use Harmozon\Core\Review\Confidence;
use Harmozon\Core\Review\Finding;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;

/** None of the others; says which reading would decide it. */
final class Unexplained implements CauseRule
{
    public function find(CauseEvidence $evidence): Finding
    {
        $segment = $evidence->segment;
        $kw = Amount::kw($segment->kw);

        return new Finding(Cause::Unexplained, Confidence::Low, match (true) {
            ! $segment->flows() => Message::of('evidence.no_flow', minutes: Amount::minutes($segment->seconds() / 60)),
            $segment->kw === null => Message::of('evidence.no_reference_amps', amps: Amount::amps($segment->amps)),
            $segment->ratio === null => Message::of('evidence.no_reference', kw: $kw),
            default => Message::of('evidence.unexplained', kw: $kw, share: Amount::ofHundred($segment->ratio)),
        }, tryNext: $this->tryNext($evidence));
    }

    private function tryNext(CauseEvidence $evidence): Message
    {
        return match (true) {
            ! $evidence->segment->flows() => Message::of('try_next.no_flow'),
            $evidence->segment->ratio === null => Message::of('try_next.no_reference'),
            ! $evidence->segment->isMeasured => Message::of('try_next.read_amps'),
            $evidence->answer()->chain->outlet->feed->cabinet !== null && $evidence->events === [] => Message::of('try_next.note_neighbour'),
            default => Cause::Unexplained->tryNext(),
        };
    }
}
