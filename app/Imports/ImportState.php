<?php

declare(strict_types=1);

namespace App\Imports;

/** How far a readings file has come. */
enum ImportState: string
{
    case Arriving = 'arriving';
    case Ready = 'ready';
    case Waiting = 'waiting';
    case Running = 'running';
    case Stopping = 'stopping';
    case Stopped = 'stopped';
    case Done = 'done';
    case Failed = 'failed';

    /** Whether it is being imported, or is about to be. */
    public function isUnderWay(): bool
    {
        return in_array($this, [self::Waiting, self::Running, self::Stopping], true);
    }
}
