<?php

declare(strict_types=1);

namespace App\Bench;

use App\Files\TextInput;
use Harmozon\Core\Case\CaseReader;
use Harmozon\Core\Readings\ReadingsReader;
use Harmozon\Core\Record\Judge;
use Harmozon\Core\Record\Reading;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;

/** Times the check of a readings file and a bare loop that only splits its cells, in turn on the same file. */
final class CheckBench
{
    /** @return list<Message> */
    public static function run(int $rows, int $turns): array
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'harmozon');
        try {
            Readings::write($path, $rows);
            $bare = $judged = INF;
            for ($turn = 0; $turn < $turns; $turn++) {
                $bare = min($bare, Timing::once(static fn () => self::split($path)));
                $judged = min($judged, Timing::once(static fn () => self::judge($path)));
            }
        } finally {
            unlink($path);
        }

        return [
            Message::of('bench.split', rows: Amount::count($rows), seconds: Timing::tenths($bare)),
            Message::of('bench.judged', seconds: Timing::tenths($judged), times: Timing::times($judged, $bare), rate: Timing::whole($rows / $judged), memory: Timing::peakMegabytes()),
        ];
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
}
