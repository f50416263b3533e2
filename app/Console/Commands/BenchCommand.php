<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Harmozon\Core\Catalogue\Catalogue;
use Harmozon\Core\Chain\Conditions;
use Harmozon\Core\Equipment\Outlet;
use Harmozon\Core\Equipment\Vehicle;
use Harmozon\Core\Files\EquipmentReader;
use Harmozon\Core\Files\ForecastWriter;
use Harmozon\Core\Files\GarageFile;
use Harmozon\Core\Files\Node;
use Harmozon\Core\Fit\AdapterPolicy;
use Harmozon\Core\Fit\Fitter;
use Harmozon\Core\Forecast\Forecaster;
use Harmozon\Core\Forecast\Ranking;
use Illuminate\Console\Command;

final class BenchCommand extends Command
{
    private const CARS = 12;

    private const OUTLETS = 60;

    private const ADAPTERS = 20;

    protected $signature = 'harmozon:bench {what=board : board, forecast or ranking} {--runs=7}';

    protected $description = 'How fast the core answers: a board of 12 cars, 60 outlets and 20 adapters; forecasts; a ranking of 60 outlets';

    public function handle(Catalogue $catalogue): int
    {
        $garage = $this->garage($catalogue);
        $what = $this->argument('what');
        $benchmark = match ($what) {
            'board' => fn (): int => iterator_count($garage->board()),
            'forecast' => fn (): int => $this->forecasts($garage),
            'ranking' => fn (): int => $this->ranked($garage),
            default => null,
        };
        if ($benchmark === null) {
            $this->error('harmozon:bench knows: board, forecast, ranking');

            return self::INVALID;
        }
        $times = [];
        $count = 0;
        foreach (range(1, max(1, (int) $this->option('runs'))) as $run) {
            $start = hrtime(true);
            $count = $benchmark();
            $times[] = (hrtime(true) - $start) / 1e6;
        }
        sort($times);
        $median = $times[intdiv(count($times), 2)];
        $noun = match ($what) {
            'board' => sprintf('%d cars x %d outlets x %d adapters: %d pairs', self::CARS, self::OUTLETS, self::ADAPTERS, $count),
            'forecast' => "{$count} forecasts from 10 to 80 %",
            default => "{$count} outlets ranked for one car",
        };
        $unit = match ($what) {
            'board' => 'pairs',
            'forecast' => 'forecasts',
            default => 'outlets',
        };
        $this->line($noun);
        $this->line(sprintf('median %.1f ms (%.1f to %.1f), %.0f %s per second, peak memory %.1f MB', $median, $times[0], $times[count($times) - 1], $count / $median * 1000, $unit, memory_get_peak_usage() / 1e6));

        return self::SUCCESS;
    }

    /** Every pair of the garage that can be forecast, its gates judged anew each time. */
    private function forecasts(GarageFile $garage): int
    {
        $count = 0;
        $forecaster = Forecaster::sparing();
        foreach ($garage->board() as $answer) {
            $count += $forecaster->forecast($answer, $garage->conditions)->isGiven() ? 1 : 0;
        }

        return $count;
    }

    private function ranked(GarageFile $garage): int
    {
        $ranking = Ranking::of($garage->outlets, $garage->vehicles[0], new Fitter($garage->adapters, $garage->conditions, $garage->policy), $garage->conditions);

        return count((new ForecastWriter)->ranking($ranking)['stops']);
    }

    private function garage(Catalogue $catalogue): GarageFile
    {
        $demo = Node::fromJson((string) file_get_contents(database_path('demo/lanternfish.json')))->objects('vehicles');
        $reader = new EquipmentReader;
        $kinds = Node::fromJson((string) file_get_contents(base_path('core/catalogue/charger-kinds.json')))->objects('kinds');

        return new GarageFile(
            array_map(static fn (int $i): Vehicle => $reader->vehicle($demo[$i % count($demo)]->object('spec')->with(['id' => "car{$i}", 'name' => "car {$i}"])), range(1, self::CARS)),
            array_slice($catalogue->adapters, 0, self::ADAPTERS),
            array_map(static fn (int $i): Outlet => $reader->outlet($kinds[$i % count($kinds)]->object('outlet')->with(['id' => "outlet{$i}", 'name' => "outlet {$i}"])), range(1, self::OUTLETS)),
            AdapterPolicy::Certified,
            new Conditions,
        );
    }
}
