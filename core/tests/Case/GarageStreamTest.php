<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Case;

use Harmozon\Core\Case\GarageStream;
use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Tests\Say;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class GarageStreamTest extends TestCase
{
    private const DOCUMENT = <<<'JSON'
        { "format" : "harmozon/garage", "note": "a \"quoted\" ] } , \\", "vehicles": [{"id": "v", "nested": [[1, [2]], {"a": "}"}]}],
          "sessions": [
            {"id": "s1", "case": {"x": [1, 2]}, "readings": {"columns": ["id", "t_s"], "rows": [
                ["r1", 1],
                ["r\"2 ]", 2.5e1], [], [null]
            ]}, "note": ""},
            {"readings": {"rows": [], "columns": []}, "id": "s2"}, {"id": "s3"}, 7
          ],
          "empty": {}, "last": -1.5 }

        JSON;

    /** @return array<string, array{int}> */
    public static function sizes(): array
    {
        return ['whole' => [100_000], 'by 64' => [64], 'by 7' => [7], 'byte by byte' => [1]];
    }

    /** @param  positive-int  $size */
    #[DataProvider('sizes')]
    public function test_a_document_is_taken_apart_wherever_it_is_cut(int $size): void
    {
        $found = ['row' => [], 'session' => [], 'rest' => []];
        foreach ((new GarageStream(str_split(self::DOCUMENT, $size)))->parts() as [$what, $number, $json]) {
            $found[$what][] = [$number, json_decode($json, true, flags: JSON_THROW_ON_ERROR)];
        }
        self::assertSame([[0, ['r1', 1]], [0, ['r"2 ]', 25.0]], [0, []], [0, [null]]], $found['row']);
        self::assertSame([
            [0, ['id' => 's1', 'case' => ['x' => [1, 2]], 'readings' => ['columns' => ['id', 't_s'], 'rows' => []], 'note' => '']],
            [1, ['readings' => ['rows' => [], 'columns' => []], 'id' => 's2']], [2, ['id' => 's3']], [3, 7],
        ], $found['session']);
        self::assertSame([...json_decode(self::DOCUMENT, true), 'sessions' => []], $found['rest'][0][1]);
    }

    #[TestWith([''])]
    #[TestWith(['[]'])]
    #[TestWith(['{'])]
    #[TestWith(['{"a"}'])]
    #[TestWith(['{"a":}'])]
    #[TestWith(['{"a":1,}'])]
    #[TestWith(['{"a":1} 2'])]
    #[TestWith(['{"a":"open}'])]
    #[TestWith(['{"sessions":[{"id":1]}'])]
    #[TestWith(['{"sessions":[{"readings":{"rows":[[1],]}}]}'])]
    #[TestWith(['{"sessions":[,]}'])]
    #[TestWith(['{"sessions":[{"readings":{"rows":[[1'])]
    #[TestWith(['{a:1}'])]
    public function test_what_is_no_json_is_refused(string $text): void
    {
        foreach ([1, 100] as $size) {
            try {
                foreach ((new GarageStream($text === '' ? [] : str_split($text, $size)))->parts() as [$what, , $json]) {
                    json_decode($json, true, flags: JSON_THROW_ON_ERROR);
                }
                self::fail('it is refused');
            } catch (FieldError $e) {
                self::assertSame('garage: is not valid JSON', Say::it($e->complaint()));
            } catch (\JsonException) {
                self::assertSame(1, 1, 'whoever reads the part refuses it');
            }
        }
    }

    public function test_a_part_that_never_ends_is_refused_before_it_fills_the_memory(): void
    {
        foreach (['{"sessions":[{"readings":{"rows":[["', '{"sessions":[{"readings":{"rows":[[[['] as $begin) {
            $given = 0;
            $endless = static function () use ($begin, &$given): \Generator {
                yield $begin;
                while (true) {
                    $given++;
                    yield str_repeat('x', 10_000);
                }
            };
            try {
                iterator_to_array((new GarageStream($endless()))->parts(), false);
                self::fail('it is refused');
            } catch (FieldError $e) {
                self::assertSame('garage: has one entry longer than 65,536 bytes', Say::it($e->complaint()));
                self::assertLessThan(12, $given);
            }
        }
    }

    public function test_a_row_that_is_too_long_is_refused_also_where_all_of_it_has_come(): void
    {
        $row = static fn (int $items): string => '{"sessions":[{"readings":{"rows":[{"a":['.str_repeat('1,', $items).'1]}]}}]}';
        self::assertCount(3, iterator_to_array((new GarageStream([$row(30_000)]))->parts(), false));
        $this->expectException(FieldError::class);
        iterator_to_array((new GarageStream([$row(40_000)]))->parts(), false);
    }

    public function test_many_rows_take_no_more_memory_than_few(): void
    {
        $rows = static function (int $count): \Generator {
            yield '{"sessions":[{"readings":{"columns":["id"],"rows":[["r",0]';
            for ($i = 0; $i < $count; $i += 1_000) {
                yield str_repeat(',["01ARZ3NDEKTSV4RRFFQ69G5FAV",12.5,50,350.5,100,null,"logger",null]', 1_000);
            }
            yield ']}}]}';
        };
        $before = memory_get_usage();
        $count = $most = 0;
        foreach ((new GarageStream($rows(200_000)))->parts() as [$what]) {
            $count += $what === 'row' ? 1 : 0;
            $most = max($most, memory_get_usage() - $before);
        }
        self::assertSame(200_001, $count);
        self::assertLessThan(2_000_000, $most);
    }
}
