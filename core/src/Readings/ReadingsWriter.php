<?php

declare(strict_types=1);

namespace Harmozon\Core\Readings;

use Harmozon\Core\Record\Event;
use Harmozon\Core\Record\Reading;

/** Writes readings and events as a readings file (RFC 4180), safe to open in a spreadsheet; read back they are the same. */
final class ReadingsWriter
{
    /**
     * @param  iterable<Reading>  $readings  in the order of time
     * @param  list<Event>  $events  in the order of time
     * @return \Generator<int, string> line by line
     */
    public static function lines(iterable $readings, array $events): \Generator
    {
        yield CsvLine::of(['t_s', ...Reading::quantities(), 'source', 'note', 'event']);
        $next = 0;
        foreach ($readings as $reading) {
            for (; isset($events[$next]) && $events[$next]->tMs <= $reading->tMs; $next++) {
                yield self::event($events[$next]);
            }
            yield self::reading($reading);
        }
        for (; isset($events[$next]); $next++) {
            yield self::event($events[$next]);
        }
    }

    private static function reading(Reading $reading): string
    {
        return CsvLine::of([self::number($reading->tMs / 1000), ...array_map(self::number(...), $reading->values()), SheetCell::guarded($reading->source ?? ''), SheetCell::guarded($reading->note ?? ''), '']);
    }

    private static function event(Event $event): string
    {
        return CsvLine::of([self::number($event->tMs / 1000), ...array_fill(0, count(Reading::quantities()) + 1, ''), SheetCell::guarded($event->detail ?? ''), $event->code->value]);
    }

    private static function number(?float $value): string
    {
        return $value === null ? '' : (string) json_encode(floor($value) === $value ? (int) $value : $value);
    }
}
