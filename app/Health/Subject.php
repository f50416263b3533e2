<?php

declare(strict_types=1);

namespace App\Health;

/** What a site is asked about. The names are those of /ready. */
enum Subject: string
{
    case Database = 'database';
    case Disk = 'disk';
    case Worker = 'worker';
    case Queue = 'queue';
    case Settings = 'settings';
    case Address = 'address';
    case Demo = 'demo';
    case Mail = 'mail';
    case Backup = 'backup';
    case Secrets = 'secrets';

    /** @return list<self> without these nobody can work with it; the others are for whoever looks after it */
    public static function needed(): array
    {
        return [self::Database, self::Disk, self::Worker, self::Queue];
    }
}
