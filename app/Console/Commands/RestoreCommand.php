<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Backup\Backups;
use App\Console\CoreCommand;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Voice;
use Harmozon\Core\Words\WrongState;
use Illuminate\Console\Command;

final class RestoreCommand extends Command
{
    protected $signature = 'harmozon:restore {file : a backup of harmozon:backup}';

    protected $description = 'Put a backup in place of what is there, which is kept as a backup itself';

    public function handle(Backups $backups, Voice $voice): int
    {
        $file = $this->argument('file');
        try {
            $before = $backups->restore(is_string($file) ? $file : '');
        } catch (WrongState $e) {
            $this->error($voice->say($e->complaint()));

            return CoreCommand::BAD_INPUT;
        }
        // One of an older version is brought up to date.
        $this->callSilently('migrate', ['--force' => true]);
        $this->info($voice->say(Message::of('backup.restored', before: $before)));

        return self::SUCCESS;
    }
}
