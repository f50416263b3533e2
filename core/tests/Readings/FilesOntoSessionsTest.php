<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Readings;

use Harmozon\Core\Json\Node;
use Harmozon\Core\Readings\ClockStart;
use Harmozon\Core\Readings\Foreign\FileHead;
use Harmozon\Core\Readings\Foreign\Mapping;
use Harmozon\Core\Readings\Foreign\MappingReader;
use Harmozon\Core\Readings\Foreign\Preview;
use Harmozon\Core\Readings\ReadingsReader;
use Harmozon\Core\Readings\RejectedRow;
use Harmozon\Core\Record\Reading;
use Harmozon\Core\Tests\Say;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A readings file laid beside a session: by its clock, or pushed by hand; and what it would bring. */
final class FilesOntoSessionsTest extends TestCase
{
    /** @return iterable<string, array{string, string|null, string, float}> the first row's clock, its format, plugging in, and the seconds between */
    public static function clocks(): iterable
    {
        yield 'a clock of the place, in summer' => ['2026-05-01 10:05:00', null, '2026-05-01T08:00:00Z', 300.0];
        yield 'a clock of the place, in winter' => ['2026-01-05 10:05:00', null, '2026-01-05T09:00:00Z', 300.0];
        yield 'a clock that tells its zone' => ['2026-05-01T10:05:00+03:00', null, '2026-05-01T07:00:00Z', 300.0];
        yield 'a clock in UTC' => ['2026-05-01T07:04:59.5Z', null, '2026-05-01T07:00:00Z', 299.5];
        yield 'written by somebody else' => ['01.05.2026 09:58:00', 'd.m.Y H:i:s', '2026-05-01T08:00:00Z', -120.0];
        yield 'seconds since 1970' => ['1777622700', 'U', '2026-05-01T08:00:00Z', 300.0];
        yield 'an hour without a date' => ['10:05:00', null, '2026-05-01T08:00:00Z', 300.0];
        yield 'an hour without a date, behind midnight' => ['0:10:00', null, '2026-05-01T21:50:00Z', 1200.0];
        yield 'an hour without a date, before midnight' => ['23:50:00', null, '2026-05-01T22:10:00Z', -1200.0];
        yield 'an hour without a date, written by somebody else' => ['10:05', 'H:i', '2026-05-01T08:00:00Z', 300.0];
    }

    #[DataProvider('clocks')]
    public function test_its_clock_tells_when_it_began(string $clock, ?string $format, string $pluggedIn, float $seconds): void
    {
        $reader = new ReadingsReader(self::mapping(['time' => ['column' => 'clock', ...($format === null ? [] : ['format' => $format])]]));
        self::assertNull($reader->clockStart());
        iterator_to_array($reader->read(["clock;kw\n", "{$clock};50\n"]), false);

        self::assertEqualsWithDelta($seconds, $reader->clockStart()?->after(new \DateTimeImmutable($pluggedIn), new \DateTimeZone('Europe/Oslo')), 1e-6);
    }

    public function test_a_file_is_laid_by_its_clock_unless_that_is_of_another_day_or_tells_none(): void
    {
        $plugged = new \DateTimeImmutable('2026-05-01T08:00:00Z');
        $oslo = new \DateTimeZone('Europe/Oslo');
        $at = static fn (float $afterS, bool $hasDate): ClockStart => $hasDate ? new ClockStart(1_777_622_400.0 + $afterS, true, true) : new ClockStart(36_000.0 + $afterS, false, false);

        foreach ([[300.0, 300.0], [-43_200.0, -43_200.0], [43_200.0, 43_200.0], [43_200.5, null], [-43_200.5, null]] as [$afterS, $shiftS]) {
            self::assertSame($shiftS, $at($afterS, true)->shiftS($plugged, $oslo));
            self::assertSame($shiftS ?? 0.0, $at($afterS, true)->usualShiftS($plugged, $oslo));
        }
        // What counts from 0:00:00 may be no clock: it is offered, and not taken unasked.
        self::assertSame([300.0, 0.0], [$at(300.0, false)->shiftS($plugged, $oslo), $at(300.0, false)->usualShiftS($plugged, $oslo)]);
    }

    public function test_a_zone_that_was_told_is_the_files_own(): void
    {
        $reader = new ReadingsReader(self::mapping(['time' => ['column' => 'clock', 'zone' => 'America/Chicago']]));
        iterator_to_array($reader->read(["clock;kw\n", "2026-05-01 03:05:00;50\n"]), false);

        self::assertEquals(new ClockStart(1_777_622_700.0, true, true), $reader->clockStart());
    }

    public function test_a_clock_without_a_date_goes_on_behind_midnight(): void
    {
        $reader = new ReadingsReader(self::mapping(['time' => ['column' => 'clock', 'format' => 'H:i:s']]));
        $rows = iterator_to_array($reader->read(["clock;kw\n", "23:59:30;50\n", "00:00:10;51\n"]), false);

        self::assertSame([0, 40_000], array_map(static fn (mixed $r): ?int => $r instanceof Reading ? $r->tMs : null, $rows));
    }

    /** Pushed back by 90 s, the first two of three rows lie before plugging in. */
    public function test_a_file_is_pushed_and_what_lies_before_plugging_in_is_left_out(): void
    {
        $lines = ["t_s,kw\n", "0,50\n", "89.999,50\n", "90,51\n"];
        $rows = iterator_to_array((new ReadingsReader(null, -90_000))->read($lines), false);

        self::assertSame(['line 2', 'line 3', 0], array_map(static fn (mixed $r): mixed => $r instanceof RejectedRow ? "line {$r->line}" : ($r instanceof Reading ? $r->tMs : null), $rows));
        self::assertSame('t_s: is before plugging in', $rows[0] instanceof RejectedRow ? Say::it($rows[0]->reason) : '');
        $later = iterator_to_array((new ReadingsReader(null, 1_500))->read($lines), false);
        self::assertSame([1_500, 91_499, 91_500], array_map(static fn (mixed $r): ?int => $r instanceof Reading ? $r->tMs : null, $later));
    }

    public function test_what_is_out_of_range_is_told_as_it_was_read(): void
    {
        $mapping = self::mapping(['columns' => ['t' => ['field' => 't_s'], 'I' => ['field' => 'amps', 'unit' => 'mA', 'sign' => -1]]]);
        $rows = iterator_to_array((new ReadingsReader($mapping))->read(["t;I\n", "0;3\n", "1;-3\n"]), false);

        self::assertSame('I: 3, read as -0.003, is outside 0 to 3000 A', $rows[0] instanceof RejectedRow ? Say::it($rows[0]->reason) : '');
        self::assertSame(0.003, $rows[1] instanceof Reading ? $rows[1]->amps : null);
    }

    public function test_a_look_shows_the_first_rows_the_curve_and_what_would_be_left_out(): void
    {
        $lines = ["t_s,kw,adapter_c\n", ...array_map(static fn (int $i): string => "{$i},".(50 + $i / 100).",20\n", range(0, 999)), "x,1,1\n"];
        $look = Preview::of($lines, null, 5_000, 2_000);

        self::assertSame([1_000, 1, true, 8, null], [$look->understood, $look->rejected->count, $look->isWhole, count($look->rows), $look->problem]);
        self::assertSame(5.0, $look->rows[0]->tS());
        self::assertSame([5.0, 50.0], $look->curve['kw'][0]);
        self::assertSame(['kw', 'adapter_c'], array_keys($look->curve));
        $steps = [];
        foreach ($look->curve['kw'] as $i => [$t, $kw]) {
            self::assertEqualsWithDelta(50 + ($t - 5) / 100, $kw, 1e-9);
            $steps[] = $i === 0 ? null : $t - $look->curve['kw'][$i - 1][0];
        }
        self::assertSame([4.0], array_values(array_unique(array_filter($steps, static fn (?float $s): bool => $s !== null))));
        self::assertSame([250, 1001.0], [count($look->curve['kw']), $look->curve['kw'][249][0]]);

        $part = Preview::of($lines, null, 0, 10);
        self::assertSame([10, false], [$part->understood, $part->isWhole]);
    }

    public function test_a_curve_is_thinned_only_once_it_has_more_points_than_are_drawn(): void
    {
        $drawn = static fn (int $rows): int => count(Preview::of(["t_s,kw\n", ...array_map(static fn (int $i): string => "{$i},50\n", range(0, $rows - 1))], null, 0, 2_000)->curve['kw']);

        self::assertSame([399, 400, 201, 201, 400, 201], array_map($drawn, [399, 400, 401, 402, 800, 801]));
    }

    public function test_of_each_column_the_first_three_cells_are_shown(): void
    {
        $head = FileHead::of(["t_s;kw\n", "0;\n", "1;51\n", "2;52\n", "3;53\n", "4;54\n"]);

        self::assertSame([['0', '1', '2'], ['51', '52', '53']], $head->samples);
    }

    public function test_what_cannot_be_read_is_told_and_its_columns_are_shown(): void
    {
        $lines = ["Uhrzeit;P1;T1\n", "01.05.2026 10:00:00;;20\n", "01.05.2026 10:01:00;51,5;21\n"];
        $look = Preview::of($lines, null, 0, 100);
        self::assertNotNull($look->problem);
        $head = FileHead::of($lines);

        self::assertSame([['Uhrzeit', 'P1', 'T1'], [['01.05.2026 10:00:00', '01.05.2026 10:01:00'], ['51,5'], ['20', '21']], ';'], [$head->headers, $head->samples, $head->delimiter]);
    }

    public function test_a_source_is_known_by_its_header_and_not_by_its_rows(): void
    {
        $source = static fn (string ...$lines): string => FileHead::of($lines)->source();

        self::assertSame($source("a;b\n", "1;2\n"), $source("a;b\n", "3;4\n"));
        self::assertNotSame($source("a;b\n"), $source("a;c\n"));
        self::assertNotSame($source("a;b\n"), $source("a,b\n"));
        self::assertSame(FileHead::of(["Temp. \xB0C;b\n"])->headers, ['Temp. °C', 'b']);
    }

    /** @param  array<string, mixed>  $more */
    private static function mapping(array $more): Mapping
    {
        return (new MappingReader)->mapping(Node::fromJson((string) json_encode(['delimiter' => ';', 'columns' => ['kw' => ['field' => 'kw']], ...$more])));
    }
}
