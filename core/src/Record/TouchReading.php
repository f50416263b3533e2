<?php

declare(strict_types=1);

namespace Harmozon\Core\Record;

use Harmozon\Core\Words\Listing;
use Harmozon\Core\Words\Message;

/**
 * A temperature felt by hand where there is no thermometer: cool, warm or hot, outside, never on metal. It proves nothing
 * and is never turned into degrees.
 */
final class TouchReading
{
    /** A piece that feels hot below this share of its rating has a bad contact. */
    private const SOUND_SHARE = 0.5;

    /** How long a current reading says what a piece carries: contacts take minutes to cool (s). */
    public const LOAD_LASTS_S = 600;

    /**
     * Whether an adapter that felt hot must be looked at before it is used again.
     *
     * @param  float|null  $amps  that it carried; null when not read
     * @param  float|null  $continuousA  of its plate; null when not read
     */
    public static function takesOutOfUse(Event $event, ?float $amps, ?float $continuousA): bool
    {
        return $event->code === EventCode::FeltHot && self::point($event) === Point::Adapter
            && $amps !== null && $continuousA !== null && $amps < self::SOUND_SHARE * $continuousA;
    }

    /**
     * @param  list<Event>  $events
     * @return Message|null a caution that names what felt hot; null where nothing did
     */
    public static function caution(array $events): ?Message
    {
        $hot = [];
        foreach ($events as $event) {
            $point = $event->code === EventCode::FeltHot ? self::point($event) : null;
            if ($point !== null) {
                $hot[$point->value] = $point->message();
            }
        }

        return $hot === [] ? null : Message::of('touch.hot', points: Listing::and(array_values($hot)));
    }

    private static function point(Event $event): ?Point
    {
        return Point::tryFrom(trim($event->detail ?? ''));
    }
}
