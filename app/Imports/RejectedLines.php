<?php

declare(strict_types=1);

namespace App\Imports;

use App\Models\ReadingsImport;
use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Readings\CsvLine;
use Harmozon\Core\Readings\CsvRecords;
use Harmozon\Core\Readings\Foreign\Encoding;
use Harmozon\Core\Readings\Foreign\Mapping;
use Harmozon\Core\Readings\ReadingsReader;
use Harmozon\Core\Readings\RejectedRow;
use Harmozon\Core\Readings\SheetCell;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Voice;
use Harmozon\Core\Words\WrongState;

/** The rows of a file that were left out, read from it again: line number, reason, and the row's own cells. */
final class RejectedLines
{
    public function __construct(private readonly ImportStore $store, private readonly Voice $voice)
    {
    }

    /** @return \Generator<int, string> lines of a CSV file that spreadsheets open safely */
    public function csv(ReadingsImport $import): \Generator
    {
        $mapping = $import->keptMapping();
        $records = $this->records($import, $mapping);

        return $this->rows($import, $mapping, $records);
    }

    /**
     * @param  \Generator<int, list<string>|Message>  $records  of the same file, its header being the first
     * @return \Generator<int, string>
     */
    private function rows(ReadingsImport $import, ?Mapping $mapping, \Generator $records): \Generator
    {
        yield self::line(['line', 'reason', ...($records->valid() && is_array($records->current()) ? $records->current() : [])]);
        $text = $this->decoded($import, $mapping);
        $number = 1;
        $turned = [];
        try {
            foreach ((new ReadingsReader($import->readBy(), $import->shift_ms))->read($this->store->lines($import)) as $line => $row) {
                if (! $row instanceof RejectedRow) {
                    continue;
                }
                if ($row->line !== $line) {
                    $turned[$row->line] = $row->reason;

                    continue;
                }
                while ($records->valid() && $records->key() < $line) {
                    $records->next();
                }
                $cells = $records->valid() && $records->key() === $line ? $records->current() : null;
                if (! is_array($cells)) {
                    // It can't be split: the line as it is.
                    for (; $number < $line && $text->valid(); $number++) {
                        $text->next();
                    }
                    $cells = [$text->valid() ? $text->current() : ''];
                }
                yield self::line([(string) $line, $this->voice->say($row->reason), ...$cells]);
            }
            yield from $this->turned($turned, $this->records($import, $mapping));
        } catch (FieldError|WrongState $e) {
            // No row of it can be read.
            yield self::line(['1', $this->voice->say($e->complaint())]);
        }
    }

    /**
     * Rows of a newest-first file, in the order of its lines.
     *
     * @param  array<int, Message>  $reasons  by line
     * @param  \Generator<int, list<string>|Message>  $records
     * @return \Generator<int, string>
     */
    private function turned(array $reasons, \Generator $records): \Generator
    {
        if ($reasons === []) {
            return;
        }
        foreach ($records as $line => $cells) {
            if (isset($reasons[$line])) {
                yield self::line([(string) $line, $this->voice->say($reasons[$line]), ...(is_array($cells) ? $cells : [])]);
            }
        }
    }

    /** @return \Generator<int, list<string>|Message> its rows, the header first */
    private function records(ReadingsImport $import, ?Mapping $mapping): \Generator
    {
        $layout = $mapping->layout ?? $this->store->layout($import);

        return (new CsvRecords($layout->table($this->decoded($import, $mapping)), $mapping->delimiter ?? $layout->delimiter))->getIterator();
    }

    /** @return \Generator<int, string> its lines in UTF-8 */
    private function decoded(ReadingsImport $import, ?Mapping $mapping): \Generator
    {
        foreach ($this->store->lines($import) as $line) {
            yield mb_scrub($mapping?->encoding === Encoding::Windows1252 ? $mapping->encoding->toUtf8($line) : $line);
        }
    }

    /** @param  list<string>  $cells */
    private static function line(array $cells): string
    {
        return CsvLine::of(array_map(SheetCell::guarded(...), $cells));
    }
}
