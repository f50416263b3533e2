<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\ServedGarage;
use App\Equipment\ShippedKinds;
use App\Files\TextInput;
use Harmozon\Core\Catalogue\Catalogue;
use Harmozon\Core\Chain\Conditions;
use Harmozon\Core\Equipment\Outlet;
use Harmozon\Core\Equipment\Vehicle;
use Harmozon\Core\Files\CaseReader;
use Harmozon\Core\Files\EquipmentReader;
use Harmozon\Core\Files\ForecastWriter;
use Harmozon\Core\Files\GarageFile;
use Harmozon\Core\Files\Node;
use Harmozon\Core\Files\ReadingsReader;
use Harmozon\Core\Fit\AdapterPolicy;
use Harmozon\Core\Fit\Fitter;
use Harmozon\Core\Forecast\Forecaster;
use Harmozon\Core\Forecast\Ranking;
use Harmozon\Core\Record\Judge;
use Harmozon\Core\Record\Reading;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Voice;
use Illuminate\Console\Command;

final class BenchCommand extends Command
{
    private const CARS = 12;

    private const OUTLETS = 60;

    private const ADAPTERS = 20;

    private const ROWS_IN_VIEW = 25;

    private const WINDOWS = 60;

    protected $signature = 'harmozon:bench {what=board : board, forecast, ranking, check or garage} {--runs=7} {--rows=1000000 : of the readings file that is checked}';

    protected $description = 'How fast the core answers: a board of 12 cars, 60 outlets and 20 adapters; forecasts; a ranking of 60 outlets; a readings file beside a bare loop over it; a garage of 12 cars, 2,000 outlets and 40 adapters over HTTP';

    public function handle(Catalogue $catalogue, Voice $voice): int
    {
        $garage = $this->garage($catalogue);
        $size = ['cars' => Amount::count(self::CARS), 'outlets' => Amount::count(self::OUTLETS), 'adapters' => Amount::count(self::ADAPTERS)];

        return match ($this->argument('what')) {
            'board' => $this->timed($voice, Message::of('bench.board', ...$size), fn (): int => iterator_count($garage->board()->answers())),
            'forecast' => $this->timed($voice, Message::of('bench.forecasts', ...$size), fn (): int => $this->forecasts($garage)),
            'ranking' => $this->timed($voice, Message::of('bench.ranked'), fn (): int => $this->ranked($garage, $voice)),
            'check' => $this->checked($voice),
            'garage' => $this->served($voice),
            default => $this->refused($voice),
        };
    }

    /** @param  callable(): int  $task  how many it did */
    private function timed(Voice $voice, Message $what, callable $task): int
    {
        $times = [];
        $count = 0;
        foreach (range(1, $this->runs()) as $run) {
            $times[] = self::seconds(static function () use ($task, &$count): void {
                $count = $task();
            }) * 1000;
        }
        sort($times);
        $median = $times[intdiv(count($times), 2)];
        $this->line($voice->say(Message::of(
            'bench.times', what: $what, count: Amount::count($count), median: self::tenths($median), least: self::tenths($times[0]), most: self::tenths($times[count($times) - 1]),
            rate: self::whole($count / $median * 1000), memory: self::peakMegabytes(),
        )));

        return self::SUCCESS;
    }

    /** A readings file judged, and a bare loop that only splits its cells, turn by turn on the same file. */
    private function checked(Voice $voice): int
    {
        $rows = max(1, (int) $this->option('rows'));
        $path = (string) tempnam(sys_get_temp_dir(), 'harmozon');
        try {
            self::write($path, $rows);
            $bare = $judged = [];
            foreach (range(1, min(3, $this->runs())) as $run) {
                $bare[] = self::seconds(static fn () => self::split($path));
                $judged[] = self::seconds(static fn () => self::judge($path));
            }
        } finally {
            unlink($path);
        }
        $this->line($voice->say(Message::of('bench.split', rows: Amount::count($rows), seconds: self::tenths(min($bare)))));
        $this->line($voice->say(Message::of(
            'bench.judged', seconds: self::tenths(min($judged)), times: self::tenths(min($judged) / min($bare)),
            rate: self::whole($rows / min($judged)), memory: self::peakMegabytes(),
        )));

        return self::SUCCESS;
    }

    /** What is in view of a large board, wherever one looks, and how a window is answered that was never asked for. */
    private function served(Voice $voice): int
    {
        $garage = new ServedGarage;
        $outlets = $garage->outlets();
        mt_srand(1);
        $times = [];
        foreach (range(1, self::WINDOWS) as $window) {
            $from = mt_rand(0, count($outlets) - self::ROWS_IN_VIEW);
            $ids = implode(',', array_slice($outlets, $from, self::ROWS_IN_VIEW));
            $times[] = self::seconds(static fn (): string => $garage->get("/api/board?outlets={$ids}")) * 1000;
        }
        sort($times);
        $first = self::seconds(static fn (): string => $garage->get('/api/board?first='.self::ROWS_IN_VIEW)) * 1000;
        $names = self::seconds(static fn (): string => $garage->get('/api/garage')) * 1000;
        $this->line($voice->say(Message::of(
            'bench.served', outlets: Amount::count(count($outlets)), rows: Amount::count(self::ROWS_IN_VIEW), windows: Amount::count(self::WINDOWS), median: self::whole($times[intdiv(count($times), 2)]),
            p95: self::whole($times[(int) ceil(0.95 * count($times)) - 1]), most: self::whole($times[count($times) - 1]), first: self::whole($first), names: self::whole($names),
        )));

        return self::SUCCESS;
    }

    private function refused(Voice $voice): int
    {
        $this->error($voice->say(Message::of('bench.knows')));

        return self::INVALID;
    }

    private function runs(): int
    {
        return max(1, (int) $this->option('runs'));
    }

    private static function tenths(float $value): Amount
    {
        return Amount::asGiven(round($value, 1));
    }

    private static function whole(float $value): Amount
    {
        return Amount::count((int) round($value));
    }

    private static function peakMegabytes(): Amount
    {
        return self::tenths(memory_get_peak_usage() / 1e6);
    }

    private static function seconds(callable $task): float
    {
        $start = hrtime(true);
        $task();

        return (hrtime(true) - $start) / 1e9;
    }

    private static function split(string $path): void
    {
        $stream = fopen($path, 'rb');
        while ($stream !== false && fgetcsv($stream) !== false) {
            // Only the splitting is timed.
        }
    }

    private static function judge(string $path): void
    {
        $case = (new CaseReader)->json((string) file_get_contents(base_path('docs/example.case.json')));
        $judge = new Judge($case->fitter()->answer($case->outlet, $case->vehicle)->best, $case->conditions);
        foreach ((new ReadingsReader)->read(TextInput::lines($path, 'readings')) as $row) {
            if ($row instanceof Reading) {
                $judge->add($row);
            }
        }
        $judge->judgement();
    }

    /** A reading a second of charge, volts, amps and kW that wobble a little; the same every time. */
    private static function write(string $path, int $rows): void
    {
        mt_srand(1);
        $stream = fopen($path, 'wb');
        if ($stream === false) {
            throw new \RuntimeException('the readings to be timed cannot be written');
        }
        fwrite($stream, "t_s,soc_pct,volts,amps,kw\n");
        for ($s = 0; $s < $rows; $s++) {
            $volts = 340 + 20 * $s / $rows + mt_rand(-10, 10) / 10;
            $amps = 250 + mt_rand(-20, 20) / 10;
            fwrite($stream, sprintf("%d,%.1f,%.1f,%.1f,%.1f\n", $s, 10 + 70 * $s / $rows, $volts, $amps, $volts * $amps / 1000));
        }
        fclose($stream);
    }

    /** Every pair of the garage that can be forecast, its gates judged anew each time. */
    private function forecasts(GarageFile $garage): int
    {
        $count = 0;
        $forecaster = Forecaster::sparing();
        foreach ($garage->board()->answers() as $answer) {
            $count += $forecaster->forecast($answer->best, $garage->conditions)->isGiven() ? 1 : 0;
        }

        return $count;
    }

    private function ranked(GarageFile $garage, Voice $voice): int
    {
        $ranking = Ranking::of($garage->outlets, $garage->vehicles[0], new Fitter($garage->adapters, $garage->conditions, $garage->policy));

        return count((new ForecastWriter($voice))->ranking($ranking)['stops']);
    }

    private function garage(Catalogue $catalogue): GarageFile
    {
        $demo = Node::fromJson((string) file_get_contents(database_path('demo/lanternfish.json')))->objects('vehicles');
        $reader = new EquipmentReader;
        $kinds = ShippedKinds::chargers();

        return new GarageFile(
            array_map(static fn (int $i): Vehicle => $reader->vehicle($demo[$i % count($demo)]->object('spec')->with(['id' => "car{$i}", 'name' => "car{$i}"])), range(1, self::CARS)),
            array_slice($catalogue->forSale(), 0, self::ADAPTERS),
            array_map(static fn (int $i): Outlet => $reader->outlet(Node::of($kinds[$i % count($kinds)]['outlet'])->with(['id' => "outlet{$i}", 'name' => "outlet{$i}"])), range(1, self::OUTLETS)),
            AdapterPolicy::Certified,
            new Conditions,
        );
    }
}
