<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Readings;

use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Json\Node;
use Harmozon\Core\Readings\AmbiguousFile;
use Harmozon\Core\Readings\Foreign\FileHead;
use Harmozon\Core\Readings\Foreign\MappingReader;
use Harmozon\Core\Readings\ReadingsReader;
use Harmozon\Core\Readings\RejectedRow;
use Harmozon\Core\Record\Reading;
use Harmozon\Core\Tests\Say;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What stands around and inside a table: lines before it, units, signs, the order of its rows, and what a mapping says of them. */
final class TablesTest extends TestCase
{
    public function test_a_row_of_units_below_names_of_ours_is_read_with_them(): void
    {
        self::assertSame([[0, 400.0, 0.2, 80.0], [60_000, 400.0, 0.2, 80.0]], self::read(['t_s;volts;amps;kw', 's;V;mA;kW', '0;400;200;80', '60;400;200;80']));
        self::assertSame([[0, 400.0, 200.0, 80.0]], self::read(['# by the logger', '', 't_s;volts;amps;kw', '[s];[V];[A];[kW]', '0;400;200;80']));
    }

    public function test_a_name_that_says_one_unit_and_a_row_that_says_another_are_refused(): void
    {
        $this->expectExceptionObject(FieldError::at('readings', \Harmozon\Core\Words\Message::of('readings.two_units', name: 'handle_c', unit: 'degF')));
        self::read(['t_s;kw;handle_c', 's;kW;°F', '0;50;190']);
    }

    public function test_a_unit_beside_a_name_of_ours_and_another_below_it_are_refused_or_left_out(): void
    {
        self::assertStringContainsString('the row below it gives °C', str_replace('degC', '°C', Say::refusal(static fn () => self::read(['t_s;kw;handle (degF)', 's;kW;°C', '0;50;190']))));
        $reader = new ReadingsReader;
        iterator_to_array($reader->read(['Elapsed (s);Power (kW);Current (A)', 's;W;A', '0;50;190']), false);
        self::assertSame(['Power (kW)'], $reader->ignoredColumns());
    }

    public function test_a_row_of_units_may_hold_some_that_are_not_known(): void
    {
        $reader = new ReadingsReader;
        $rows = iterator_to_array($reader->read(['Elapsed;Power;Torque;Current;Strain', 's;W;Nm;hA;', '0;50000;1;2;x', '30;51000;1;2;x']), false);
        self::assertSame([[50.0, null], [51.0, null]], array_map(static fn (Reading|RejectedRow $r): array => $r instanceof Reading ? [$r->kw, $r->amps] : [], $rows));
        self::assertSame(['Torque', 'Current', 'Strain'], $reader->ignoredColumns());

        self::assertStringContainsString('column "kw": its name gives one unit, the row below it gives hp', Say::refusal(static fn () => self::read(['t_s;volts;kw;note', 's;V;hp;words', '0;400;50;a'])));
    }

    public function test_what_settles_a_question_knows_the_lines_around_the_table(): void
    {
        try {
            self::read(['Recorder 4', 't_s;handle (degF);Note;amps;kw', 's;;;mA;kW', '1.000;90;a;200;50', '2.000;91;b;300;51']);
            self::fail('it was read');
        } catch (AmbiguousFile $unsure) {
            self::assertSame([[[1000, 0.2], [2000, 0.3]], [[1_000_000, 0.2], [2_000_000, 0.3]]], array_map(
                static fn (array $way): array => array_map(static fn (array $r): array => [$r[0], $r[2]], self::read(['Recorder 4', 't_s;handle (degF);Note;amps;kw', 's;;;mA;kW', '1.000;90;a;200;50', '2.000;91;b;300;51'], $way['mapping']->toArray())),
                $unsure->ways,
            ));
        }
    }

    public function test_a_row_that_waits_keeps_whatever_stands_in_its_cells(): void
    {
        $rows = iterator_to_array((new ReadingsReader)->read(['t_s;Note;kw', "20;odd\x1Ftext;52", '10;b;51', '0;c;50']), false);

        self::assertSame("odd\x1Ftext", $rows[2] instanceof Reading ? $rows[2]->note : null);
    }

    public function test_a_line_that_tells_what_stands_between_cells_is_heeded_with_and_without_a_mapping(): void
    {
        $lines = ["sep=;\r\n", "t_s;kw\r\n", "0;50,5\r\n", "60;51,5\r\n"];

        self::assertSame([[0, null, null, 50.5], [60_000, null, null, 51.5]], self::read($lines));
        self::assertSame([[0, null, null, 50.5], [60_000, null, null, 51.5]], self::read($lines, ['delimiter' => ';', 'decimal' => ',', 'columns' => ['t_s' => ['field' => 't_s'], 'kw' => ['field' => 'kw']]]));
    }

    public function test_a_mapping_says_all_of_it(): void
    {
        $mapping = [
            'delimiter' => ';', 'decimal' => '.', 'thousands' => ',', 'skip_lines' => 2, 'units_row' => true, 'empty' => ['-999', 'off'],
            'columns' => ['P' => ['field' => 'kw', 'unit' => 'W'], 'A' => ['field' => 'amps']],
            'time' => ['columns' => ['Day', 'Hour'], 'format' => 'd.m.Y H:i:s'],
        ];
        $lines = ['Day;Hour;P;A', 'made by nobody', 'Day;Hour;P;A', ';;W;A', '01.03.2031;10:00:00;50,500;-999', '01.03.2031;10:00:30;51,500;off', '01.03.2031;10:01:00;52,500.5;130'];

        self::assertSame([[0, null, null, 50.5], [30_000, null, null, 51.5], [60_000, null, 130.0, 52.5005]], self::read($lines, $mapping));
        $written = (new MappingReader)->mapping(Node::fromJson((string) json_encode($mapping)))->toArray();
        self::assertEquals($mapping, array_intersect_key($written, $mapping));
        $head = FileHead::of($lines, (new MappingReader)->mapping(Node::fromJson((string) json_encode($mapping))));
        self::assertSame(['Day', 'Hour', 'P', 'A'], $head->headers);
        self::assertSame([['01.03.2031', '01.03.2031', '01.03.2031'], ['50,500', '51,500', '52,500.5']], [$head->samples[0], $head->samples[2]]);
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function refused(): iterable
    {
        yield 'thousands by a letter' => [['thousands' => 'x'], 'thousands'];
        yield 'thousands as decimals' => [['thousands' => '.'], 'thousands'];
        yield 'lines below none' => [['skip_lines' => -1], 'skip_lines'];
        yield 'more lines than are looked at' => [['skip_lines' => 40], 'skip_lines'];
        yield 'units that are no answer' => [['units_row' => 'yes'], 'units_row'];
        yield 'marks that are no list' => [['empty' => 'off'], 'empty'];
        yield 'marks that are no text' => [['empty' => [1]], 'empty'];
        yield 'three columns of time' => [['time' => ['columns' => ['a', 'b', 'c']]], 'time.columns'];
        yield 'columns of time that are no text' => [['time' => ['columns' => ['a', 2]]], 'time.columns'];
    }

    /** @param  array<string, mixed>  $more */
    #[DataProvider('refused')]
    public function test_what_cannot_be_is_refused_by_its_path(array $more, string $path): void
    {
        try {
            (new MappingReader)->mapping(Node::fromJson((string) json_encode(['columns' => ['t_s' => ['field' => 't_s'], 'kw' => ['field' => 'kw']], ...$more])));
            self::fail('it was taken');
        } catch (FieldError $e) {
            self::assertSame($path, $e->path);
        }
    }

    public function test_the_newest_first_is_turned_round_and_a_bad_row_keeps_its_line(): void
    {
        $rows = iterator_to_array((new ReadingsReader)->read(['time,kw', '10:02:00,52', '10:01:30,much', '10:01:00,51', '10:00:00,50']), false);

        self::assertSame([0, 60_000, null, 120_000], array_map(static fn (object $r): ?int => $r instanceof Reading ? $r->tMs : null, $rows));
        self::assertSame(3, $rows[2] instanceof RejectedRow ? $rows[2]->line : null);
        // Minutes that fall tell no more than minutes that rise: 40:00 is no hour.
        self::assertSame([0, 600_000, 2_400_000], array_column(self::read(['Time;Power (kW)', '40:00;52', '10:00;51', '0:00;50']), 0));
        // One row out of its place is no file that is turned round.
        self::assertCount(3, self::read(['t_s,kw', '0,50', '60,51', '30,52']));
    }

    public function test_midnight_turns_nothing_round(): void
    {
        self::assertSame([0, 60_000, 120_000, 180_000], array_column(self::read(['time,kw', '23:59:00,50', '0:00:00,51', '0:01:00,52', '0:02:00,52']), 0));
    }

    public function test_a_late_row_tells_of_the_rows_before_it(): void
    {
        $rows = array_map(static fn (int $i): string => ($i * 10).';'.(50 + $i % 7).'.123', range(1, 900));
        $watts = static fn (string $last): array => ['t_s;Power (W)', ...$rows, "9010;{$last}"];

        self::assertEqualsWithDelta(0.051123, self::read($watts('51.12'))[0][3], 1e-9, 'decimals');
        self::assertEqualsWithDelta(51.123, self::read($watts('51.123,5'))[0][3], 1e-9, 'thousands');
        self::assertEqualsWithDelta(51.123, self::read($watts('998'))[0][3], 1e-9, 'what lies below a thousand has no sign');
        $this->expectException(AmbiguousFile::class);
        self::read($watts('51.125'));
    }

    public function test_each_column_decides_for_itself(): void
    {
        // The quoted column has commas before its decimals, the other points.
        self::assertSame([[0, 400.5, null, 50.25]], self::read(['t_s,volts,kw', '0,"400,5",50.25']));
        // What cannot be a power of thousands of kW is one of decimals.
        self::assertSame([[0, null, null, 50.123]], self::read(['t_s;kw', '0;50.123']));
        // Beside decimal commas a point stands between thousands.
        self::assertSame([[0, 400.5, 1.123, null], [10_000, 400.5, 1.2, null]], self::read(['t_s;volts;amps (mA)', '0;400,5;1.123', '10;400,5;1.200']));
    }

    public function test_a_unit_beside_a_figure_goes_before_that_of_the_header(): void
    {
        self::assertSame([[0, 400.0, 0.5, 50.5]], self::read(['t_s;volts;amps;kw', '0 s;400 V;500 mA;50500 W']));
        self::assertSame(['line 2: kw: "50 V" is not a number'], self::said(['t_s;kw', '0;50 V']));
    }

    public function test_a_line_of_totals_is_named_and_left_out(): void
    {
        self::assertSame(['line 4: a line of totals, not a reading'], self::said(['Time;Power (kW)', '10:00:00;50', '10:01:00;51', 'Summe;101']));
    }

    /**
     * @param  list<string>  $lines
     * @param  array<string, mixed>|null  $mapping
     * @return list<array{int, float|null, float|null, float|null}> ms, V, A, kW
     */
    private static function read(array $lines, ?array $mapping = null): array
    {
        $rows = iterator_to_array((new ReadingsReader($mapping === null ? null : (new MappingReader)->mapping(Node::fromJson((string) json_encode($mapping)))))->read($lines), false);

        return array_values(array_map(static fn (Reading $r): array => [$r->tMs, $r->volts, $r->amps, $r->kw], array_filter($rows, static fn (object $r): bool => $r instanceof Reading)));
    }

    /**
     * @param  list<string>  $lines
     * @return list<string> why rows were left out
     */
    private static function said(array $lines): array
    {
        $rows = iterator_to_array((new ReadingsReader)->read($lines), false);

        return array_values(array_map(static fn (RejectedRow $r): string => "line {$r->line}: ".Say::it($r->reason), array_filter($rows, static fn (object $r): bool => $r instanceof RejectedRow)));
    }
}
