<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Readings;

use Harmozon\Core\Readings\ReadingsReader;
use Harmozon\Core\Readings\ReadingsWriter;
use Harmozon\Core\Record\Event;
use Harmozon\Core\Record\EventCode;
use Harmozon\Core\Record\Reading;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A session as a readings file: safe in a spreadsheet, and the same when it is read again. */
final class ReadingsWriterTest extends TestCase
{
    /** @return iterable<string, array{string, string}> what was typed, and its cell */
    public static function notes(): iterable
    {
        yield 'plain' => ['rain', 'rain'];
        yield 'a formula' => ['=1+1', "'=1+1"];
        yield 'a number with its sign' => ['-3 kW', "'-3 kW"];
        yield 'an apostrophe before a formula' => ["'=1+1", "''=1+1"];
        yield 'an apostrophe' => ["'t was cold", "'t was cold"];
        yield 'a comma and a quote' => ['"A3", wet', '"""A3"", wet"'];
        yield 'a line end' => ["wet\ncold", "\"wet\ncold\""];
    }

    #[DataProvider('notes')]
    public function test_a_note_comes_back_as_it_was_typed(string $note, string $cell): void
    {
        $reading = new Reading(1500, 20.5, 350, null, 50.25, ['adapter' => 41.5], 'logger', $note);
        $text = implode('', iterator_to_array(ReadingsWriter::lines([$reading], []), false));

        [, $row] = explode("\r\n", $text, 2);
        self::assertStringStartsWith('1.5,20.5,350,,50.25,41.5,', $row);
        self::assertStringEndsWith(",logger,{$cell},\r\n", $row);
        self::assertEquals([$reading], self::read($text));
    }

    public function test_readings_and_events_in_the_order_of_time(): void
    {
        $events = [new Event(EventCode::Plugged, 0), new Event(EventCode::FailedStart, 2000, '=phase 3'), new Event(EventCode::NeighbourCame, 9000)];
        $readings = [new Reading(1000, 20, null, null, 50), new Reading(2000, 21, null, null, 51)];
        $back = self::read(implode('', iterator_to_array(ReadingsWriter::lines($readings, $events), false)));

        self::assertEquals([$events[0], $readings[0], $events[1], $readings[1], $events[2]], $back);
    }

    /** @return list<mixed> */
    private static function read(string $text): array
    {
        return array_values(iterator_to_array((new ReadingsReader)->read(preg_split('/(?<=\n)/', $text, flags: PREG_SPLIT_NO_EMPTY) ?: []), false));
    }
}
