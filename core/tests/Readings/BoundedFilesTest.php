<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Readings;

use Harmozon\Core\Readings\CsvRecords;
use Harmozon\Core\Readings\Foreign\FileHead;
use Harmozon\Core\Readings\Foreign\Preview;
use Harmozon\Core\Readings\ReadingsReader;
use Harmozon\Core\Readings\RejectedRow;
use Harmozon\Core\Record\Reading;
use Harmozon\Core\Tests\Say;
use PHPUnit\Framework\TestCase;

/** Files that nobody's instrument wrote: what is looked at of them is bounded, and what is wrong is told. */
final class BoundedFilesTest extends TestCase
{
    public function test_a_line_that_no_row_is_as_long_as_spoils_itself_alone(): void
    {
        $rows = iterator_to_array((new ReadingsReader)->read(['t_s,kw', '0,50', '10,"'.str_repeat('""', 40_000), '20,52']));

        self::assertEquals([2, 3, 4], array_keys($rows));
        self::assertInstanceOf(Reading::class, $rows[4]);
        self::assertInstanceOf(RejectedRow::class, $rows[3]);
        self::assertSame('row: this line is longer than 65,536 bytes, too long for a row of readings', Say::it($rows[3]->reason));
    }

    public function test_a_row_of_just_that_length_is_read(): void
    {
        $note = str_repeat('n', CsvRecords::LONGEST_LINE_BYTES - 5);
        $rows = iterator_to_array(new CsvRecords(['t_s,note', "0,50,{$note}"]));
        self::assertSame(['0', '50', $note], $rows[2]);
    }

    public function test_a_header_of_two_megabytes_is_refused_by_its_length(): void
    {
        foreach ([str_repeat('x', 2_000_000), implode(',', range(1, 270_000)), str_repeat('"",', 700_000)] as $header) {
            $look = Preview::of([$header, '1,2'], null, 0, 100);
            self::assertSame('this line is longer than 65,536 bytes, too long for a row of readings', Say::it($look->problem));
            self::assertSame([], FileHead::of([$header, '1,2'])->headers);
        }
    }

    public function test_a_look_ends_after_so_many_lines_and_bytes_whatever_they_hold(): void
    {
        $read = 0;
        $endless = static function (string $line, string $header = 't_s,kw') use (&$read): \Generator {
            $read = 0;
            yield $header;
            while ($read++ < 2_000_000) {
                yield $line;
            }
        };
        foreach (['' => 250_001, "\t \r" => 250_001, '"' => 250_001, str_repeat('1,', 30_000) => 300] as $line => $most) {
            $look = Preview::of($endless($line), null, 0, 90_000);
            self::assertFalse($look->isWhole);
            self::assertLessThanOrEqual($most, $read, json_encode(substr($line, 0, 9)));
        }
        $look = Preview::of($endless('', ''), null, 0, 90_000);
        self::assertSame('the first 250,000 lines hold nothing that can be read', Say::it($look->problem));
        self::assertSame('the file is empty', Say::it(Preview::of(["\n", ' '], null, 0, 90_000)->problem));
    }

    public function test_blank_lines_count_as_lines(): void
    {
        self::assertSame([5, 9], array_keys(iterator_to_array(new CsvRecords(["\n", '', " \t", '', 't_s,kw', '', "\v", '', '0,1']))));
    }
}
