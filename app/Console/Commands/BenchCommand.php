<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Bench\AmongBench;
use App\Bench\BoardBench;
use App\Bench\CheckBench;
use App\Bench\Claims;
use App\Bench\CoreBench;
use App\Bench\CrowdBench;
use App\Bench\ImportBench;
use App\Bench\LoadBench;
use App\Bench\LogBench;
use App\Bench\Mix;
use App\Bench\SessionBench;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Voice;
use Illuminate\Console\Command;

final class BenchCommand extends Command
{
    protected $signature = 'harmozon:bench {what=board : board, forecast, ranking, kit, simulate, drill, check, garage, session, log, import, crowd, load or among}
        {--held : fail where docs/figures.md promises more than was measured}
        {--runs= : how often; 7 of board, forecast, ranking, kit, simulate and drill, 3 of check, 60 of garage, 100 of session, 40 of log, 20 of crowd; seconds of load and among, 20}
        {--site= : of load: the address of a served site with the garage of the demo; a server of its own without it}
        {--rows= : of the readings file; 1,000,000 of check and import, 86,400 of session}
        {--sessions= : of the log, 5,000, each with 1,000 readings; of among: as many of 500 other garages}
        {--people=50 : of load and among}';

    protected $description = 'How fast it is. The core: a board of 12 cars, 60 outlets and 20 adapters; forecasts; a ranking; the smallest kit; a simulated session; a readings file beside a bare loop over it. Over HTTP, with a server of its own: a garage of 2,000 outlets; one more reading in a long session; a long log; a file taken in the background; fifty people at once, also beside 5,000,000 readings of 500 other garages';

    public function handle(CoreBench $core, Voice $voice): int
    {
        $what = is_string($this->argument('what')) ? $this->argument('what') : '';
        $lines = match ($what) {
            'board' => $core->board($this->number('runs', 7)),
            'forecast' => [$core->forecasts($this->number('runs', 7))],
            'ranking' => [$core->ranking($this->number('runs', 7))],
            'kit' => $core->kit($this->number('runs', 7)),
            'simulate' => [$core->simulation($this->number('runs', 7))],
            'drill' => [$core->drills($this->number('runs', 7))],
            'check' => CheckBench::run($this->number('rows', 1_000_000), $this->number('runs', 3)),
            'garage' => [BoardBench::run($this->number('runs', 60))],
            'session' => SessionBench::run($this->number('rows', 86_400), $this->number('runs', 100)),
            'log' => [LogBench::run($this->number('sessions', 5_000), $this->number('runs', 40))],
            'import' => ImportBench::run($this->number('rows', 1_000_000)),
            'crowd' => [CrowdBench::run($this->number('runs', 20))],
            'load' => LoadBench::run(is_string($this->option('site')) ? $this->option('site') : null, $this->number('people', Mix::PEOPLE), $this->number('runs', 20)),
            'among' => [AmongBench::run($this->number('sessions', 5_000), $this->number('people', Mix::PEOPLE), $this->number('runs', 20))],
            default => null,
        };
        if ($lines === null) {
            $this->error($voice->say(Message::of('bench.knows')));

            return self::INVALID;
        }
        foreach ($lines as $line) {
            $this->line($voice->say($line));
        }

        return $this->option('held') === true ? $this->held($what, $lines, $voice) : self::SUCCESS;
    }

    /** @param  list<Message>  $lines */
    private function held(string $what, array $lines, Voice $voice): int
    {
        $claims = Claims::in((string) file_get_contents(base_path('docs/figures.md')));
        $broken = $claims->broken($what, $lines);
        foreach ($broken as $claim) {
            $this->error($voice->say($claim));
        }
        $this->line($voice->say(Message::of('bench.held', held: Amount::count($claims->count($what) - count($broken)), count: Amount::count($claims->count($what)))));

        return $broken === [] && $claims->count($what) > 0 ? self::SUCCESS : self::FAILURE;
    }

    private function number(string $option, int $usual): int
    {
        return max(1, (int) ($this->option($option) ?? $usual));
    }
}
