<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Backup\Backups;
use App\Console\CoreCommand;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Voice;
use Harmozon\Core\Words\WrongState;
use Illuminate\Console\Command;

final class BackupCommand extends Command
{
    protected $signature = 'harmozon:backup
        {--to= : the folder it goes into; storage/backups without it}
        {--keep= : so many backups stay in that folder, the newest; every one without it}';

    protected $description = 'Put the database, photographs and readings files into one file, while people go on';

    public function handle(Backups $backups, Voice $voice): int
    {
        $keep = $this->option('keep');
        if ($keep !== null && (! is_string($keep) || ! ctype_digit($keep) || (int) $keep < 1)) {
            $this->error($voice->say(Message::of('backup.keep')));

            return CoreCommand::BAD_INPUT;
        }
        $to = $this->option('to');
        try {
            $file = $backups->make(is_string($to) && $to !== '' ? rtrim($to, '/') : Backups::folder(), $keep === null ? null : (int) $keep);
        } catch (WrongState $e) {
            $this->error($voice->say($e->complaint()));

            return CoreCommand::BAD_INPUT;
        }
        $this->info($voice->say(Message::of('backup.made', file: $file, megabytes: Amount::asGiven(round((int) filesize($file) / 1e6, 1)))));

        return self::SUCCESS;
    }
}
