<?php

declare(strict_types=1);

namespace Harmozon\Core\Readings;

use Harmozon\Core\Record\Event;
use Harmozon\Core\Record\Point;
use Harmozon\Core\Record\Reading;

/** Writes readings and events as a readings file (RFC 4180), safe to open in a spreadsheet; read back they are the same. */
final class ReadingsWriter
{
    private const NUMBERS = ['soc_pct', 'volts', 'amps', 'kw', 'adapter_c', 'handle_c', 'cable_c', 'inlet_c', 'ambient_c'];

    /**
     * @param  iterable<Reading>  $readings  in the order of time
     * @param  list<Event>  $events  in the order of time
     * @return \Generator<int, string> line by line
     */
    public static function lines(iterable $readings, array $events): \Generator
    {
        yield CsvLine::of(['t_s', ...self::NUMBERS, 'source', 'note', 'event']);
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
        $values = [$reading->socPct, $reading->volts, $reading->amps, $reading->kw, ...array_map(static fn (Point $p): ?float => $reading->celsius[$p->value] ?? null, [Point::Adapter, Point::Handle, Point::Cable, Point::Inlet, Point::Ambient])];

        return CsvLine::of([self::number($reading->tMs / 1000), ...array_map(self::number(...), $values), SheetCell::guarded($reading->source ?? ''), SheetCell::guarded($reading->note ?? ''), '']);
    }

    private static function event(Event $event): string
    {
        return CsvLine::of([self::number($event->tMs / 1000), ...array_fill(0, count(self::NUMBERS) + 1, ''), SheetCell::guarded($event->detail ?? ''), $event->code->value]);
    }

    private static function number(?float $value): string
    {
        return $value === null ? '' : (string) json_encode(floor($value) === $value ? (int) $value : $value);
    }
}
