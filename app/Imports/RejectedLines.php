<?php

declare(strict_types=1);

namespace App\Imports;

use App\Models\ReadingsImport;
use Harmozon\Core\Files\CsvRecords;
use Harmozon\Core\Files\ReadingsReader;
use Harmozon\Core\Files\RejectedRow;
use Harmozon\Core\Files\SheetCell;
use Harmozon\Core\Words\Voice;

/** The rows of a file that were left out, read from it anew: its own cells behind the number of the line and the reason. */
final class RejectedLines
{
    public function __construct(private readonly ImportStore $store, private readonly Voice $voice)
    {
    }

    /** @return \Generator<int, string> lines of a CSV file that spreadsheets open safely */
    public function csv(ReadingsImport $import): \Generator
    {
        $mapping = $import->readBy();
        $records = (new CsvRecords($this->store->lines($import), $mapping?->delimiter))->getIterator();
        $header = $records->valid() ? $records->current() : [];

        return $this->rows($import, $records, $header ?? []);
    }

    /**
     * @param  \Generator<int, list<string>|null>  $records  of the same file, its header being the first
     * @param  list<string>  $header
     * @return \Generator<int, string>
     */
    private function rows(ReadingsImport $import, \Generator $records, array $header): \Generator
    {
        yield self::line(['line', 'reason', ...$header]);
        $reader = new ReadingsReader($import->readBy(), $import->shift_ms);
        foreach ($reader->read($this->store->lines($import)) as $line => $row) {
            if (! $row instanceof RejectedRow) {
                continue;
            }
            while ($records->valid() && $records->key() < $line) {
                $records->next();
            }
            $cells = $records->valid() && $records->key() === $line ? $records->current() : null;
            yield self::line([(string) $line, $this->voice->say($row->reason), ...array_map(mb_scrub(...), $cells ?? [])]);
        }
    }

    /** @param  list<string>  $cells */
    private static function line(array $cells): string
    {
        return implode(',', array_map(static fn (string $c): string => '"'.str_replace('"', '""', SheetCell::guarded($c)).'"', $cells))."\r\n";
    }
}
