<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\CoreCommand;
use App\Demo\DemoGarage;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Voice;
use Illuminate\Console\Command;

final class DemoCommand extends Command
{
    protected $signature = 'harmozon:demo {--if-missing : leave demo garages that are there as they are}';

    protected $description = 'Load the demo garages anew';

    public function handle(DemoGarage $demo, Voice $voice): int
    {
        if (config('harmozon.demo') !== true) {
            $this->error($voice->say(Message::of('console.demo_refused')));

            return CoreCommand::BAD_INPUT;
        }
        foreach ($demo->load(onlyMissing: $this->option('if-missing') === true) as $garage) {
            $this->info($voice->say(Message::of('console.demo_loaded', garage: $garage->name)));
        }

        return self::SUCCESS;
    }
}
