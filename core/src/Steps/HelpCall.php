<?php

declare(strict_types=1);

namespace Harmozon\Core\Steps;

use Harmozon\Core\Fit\ChainAnswer;
use Harmozon\Core\Words\Listing;
use Harmozon\Core\Words\Message;

/** Whom to call when nothing else helps, and what to say: the place and the stall. */
final class HelpCall
{
    /** @param  string|null  $stall  label of the stall where the driver stands; null when not known */
    public static function call(ChainAnswer $answer, ?string $stall): Message
    {
        $outlet = $answer->chain->outlet;
        if ($outlet->coupler->isSocket()) {
            return Message::of('help.socket');
        }
        $line = $answer->conditions->visit->network($outlet->site->access->network)?->helpLine;
        $where = Listing::comma([
            $outlet->name,
            ...($outlet->site->address === null ? [] : [$outlet->site->address]),
            ...($stall === null ? [] : [Message::of('help.stall', stall: $stall)]),
        ]);

        return $line === null ? Message::of('help.call', where: $where) : Message::of('help.call_line', line: $line, where: $where);
    }
}
