<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Moving\PermanentDeletion;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Voice;
use Illuminate\Console\Command;

final class DestroyCommand extends Command
{
    protected $signature = 'harmozon:destroy';

    protected $description = 'Destroy for good what was put aside more than thirty days ago; harmozon:work does it once an hour';

    public function handle(PermanentDeletion $destruction, Voice $voice): int
    {
        $gone = $destruction->run();
        foreach ($gone as $kind => $count) {
            $this->line($voice->say(Message::of('destroyed.of_kind', kind: $kind, count: Amount::count($count))));
        }
        if ($gone === []) {
            $this->line($voice->say(Message::of('destroyed.none')));
        }

        return self::SUCCESS;
    }
}
