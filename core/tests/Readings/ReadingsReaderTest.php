<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Readings;

use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Json\Node;
use Harmozon\Core\Readings\ReadingJsonReader;
use Harmozon\Core\Readings\ReadingsReader;
use Harmozon\Core\Readings\RejectedRow;
use Harmozon\Core\Readings\RejectedRows;
use Harmozon\Core\Record\Reading;
use Harmozon\Core\Tests\Say;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class ReadingsReaderTest extends TestCase
{
    public function test_the_contracts_own_columns(): void
    {
        [$reading] = self::rows("t_s,soc_pct,volts,amps,kw,adapter_c,ambient_c,source,note\n1.5,20,340,250,85,41,19,logger,\"warm, a little\"\n");

        self::assertEquals(new Reading(1500, 20, 340, 250, 85, ['adapter' => 41.0, 'ambient' => 19.0], 'logger', 'warm, a little'), $reading);
    }

    public function test_byte_order_mark_semicolons_decimal_commas_and_windows_line_ends(): void
    {
        [$first, $second] = self::rows("\u{FEFF}t_s;volts;amps\r\n0;340,5;250\r\n\r\n10;341;\r\n");

        self::assertEquals(new Reading(0, volts: 340.5, amps: 250), $first);
        self::assertEquals(new Reading(10_000, volts: 341), $second);
    }

    public function test_tabs_and_columns_nobody_knows(): void
    {
        $reader = new ReadingsReader;
        $rows = iterator_to_array($reader->read(["t_s\tmood\tkw", "0\tfine\t50"]));

        self::assertEquals(new Reading(0, kw: 50), $rows[2]);
        self::assertSame(['mood'], $reader->ignoredColumns());
    }

    public function test_clock_times_count_from_the_first_row_and_pass_midnight(): void
    {
        $times = static fn (string $csv): array => array_map(static fn ($r) => $r instanceof Reading ? $r->tMs / 1000 : Say::it($r->reason), self::rows($csv));

        self::assertEquals([0, 10, 20], $times("time,kw\n23:59:50,1\n0:00:00,1\n0:00:10,1\n"));
        // 30 February is no 2 March.
        self::assertStringStartsWith('time: "2026-02-30 10:00" is not a time: use ISO 8601', $times("time,kw\n2026-03-01 10:00,1\n2026-02-30 10:00,1\n")[1]);
        self::assertEquals([0, 90.5], $times("time,kw\n2026-05-01T10:00:00Z,1\n2026-05-01T12:01:30.5+02:00,1\n"));
        self::assertEquals([0, 'time: "soon" is not a time: use ISO 8601 or h:mm:ss'], $times("time,kw\n0:00,1\nsoon,1\n"));
    }

    public function test_a_bad_row_is_reported_by_its_line_and_the_rest_is_kept(): void
    {
        $rows = self::rows("t_s,soc_pct,volts\n0,10,340\nx,10,340\n2,110,340\n3,10,-1\n4,10,1e999\n5,,\n,10,340\n7,10,340,9\n8,\"10\n20\",340\n9,10,340\n");
        $said = array_map(static fn ($r) => $r instanceof RejectedRow ? $r->line.' '.Say::it($r->reason) : $r->tMs, $rows);

        self::assertSame([
            0,
            '3 t_s: "x" is not a number',
            '4 soc_pct: 110 is outside 0 to 100 %',
            '5 volts: -1 is outside 0 to 2000 V',
            '6 volts: 1e999 is outside 0 to 2000 V',
            '7 row: has no value',
            '8 t_s: is missing',
            '9 row: has more cells than the header',
            "10 soc_pct: \"10\n20\" is not a number",
            9000,
        ], $said);
    }

    public function test_a_million_bad_rows_are_counted_and_the_first_hundred_told(): void
    {
        $rows = (static function (): \Generator {
            yield 't_s,kw';
            for ($i = 0; $i < 30_000; $i++) {
                yield 'x,1';
            }
        })();
        $rejected = new RejectedRows;
        $before = memory_get_usage();
        foreach ((new ReadingsReader)->read($rows) as $row) {
            self::assertInstanceOf(RejectedRow::class, $row);
            $rejected->add($row);
        }

        self::assertSame([30_000, 100, 2, 101], [$rejected->count, count($rejected->first), $rejected->first[0]->line, $rejected->first[99]->line]);
        self::assertLessThan(2_000_000, memory_get_usage() - $before);
    }

    /** @param  list<string>  $says  what becomes of each record, by the number of its first line */
    #[DataProvider('quotes')]
    public function test_no_row_disappears_whatever_the_quoting(string $rows, array $says): void
    {
        $read = iterator_to_array((new ReadingsReader)->read(explode("\n", "t_s,kw,note\n".$rows)));

        self::assertSame($says, array_map(static fn (int $line, Reading|RejectedRow $r): string => $line.' '.($r instanceof Reading ? $r->tMs / 1000 .': '.$r->note : Say::it($r->reason)), array_keys($read), $read));
    }

    /** @return iterable<string, array{string, list<string>}> */
    public static function quotes(): iterable
    {
        $open = 'row: a quotation mark is opened but never closed';
        yield 'a quoted cell' => ["0,1,\"a, b\"\n1,1,c", ['2 0: a, b', '3 1: c']];
        yield 'a doubled quote' => ["0,1,\"5\"\" hose\"\n1,1,c", ['2 0: 5" hose', '3 1: c']];
        yield 'a quote inside a cell' => ["0,1,5\" hose\n1,1,c\n2,1,6\" hose", ['2 0: 5" hose', '3 1: c', '4 2: 6" hose']];
        yield 'a line break in a quoted cell' => ["0,1,\"two\nlines\"\n1,1,c", ["2 0: two\nlines", '4 1: c']];
        yield 'a quote that is never closed' => ["0,1,\"open\n1,1,c\n2,1,d", ["2 {$open}", '3 1: c', '4 2: d']];
        yield 'a quote that the next row seems to close' => ["0,1,\"open\n1,1,b\"\n2,1,c", ["2 {$open}", '3 1: b"', '4 2: c']];
        yield 'two stray quotes with rows between them' => ["0,1,\"open\n1,1,c\n2,1,d\n3,1,\"shut", ["2 {$open}", '3 1: c', '4 2: d', "5 {$open}"]];
        yield 'a quote open at the end' => ["0,1,c\n1,1,\"open", ['2 0: c', "3 {$open}"]];
        yield 'a quote closed after many lines of text' => ['0,1,"x'.str_repeat("\n-", 25)."\"\n1,1,c", ["2 {$open}", ...array_map(static fn (int $l): string => "{$l} t_s: \"-\" is not a number", range(3, 26)), '27 t_s: "-"" is not a number', '28 1: c']];
    }

    #[DataProvider('headers')]
    public function test_a_header_that_cannot_be_used_is_refused(string $csv, string $complaint): void
    {
        self::assertStringContainsString($complaint, Say::refusal(static fn () => self::rows($csv)));
    }

    /** @return iterable<string, array{string, string}> */
    public static function headers(): iterable
    {
        yield 'nothing at all' => ['', 'the file is empty'];
        yield 'no time' => ["volts,amps\n1,2\n", 'needs a column t_s'];
        yield 'no value' => ["t_s,note\n1,x\n", 'has none of'];
        yield 'a column twice' => ["t_s,kw,kw\n1,2,3\n", '"kw" twice'];
    }

    public function test_rows_are_read_one_by_one(): void
    {
        $given = 0;
        $lines = (static function () use (&$given): \Generator {
            yield "t_s,kw\n";
            for ($s = 0; ; $s++) {
                $given++;
                yield "{$s},50\n";
            }
        })();
        foreach ((new ReadingsReader)->read($lines) as $row) {
            self::assertInstanceOf(Reading::class, $row);
            break;
        }
        self::assertLessThanOrEqual(50, $given);
    }

    public function test_blanks_before_a_quote_and_texts_as_long_as_they_may_be(): void
    {
        $long = str_repeat('é', 300);
        [$first, $second, $third] = self::rows("t_s,note,kw\n1, \"two, and\nthree\",5\n2,{$long},6\n3,{$long}x,7\n");

        self::assertInstanceOf(Reading::class, $first);
        self::assertSame(["two, and\nthree", 5.0], [$first->note, $first->kw]);
        self::assertInstanceOf(Reading::class, $second);
        self::assertSame($long, $second->note);
        self::assertInstanceOf(RejectedRow::class, $third);
        self::assertSame('note: is longer than 300 characters', Say::it($third->reason));
        self::assertSame([], (new ReadingsReader)->ignoredColumns());
    }

    public function test_a_typed_reading_has_the_same_limits(): void
    {
        $read = static fn (array $r): Reading => (new ReadingJsonReader)->reading(Node::of($r, 'readings[0]'));

        self::assertEquals(new Reading(90_000, 20, null, 250, null, [], 'typed'), $read(['t_s' => 90, 'soc_pct' => 20, 'amps' => 250, 'volts' => null, 'source' => 'typed']));
        self::assertSame(['adapter' => 41.5, 'ambient' => -3.0], $read(['t_s' => 1, 'adapter_c' => 41.5, 'ambient_c' => -3, 'handle_c' => null])->celsius);
        self::assertSame([40, 300], [mb_strlen((string) $read(['t_s' => 1, 'kw' => 5, 'source' => str_repeat('x', 40)])->source), mb_strlen((string) $read(['t_s' => 1, 'kw' => 5, 'note' => str_repeat('é', 300)])->note)]);
        foreach ([['t_s' => 1, 'kw' => 5, 'source' => str_repeat('x', 41)], ['t_s' => 1, 'kw' => 5, 'note' => str_repeat('x', 301)], ['t_s' => 1], ['kw' => 5], ['t_s' => -1, 'kw' => 5], ['t_s' => 1, 'kw' => 'five'], ['t_s' => 1, 'amps' => 99_999]] as $bad) {
            try {
                $read($bad);
                self::fail('was taken');
            } catch (FieldError $e) {
                self::assertStringStartsWith('readings[0]', $e->path);
            }
        }
    }

    /** @return list<Reading|RejectedRow> */
    private static function rows(string $csv): array
    {
        $lines = $csv === '' ? [] : (preg_split('/(?<=\n)/', $csv) ?: []);

        return array_values(iterator_to_array((new ReadingsReader)->read($lines)));
    }
}
