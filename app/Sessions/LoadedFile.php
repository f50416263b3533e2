<?php

declare(strict_types=1);

namespace App\Sessions;

use Harmozon\Core\Readings\Foreign\Mapping;
use Harmozon\Core\Readings\RejectedRows;

/** What became of a readings file. */
final readonly class LoadedFile
{
    /**
     * @param  string  $import  names the file for taking it back
     * @param  int  $understood  rows that hold a reading
     * @param  int  $added  of those, how many were new
     * @param  int  $noted  events in it that were new
     * @param  list<string>  $ignoredColumns
     * @param  Mapping|null  $guessed  how a file that is not ours was taken to be written
     */
    public function __construct(
        public string $import,
        public int $understood,
        public int $added,
        public int $noted,
        public RejectedRows $rejected,
        public array $ignoredColumns,
        public ?Mapping $guessed = null,
    ) {
    }
}
