<?php

declare(strict_types=1);

namespace Harmozon\Core\Review;

use Harmozon\Core\Record\VerdictRule;
use Harmozon\Core\Words\Message;

/** What a line of the log says of a session: what it came to, what limited it, and what it proved of an adapter. */
final class LogWords
{
    /** @return list<Message> the most important first, marked first where the chain was advised against */
    public static function of(Recorded $session): array
    {
        $headline = Headline::of($session);
        $against = $session->answer->outcome->mayFlow() ? null : Message::of('headline.against', outcome: $session->answer->word());
        // The mark says it shorter than the finding does.
        $isSaid = $against !== null && $headline->toArray() === VerdictRule::refusal($session->answer)?->toArray();
        $says = [$against, $isSaid ? null : $headline, Headline::limit($session), Proof::carried($session)];

        return array_values(array_filter($says));
    }
}
