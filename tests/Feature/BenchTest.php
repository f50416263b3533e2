<?php

declare(strict_types=1);

namespace Tests\Feature;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Group;
use Symfony\Component\Process\Process;
use Tests\Seed;
use Tests\TestCase;

/** Every bench runs, on little, and prints its figures. How fast it is is no test's business. */
#[Group('slow')]
#[Group('sqlite')]
final class BenchTest extends TestCase
{
    /** @param  list<string>  $little */
    #[DataProvider('benches')]
    public function test_a_bench_prints_its_figures(string $what, array $little, string $says): void
    {
        // One loads the demo itself, as they all do; the others begin with a copy.
        $loaded = $what === 'crowd' ? [] : ['HARMOZON_BENCH_DATABASE' => Seed::Demo->ownCopy()];
        $process = self::bench([$what, ...$little], $loaded);

        self::assertSame(0, $process->getExitCode(), $process->getErrorOutput());
        self::assertMatchesRegularExpression($says, $process->getOutput());
    }

    /** @return iterable<string, array{string, list<string>, string}> */
    public static function benches(): iterable
    {
        foreach ([
            ['board', ['--runs=1'], '/pairs: 720; median [\d.]+ ms .* \d+ a second, peak memory [\d.]+ MB\na bare loop over their shapes: [\d.]+ ms; the board takes [\d.]+ times as long/'],
            ['forecast', ['--runs=1'], '/forecasts from 10 to 80 %: \d+; median/'],
            ['ranking', ['--runs=1'], '/outlets ranked for one car: 60; median/'],
            ['check', ['--runs=1', '--rows=2000'], '/^2,000 rows split by a bare loop of fgetcsv: [\d.]+ s at best\nthe same rows read and checked: .* times as long/'],
            ['import', ['--rows=12000'], '/^12,000 rows of a readings file imported in the background: [\d.]+ s, [\d,]+ rows a second; checked after [\d.]+ s\n/'],
            ['session', ['--rows=300', '--runs=3'], '/^One more reading in a session of 300, over HTTP, 3 times: \d+ ms at the median, .*\nits report, 3 times: .*\nfor comparison/'],
            ['log', ['--sessions=120', '--runs=3'], '/^The newest 100 of \d+ sessions with \d+,\d+ readings, over HTTP: \d+ ms at the median/'],
            ['load', ['--runs=1', '--people=3'], '/^3 people, 40 requests a second, 40 in all, 0 answered wrongly: \d+ ms at the median, .*\n200 readings a second in 50 requests, 0 answered wrongly: .*\nthe same people while 50,000 rows of a readings file come in, 0 answered wrongly: /'],
            ['among', ['--runs=1', '--people=3', '--sessions=20'], '/^3 people, in turn at a site of their own and among 20,000 readings of 500 other garages, 0 answered wrongly: \d+ and \d+ ms at the median, [\d.]+ times as long; /'],
            ['crowd', ['--runs=1'], '/^50 people at once, 50 requests: \d+ a second; /'],
        ] as $bench) {
            yield $bench[0] => $bench;
        }
    }

    public function test_what_is_no_bench_is_refused(): void
    {
        self::assertSame(2, self::bench(['anything'])->getExitCode());
    }

    /**
     * @param  list<string>  $arguments
     * @param  array<string, string>  $settings
     */
    private static function bench(array $arguments, array $settings = []): Process
    {
        $process = new Process([PHP_BINARY, 'artisan', 'harmozon:bench', ...$arguments], base_path(), ['APP_ENV' => 'testing', ...$settings]);
        $process->setTimeout(120)->run();

        return $process;
    }
}
