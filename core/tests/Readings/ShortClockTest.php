<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Readings;

use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Json\Node;
use Harmozon\Core\Readings\AmbiguousFile;
use Harmozon\Core\Readings\Foreign\MappingReader;
use Harmozon\Core\Readings\ReadingsReader;
use Harmozon\Core\Record\Reading;
use Harmozon\Core\Tests\Say;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A clock in two parts, and names of ours with a unit. */
final class ShortClockTest extends TestCase
{
    /** @return iterable<string, array{list<string>, list<float>}> times, and seconds since the first */
    public static function told(): iterable
    {
        yield 'minutes beyond 23' => [['0:00', '0:30', '39:00'], [0.0, 30.0, 2340.0]];
        // As hours and minutes the hour would fall back once too often: more than a day.
        yield 'longer than a day' => [['1:00', '23:00', '25:30', '26:10'], [0.0, 1320.0, 1470.0, 1510.0]];
        yield 'with seconds' => [['0:00:00', '0:00:30', '0:39:00'], [0.0, 30.0, 2340.0]];
        yield 'with a date' => [['2031-05-02 10:00', '2031-05-02 10:30'], [0.0, 1800.0]];
    }

    /**
     * @param  list<string>  $times
     * @param  list<float>  $seconds
     */
    #[DataProvider('told')]
    public function test_what_tells_how_a_clock_is_written(array $times, array $seconds): void
    {
        self::assertSame($seconds, self::seconds($times));
    }

    public function test_what_nothing_tells_is_asked_with_both_readings_and_the_mapping(): void
    {
        try {
            self::seconds(['0:00', '0:10', '0:50']);
            self::fail('it was taken');
        } catch (FieldError $e) {
            self::assertSame('column "time": 0:50 could be 0 min 50 s or 0 h 50 min; nothing in the file shows which. For 0 min 50 s use the mapping {"delimiter":",","decimal":".","encoding":"utf-8","columns":{"kw":{"field":"kw"}},"time":{"column":"time","format":"m:ss"}}; for 0 h 50 min change it to {"time":{"column":"time","format":"h:mm"}}', Say::it($e->problem));
        }
    }

    /** Nothing is read in one way for its first rows and in another for the rest. */
    public function test_what_nothing_tells_in_more_rows_than_are_kept_is_asked_as_well(): void
    {
        $lines = (static function (): \Generator {
            yield 'time,kw';
            for ($i = 0; $i <= 200_001; $i++) {
                yield '0:10,50';
            }
            yield '75:00,50';
        })();
        $this->expectException(AmbiguousFile::class);
        foreach ((new ReadingsReader)->read($lines) as $row) {
            self::fail('it was taken');
        }
    }

    public function test_a_mapping_settles_it(): void
    {
        $mapped = static fn (string $format): array => self::seconds(['0:00', '0:10', '75:50'], ['columns' => ['kw' => ['field' => 'kw']], 'time' => ['column' => 'time', 'format' => $format]]);

        self::assertSame([[0.0, 10.0, 4550.0], [0.0, 600.0, 273_000.0]], [$mapped('m:ss'), $mapped('h:mm')]);
    }

    /** @return iterable<string, array{string, string, float}> header, cell, °C or A */
    public static function units(): iterable
    {
        yield 'Fahrenheit in brackets' => ['handle (degF)', '190.4', 88.0];
        yield 'Kelvin' => ['Handle [K]', '361.15', 88.0];
        yield 'after an underscore' => ['handle_F', '190.4', 88.0];
        yield 'with its own ending' => ['handle_c (degF)', '190.4', 88.0];
        yield 'Celsius said again' => ['handle, °C', '88', 88.0];
    }

    #[DataProvider('units')]
    public function test_a_name_of_ours_with_a_unit_is_read_with_it(string $header, string $cell, float $celsius): void
    {
        $reader = new ReadingsReader;
        $rows = iterator_to_array($reader->read(["t_s;kw;{$header}", "0;90;{$cell}"]), false);

        self::assertInstanceOf(Reading::class, $rows[0]);
        self::assertEqualsWithDelta($celsius, $rows[0]->celsius['handle'] ?? null, 1e-9);
        self::assertSame([], $reader->ignoredColumns());
    }

    public function test_what_is_not_used_is_named(): void
    {
        $reader = new ReadingsReader;
        $rows = iterator_to_array($reader->read(['t_s,kw,amps_mA,odometer,handle (V),kw (W),adapter', '0,90,400000,12000,3,4,5']), false);

        self::assertSame(['odometer', 'handle (V)', 'kw (W)', 'adapter'], $reader->ignoredColumns());
        self::assertInstanceOf(Reading::class, $rows[0]);
        self::assertSame([400.0, 90.0], [$rows[0]->amps, $rows[0]->kw]);
    }

    /**
     * @param  list<string>  $times
     * @param  array<string, mixed>|null  $mapping
     * @return list<float>
     */
    private static function seconds(array $times, ?array $mapping = null): array
    {
        $reader = new ReadingsReader($mapping === null ? null : (new MappingReader)->mapping(Node::of($mapping)));
        $rows = array_filter(iterator_to_array($reader->read(['time,kw', ...array_map(static fn (string $t): string => "{$t},90", $times)]), false), static fn ($r): bool => $r instanceof Reading);

        return array_map(static fn (Reading $r): float => $r->tMs / 1000, array_values($rows));
    }
}
