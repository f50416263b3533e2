<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Demo\DemoGarage;
use Illuminate\Console\Command;

final class DemoCommand extends Command
{
    protected $signature = 'harmozon:demo {--if-missing : leave a demo garage that is there as it is}';

    protected $description = 'Load the demo garage anew';

    public function handle(DemoGarage $demo): int
    {
        if ($this->option('if-missing') === true && $demo->isLoaded()) {
            return self::SUCCESS;
        }
        foreach ($demo->load() as $garage) {
            $this->info("Demo garage loaded: {$garage->name}");
        }

        return self::SUCCESS;
    }
}
