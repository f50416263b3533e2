<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Harmozon\Core\Catalogue\Catalogue;
use Harmozon\Core\Catalogue\ChargerKind;
use Harmozon\Core\Chain\Conditions;
use Harmozon\Core\Equipment\Outlet;
use Harmozon\Core\Equipment\Vehicle;
use Harmozon\Core\Files\EquipmentReader;
use Harmozon\Core\Files\GarageFile;
use Harmozon\Core\Files\Node;
use Harmozon\Core\Fit\AdapterPolicy;
use Illuminate\Console\Command;

final class BenchCommand extends Command
{
    private const CARS = 12;

    private const OUTLETS = 60;

    private const ADAPTERS = 20;

    protected $signature = 'harmozon:bench {what=board : board} {--runs=7}';

    protected $description = 'How fast the core answers: a board of 12 cars, 60 outlets and 20 adapters';

    public function handle(Catalogue $catalogue): int
    {
        if ($this->argument('what') !== 'board') {
            $this->error('harmozon:bench knows: board');

            return self::INVALID;
        }
        $garage = $this->garage($catalogue);
        $times = [];
        foreach (range(1, max(1, (int) $this->option('runs'))) as $run) {
            $start = hrtime(true);
            $pairs = iterator_count($garage->board());
            $times[] = (hrtime(true) - $start) / 1e6;
        }
        sort($times);
        $median = $times[intdiv(count($times), 2)];
        $this->line(sprintf('%d cars x %d outlets x %d adapters: %d pairs', self::CARS, self::OUTLETS, self::ADAPTERS, self::CARS * self::OUTLETS));
        $this->line(sprintf('median %.1f ms (%.1f to %.1f), %.0f pairs per second, peak memory %.1f MB', $median, $times[0], $times[count($times) - 1], self::CARS * self::OUTLETS / $median * 1000, memory_get_peak_usage() / 1e6));

        return self::SUCCESS;
    }

    private function garage(Catalogue $catalogue): GarageFile
    {
        $demo = Node::fromJson((string) file_get_contents(database_path('demo/lanternfish.json')))->objects('vehicles');
        $reader = new EquipmentReader;
        $outlets = array_map(static fn (ChargerKind $k): Outlet => $k->outlet, $catalogue->chargers);

        return new GarageFile(
            array_map(static fn (int $i): Vehicle => $reader->vehicle($demo[$i % count($demo)]->object('spec')->with(['id' => "car{$i}", 'name' => "car {$i}"])), range(1, self::CARS)),
            array_slice($catalogue->adapters, 0, self::ADAPTERS),
            array_map(static fn (int $i): Outlet => $outlets[$i % count($outlets)], range(1, self::OUTLETS)),
            AdapterPolicy::Certified,
            new Conditions,
        );
    }
}
