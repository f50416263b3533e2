<?php

declare(strict_types=1);

namespace Harmozon\Core\Review;

use Harmozon\Core\Words\Message;

/** A session's line in the log: its result, what limited it, and what it proved about an adapter. */
final class LogWords
{
    /** @return list<Message> the most important first; a chain that was advised against is marked before the rest */
    public static function of(RecordedSession $session): array
    {
        $against = $session->answer->outcome->mayFlow() ? null : Message::of('headline.against', outcome: $session->answer->word());
        $headline = Headline::of($session);
        // The mark says it shorter than the finding does.
        $isSaid = $headline->code === 'finding.refused_chain';

        return array_values(array_filter([$against, $isSaid ? null : $headline, Headline::limit($session), Proof::carried($session)]));
    }
}
