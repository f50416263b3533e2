<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Json;

use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Json\Node;
use Harmozon\Core\Json\PlainText;
use Harmozon\Core\Json\Range;
use Harmozon\Core\Json\RealDay;
use Harmozon\Core\Tests\Say;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class PlainTextTest extends TestCase
{
    #[TestWith(["Pip\x07pin\x1b[31m", 'Pippin[31m'])]
    #[TestWith(["a\u{202e}b\u{2066}c\u{feff}d\u{85}e", 'abcde'])]
    #[TestWith(["two\nlines\tand a tab", "two\nlines\tand a tab"])]
    #[TestWith(["\u{1F468}\u{200D}\u{1F469}\u{200D}\u{1F467} Æsir नमस्ते", "\u{1F468}\u{200D}\u{1F469}\u{200D}\u{1F467} Æsir नमस्ते"])]
    public function test_what_nobody_sees_goes_and_the_rest_stays(string $typed, string $kept): void
    {
        self::assertSame($kept, PlainText::of($typed));
        self::assertSame($kept, Node::of(['name' => $typed])->text('name'));
    }

    /** @return array<string, array{string}> */
    public static function blanks(): array
    {
        return ['nothing' => [''], 'blanks' => [" \t\n\u{a0}\u{3000}"], 'no width' => ["\u{200b}\u{200d}\u{2060}\u{ad}"], 'an accent alone' => ["\u{301}"], 'fillers' => ["\u{3164}\u{2800}"], 'control characters' => ["\x00\x1b"]];
    }

    #[DataProvider('blanks')]
    public function test_a_name_that_nobody_can_see_is_none(string $typed): void
    {
        self::assertTrue(PlainText::isBlank($typed));
        $this->expectException(FieldError::class);
        Node::of(['name' => $typed])->text('name');
    }

    #[TestWith(['7'])]
    #[TestWith(["\u{1F697}"])]
    #[TestWith(['—'])]
    public function test_what_is_drawn_is_seen(string $typed): void
    {
        self::assertFalse(PlainText::isBlank($typed));
    }

    #[TestWith(['2026-02-28', true])]
    #[TestWith(['2028-02-29T10:00:00Z', true])]
    #[TestWith(['2026-02-29', false])]
    #[TestWith(['2026-02-30 10:00', false])]
    #[TestWith(['2026-13-01', false])]
    #[TestWith(['2026-00-10', false])]
    #[TestWith(['26-02-03', false])]
    public function test_a_day_is_one_of_the_calendar(string $text, bool $isOne): void
    {
        self::assertSame($isOne, RealDay::opens($text));
    }

    public function test_a_number_beyond_all_numbers_is_named(): void
    {
        $node = Node::of(json_decode('{"kwh": 1e400}', true));
        try {
            $node->number('kwh', Range::kwh());
            self::fail('it is refused');
        } catch (FieldError $e) {
            self::assertSame(['kwh', 'field.endless'], [$e->path, $e->problem->code]);
        }
    }

    #[TestWith(['{"x": 2000}', null])]
    #[TestWith(['{"x": 2000.1}', 'x: 2000.1 is outside 0 to 2000 kWh'])]
    #[TestWith(['{"x": [1]}', 'x: expected a number, got a list'])]
    #[TestWith(['{"x": {"a": 1}}', 'x: expected a number, got an object'])]
    #[TestWith(['{"x": true}', 'x: expected a number, got true or false'])]
    public function test_what_stands_there_instead_is_named(string $json, ?string $complaint): void
    {
        $node = Node::fromJson($json);
        self::assertSame(json_decode($json, true), $node->fields());
        try {
            $node->number('x', Range::countedKwh());
            self::assertNull($complaint);
        } catch (FieldError $e) {
            self::assertSame($complaint, Say::it($e->complaint()));
        }
    }
}
