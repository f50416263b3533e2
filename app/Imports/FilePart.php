<?php

declare(strict_types=1);

namespace App\Imports;

use Harmozon\Core\Record\Event;
use Harmozon\Core\Record\Reading;

/** Some rows of a file that are written together. */
final class FilePart
{
    /** @var array<string, Reading> by the ids they get */
    public array $readings = [];

    /** @var array<string, Event> by the ids they get */
    public array $events = [];

    public int $rejected = 0;

    public int $rows = 0;

    /** @param  int  $line  up to which all was looked at */
    public function __construct(public int $line)
    {
    }

    public function add(int $line, string $id, Reading $reading): void
    {
        $this->readings[$id] = $reading;
        $this->seen($line);
    }

    public function note(int $line, string $id, Event $event): void
    {
        $this->events[$id] = $event;
        $this->seen($line);
    }

    public function reject(int $line): void
    {
        $this->rejected++;
        $this->seen($line);
    }

    private function seen(int $line): void
    {
        $this->line = $line;
        $this->rows++;
    }
}
