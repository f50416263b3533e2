<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Files\TextInput;
use Harmozon\Core\Json\FieldError;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;

#[Group('once')]
final class TextInputTest extends TestCase
{
    private const CHUNK = 65_536;

    private string $path;

    protected function setUp(): void
    {
        $this->path = (string) tempnam(sys_get_temp_dir(), 'lines');
    }

    protected function tearDown(): void
    {
        unlink($this->path);
    }

    /** @param  list<string>  $lines */
    #[DataProvider('texts')]
    public function test_a_line_ends_as_any_machine_ends_it(string $text, array $lines): void
    {
        self::assertSame($lines, $this->lines($text));
        self::assertSame(count($lines), TextInput::countLines($this->path));
    }

    public function test_lines_are_counted_over_the_edge_of_what_is_read_at_once(): void
    {
        foreach (["\n", "\r\n", "\r"] as $end) {
            foreach ([-1, 0, 1] as $shift) {
                $text = str_repeat('x', 1_048_575 + $shift).$end.'y'.$end;
                self::assertCount(2, $this->lines($text));
                self::assertSame(2, TextInput::countLines($this->path), json_encode($end).$shift);
            }
        }
    }

    /** @return iterable<string, array{string, list<string>}> */
    public static function texts(): iterable
    {
        yield 'line feeds' => ["a\nb\n", ['a', 'b']];
        yield 'no line feed at the end' => ["a\nb", ['a', 'b']];
        yield 'carriage returns' => ["a\rb\r", ['a', 'b']];
        yield 'both' => ["a\r\nb\r\n", ['a', 'b']];
        yield 'mixed' => ["a\r\nb\rc\nd", ['a', 'b', 'c', 'd']];
        yield 'an empty line between' => ["a\n\nb", ['a', '', 'b']];
        yield 'the same with both' => ["a\r\n\r\nb", ['a', '', 'b']];
        yield 'the same with carriage returns' => ["a\r\rb", ['a', '', 'b']];
        yield 'nothing' => ['', []];
        yield 'one empty line' => ["\n", ['']];
    }

    public function test_a_line_end_may_lie_anywhere_between_two_reads(): void
    {
        foreach (["\n", "\r", "\r\n"] as $end) {
            foreach (range(-3, 1) as $shift) {
                $long = str_repeat('x', self::CHUNK + $shift);

                self::assertSame([$long, '', 'b'], $this->lines($long.$end.$end.'b'.$end), bin2hex($end).' at '.$shift);
            }
        }
    }

    public function test_what_never_ends_is_cut_and_nothing_of_it_is_lost(): void
    {
        $endless = str_repeat('0123456789', 250_000);
        $lines = $this->lines($endless."\nb");

        self::assertSame($endless, implode('', array_slice($lines, 0, -1)));
        self::assertSame('b', $lines[count($lines) - 1]);
        self::assertLessThan(1_300_000, max(array_map(strlen(...), $lines)));
    }

    public function test_a_file_that_is_not_there_is_refused_by_its_argument(): void
    {
        $this->expectException(FieldError::class);
        TextInput::lines($this->path.'.missing', 'readings');
    }

    /** @return list<string> */
    private function lines(string $text): array
    {
        file_put_contents($this->path, $text);

        return iterator_to_array(TextInput::lines($this->path, 'readings'), false);
    }
}
