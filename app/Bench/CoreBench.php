<?php

declare(strict_types=1);

namespace App\Bench;

use App\Drills\PracticeGarage;
use App\Equipment\ShippedKinds;
use Harmozon\Core\Answers\ForecastWriter;
use Harmozon\Core\Bench\ExactInstruments;
use Harmozon\Core\Bench\Simulation;
use Harmozon\Core\Case\CaseReader;
use Harmozon\Core\Case\EquipmentReader;
use Harmozon\Core\Case\GarageFile;
use Harmozon\Core\Catalogue\Catalogue;
use Harmozon\Core\Chain\Conditions;
use Harmozon\Core\Drills\DrillKind;
use Harmozon\Core\Drills\DrillMaker;
use Harmozon\Core\Equipment\Outlet;
use Harmozon\Core\Equipment\Vehicle;
use Harmozon\Core\Fit\AdapterPolicy;
use Harmozon\Core\Fit\Fitter;
use Harmozon\Core\Forecast\Forecaster;
use Harmozon\Core\Forecast\Ranking;
use Harmozon\Core\Json\Node;
use Harmozon\Core\Kit\KitQuestion;
use Harmozon\Core\Kit\PlacedOutlet;
use Harmozon\Core\Kit\SmallestKit;
use Harmozon\Core\Kit\Vetting;
use Harmozon\Core\Kit\VettingAnswers;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Voice;

/** Times the core's answers without a server or a database. */
final readonly class CoreBench
{
    private const CARS = 12;

    private const OUTLETS = 60;

    private const ADAPTERS = 20;

    private const OUTLETS_A_PLACE = 4;

    private GarageFile $garage;

    public function __construct(Catalogue $catalogue, private Voice $voice)
    {
        $demo = Node::fromJson((string) file_get_contents(database_path('demo/lanternfish.json')))->objects('vehicles');
        $reader = new EquipmentReader;
        $kinds = ShippedKinds::chargers();
        $this->garage = new GarageFile(
            array_map(static fn (int $i): Vehicle => $reader->vehicle($demo[$i % count($demo)]->object('spec')->with(['id' => "car{$i}", 'name' => "car{$i}"])), range(1, self::CARS)),
            array_slice($catalogue->forSale(), 0, self::ADAPTERS),
            array_map(static fn (int $i): Outlet => $reader->outlet(Node::of($kinds[$i % count($kinds)]['outlet'])->with(['id' => "outlet{$i}", 'name' => "outlet{$i}"])), range(1, self::OUTLETS)),
            AdapterPolicy::Certified,
            new Conditions,
        );
    }

    /** @return list<Message> the board, and beside it a bare loop that only asks of every pair and piece whether their shapes fit */
    public function board(int $runs): array
    {
        $bare = Timing::of($runs, $this->shapes(...));
        $count = 0;
        $board = Timing::of($runs, function () use (&$count): void {
            $count = iterator_count($this->garage->board()->answers());
        });

        return [
            self::told(Message::of('bench.board', cars: Amount::count(self::CARS), outlets: Amount::count(self::OUTLETS), adapters: Amount::count(self::ADAPTERS)), $count, $board),
            Message::of('bench.shapes', ms: Timing::tenths($bare->median() * 1000), times: Timing::times($board->median(), $bare->median())),
        ];
    }

    /** @return list<Message> the smallest kit for the whole garage, with nothing owned and every adapter for sale */
    public function kit(int $runs): array
    {
        $question = new KitQuestion($this->garage->vehicles, self::placed(), [], $this->garage->adapters, $this->garage->policy, $this->garage->conditions);
        $steps = 0;
        $kit = Timing::of($runs, static function () use ($question, &$steps): void {
            $steps = count(SmallestKit::of($question)->purchases);
        });

        return [$this->vetting($runs), Message::of(
            'bench.kit', cars: Amount::count(self::CARS), outlets: Amount::count(self::OUTLETS), adapters: Amount::count(count($this->garage->adapters)),
            steps: Amount::count($steps), median: $kit->medianMs(), most: $kit->mostMs(), memory: Amount::count(intdiv(memory_get_peak_usage(), 1_000_000)),
        )];
    }

    /** A session of half an hour with a reading each second, as `docs/example.case.json` has it. */
    public function simulation(int $runs): Message
    {
        $case = (new CaseReader)->json((string) file_get_contents(base_path('docs/example.case.json')));
        $answer = $case->fitter()->answer($case->outlet, $case->vehicle)->best;
        $readings = 0;
        $minutes = 0.0;
        $simulation = Timing::of($runs, static function () use ($answer, &$readings, &$minutes): void {
            $session = Simulation::of($answer, 1)->session(new ExactInstruments($answer->chain), 1);
            [$readings, $minutes] = [count($session->readings), $session->minutes];
        });

        return Message::of('bench.simulation', minutes: Amount::minutes($minutes), readings: Amount::count($readings), median: $simulation->medianMs(), most: $simulation->mostMs());
    }

    /** A drill of each kind made and judged, from the demo's own pieces. */
    public function drills(int $runs): Message
    {
        $maker = new DrillMaker(PracticeGarage::madeUp());
        $slowest = 0.0;
        $all = Timing::of($runs, static function () use ($maker, &$slowest): void {
            foreach (DrillKind::cases() as $number => $kind) {
                $startedAt = hrtime(true);
                $maker->drill($kind, $number)?->right();
                $slowest = max($slowest, (hrtime(true) - $startedAt) / 1e6);
            }
        });

        return Message::of('bench.drills', count: Amount::count(count(DrillKind::cases())), median: $all->medianMs(), most: Amount::tenths($slowest));
    }

    /** One adapter looked at before it is bought, with the rest of the kit owned. */
    private function vetting(int $runs): Message
    {
        $question = new KitQuestion($this->garage->vehicles, self::placed(), array_slice($this->garage->adapters, 1), [], $this->garage->policy, $this->garage->conditions);
        $seen = $this->garage->adapters[0];
        $vetting = Timing::of($runs, static fn (): Vetting => Vetting::of($seen, new VettingAnswers, $question));

        return Message::of('bench.vetting', vetting: $vetting->medianMs(), most: $vetting->mostMs());
    }

    /** @return list<PlacedOutlet> the demo's own, whose facts have been read, over and over; four to a place */
    private static function placed(): array
    {
        $read = [];
        foreach (Node::fromJson((string) file_get_contents(database_path('demo/lanternfish.json')))->objects('places') as $place) {
            $read = [...$read, ...$place->objects('outlets')];
        }
        $reader = new EquipmentReader;

        return array_map(static fn (int $i): PlacedOutlet => new PlacedOutlet(
            $reader->outlet($read[$i % count($read)]->object('spec')->with(['id' => "outlet{$i}", 'name' => "outlet{$i}"])), 'place'.intdiv($i, self::OUTLETS_A_PLACE),
        ), range(1, self::OUTLETS));
    }

    private function shapes(): int
    {
        $fits = 0;
        foreach ($this->garage->outlets as $outlet) {
            foreach ($this->garage->vehicles as $vehicle) {
                foreach ($vehicle->inlets as $inlet) {
                    $fits += $inlet->coupler->takes($outlet->coupler) ? 1 : 0;
                    foreach ($this->garage->adapters as $adapter) {
                        $fits += $adapter->input->takes($outlet->coupler) && $inlet->coupler->takes($adapter->output) ? 1 : 0;
                    }
                }
            }
        }

        return $fits;
    }

    /** Every pair of the garage that can be forecast, its gates computed again each time. */
    public function forecasts(int $runs): Message
    {
        return $this->timed(Message::of('bench.forecasts', cars: Amount::count(self::CARS), outlets: Amount::count(self::OUTLETS), adapters: Amount::count(self::ADAPTERS)), $runs, function (): int {
            $count = 0;
            $forecaster = Forecaster::sparing();
            foreach ($this->garage->board()->answers() as $answer) {
                $count += $forecaster->forecast($answer->best, $this->garage->conditions)->isGiven() ? 1 : 0;
            }

            return $count;
        });
    }

    public function ranking(int $runs): Message
    {
        return $this->timed(Message::of('bench.ranked'), $runs, function (): int {
            $ranking = Ranking::of($this->garage->outlets, $this->garage->vehicles[0], new Fitter($this->garage->adapters, $this->garage->conditions, $this->garage->policy));

            return count((new ForecastWriter($this->voice))->ranking($ranking)['stops']);
        });
    }

    /** @param  callable(): int  $task  how many it did */
    private function timed(Message $what, int $runs, callable $task): Message
    {
        $count = 0;
        $timing = Timing::of($runs, static function () use ($task, &$count): void {
            $count = $task();
        });

        return self::told($what, $count, $timing);
    }

    /** @param  int  $count  how many one run did */
    private static function told(Message $what, int $count, Timing $timing): Message
    {
        return Message::of(
            'bench.times', what: $what, count: Amount::count($count),
            median: Timing::tenths($timing->median() * 1000), least: Timing::tenths($timing->least() * 1000), most: Timing::tenths($timing->most() * 1000),
            rate: Timing::whole($count / $timing->median()), memory: Timing::peakMegabytes(),
        );
    }
}
