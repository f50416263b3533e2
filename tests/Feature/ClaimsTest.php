<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Bench\Claims;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;
use PHPUnit\Framework\TestCase;

/** Whether a bench is held against what docs/figures.md promises of it. */
final class ClaimsTest extends TestCase
{
    private const TABLE = <<<'MD'
        | what | measured | promised | measured with |
        |---|---|---|---|
        | a board | 30 ms | `median ≤ 40` ms, `rate ≥ 1500` a second | `php artisan harmozon:bench board` |
        | a page | 1 s | 2 s | `npm run first-look` |
        MD;

    public function test_a_figure_at_its_limit_holds_and_one_beyond_it_does_not(): void
    {
        $claims = Claims::in(self::TABLE);
        $broken = static fn (float $median, float $rate): array => array_map(
            static fn (Message $m): string => $m->figures['name'],
            $claims->broken('board', [Message::of('bench.times', median: Amount::asGiven($median)), Message::of('bench.shapes', rate: Amount::asGiven($rate))]),
        );

        self::assertSame(2, $claims->count('board'));
        self::assertSame([], $broken(40, 1500));
        self::assertSame(['median'], $broken(40.1, 1500));
        self::assertSame(['rate'], $broken(0, 1499));
    }

    public function test_a_promise_of_what_the_bench_does_not_measure_is_not_held(): void
    {
        self::assertCount(2, Claims::in(self::TABLE)->broken('board', [Message::of('bench.times', other: Amount::count(1))]));
    }

    public function test_the_first_line_of_a_bench_is_the_one_that_is_promised(): void
    {
        $claims = Claims::in(self::TABLE);
        $lines = [Message::of('bench.reading', median: Amount::count(40), rate: Amount::count(2000)), Message::of('bench.report', median: Amount::count(90))];

        self::assertSame([], $claims->broken('board', $lines));
    }

    public function test_the_readme_promises_something_of_every_bench(): void
    {
        $claims = Claims::in((string) file_get_contents(dirname(__DIR__, 2).'/docs/figures.md'));

        foreach (['board', 'forecast', 'ranking', 'kit', 'check', 'garage', 'session', 'log', 'import', 'crowd'] as $bench) {
            self::assertGreaterThan(0, $claims->count($bench), $bench);
        }
    }
}
