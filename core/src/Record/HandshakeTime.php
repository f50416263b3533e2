<?php

declare(strict_types=1);

namespace Harmozon\Core\Record;

/** Time from plugging in to first power. */
final class HandshakeTime
{
    /**
     * From the last plugging in before the first current to that current.
     *
     * @param  list<Event>  $events  in any order
     * @return float|null seconds; null when one of the two is not known
     */
    public static function seconds(array $events): ?float
    {
        $at = static fn (EventCode $code): array => array_map(static fn (Event $e): int => $e->tMs, array_values(array_filter($events, static fn (Event $e): bool => $e->code === $code)));
        $flows = $at(EventCode::CurrentFlows);
        if ($flows === []) {
            return null;
        }
        $first = min($flows);
        $before = array_filter($at(EventCode::Plugged), static fn (int $tMs): bool => $tMs <= $first);

        return $before === [] ? null : ($first - max($before)) / 1000;
    }
}
