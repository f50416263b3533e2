<?php

declare(strict_types=1);

namespace Harmozon\Core\Review\Causes;

use Harmozon\Core\Review\Cause;
use Harmozon\Core\Review\CauseRule;
use Harmozon\Core\Review\Clues;
use Harmozon\Core\Review\Confidence;
use Harmozon\Core\Review\Finding;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;

/** None of the others; says which reading would decide it. */
final class Unexplained implements CauseRule
{
    public function find(Clues $clues): Finding
    {
        $stretch = $clues->stretch;
        $kw = Amount::kw($stretch->kw);

        return new Finding(Cause::Unexplained, Confidence::Low, match (true) {
            ! $stretch->flows() => Message::of('evidence.no_flow', minutes: Amount::minutes($stretch->seconds() / 60)),
            $stretch->kw === null => Message::of('evidence.no_reference_amps', amps: Amount::amps($stretch->amps)),
            $stretch->ratio === null => Message::of('evidence.no_reference', kw: $kw),
            default => Message::of('evidence.unexplained', kw: $kw, share: Amount::ofHundred($stretch->ratio)),
        }, tryNext: $this->tryNext($clues));
    }

    private function tryNext(Clues $clues): Message
    {
        return match (true) {
            ! $clues->stretch->flows() => Message::of('try_next.no_flow'),
            $clues->stretch->ratio === null => Message::of('try_next.no_reference'),
            ! $clues->stretch->isMeasured => Message::of('try_next.read_amps'),
            $clues->answer()->chain->outlet->feed->cabinet !== null && $clues->events === [] => Message::of('try_next.note_neighbour'),
            default => Cause::Unexplained->tryNext(),
        };
    }
}
