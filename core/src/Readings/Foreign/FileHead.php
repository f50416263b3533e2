<?php

declare(strict_types=1);

namespace Harmozon\Core\Readings\Foreign;

use Harmozon\Core\Readings\CsvRecords;
use Harmozon\Core\Readings\Layout;
use Harmozon\Core\Words\Message;

/** The header of a readings file and its first rows, as text: used to make a mapping and to recognise a source. */
final readonly class FileHead
{
    /** Lines read for it, and cells shown per column. */
    public const LINES = 40;

    private const SAMPLES = 3;

    /**
     * @param  list<string>  $headers
     * @param  list<list<string>>  $samples  the first cells that are not empty, by column
     * @param  Mapping|null  $begun  what is known of its columns, also where that is too little to read it
     */
    private function __construct(public array $headers, public array $samples, public string $delimiter, public ?Mapping $begun)
    {
    }

    /**
     * @param  iterable<string>  $lines
     * @param  Mapping|null  $mapping  null: as it is guessed
     */
    public static function of(iterable $lines, ?Mapping $mapping = null): self
    {
        $head = self::first($lines);
        $encoding = $mapping->encoding ?? Encoding::of(implode("\n", $head));
        $decoded = self::decoded($head, $encoding);
        $layout = $mapping->layout ?? LayoutFinder::of($decoded);
        $records = new CsvRecords($layout->table($decoded), $mapping->delimiter ?? $layout->delimiter);
        $headers = null;
        $samples = [];
        $isUnits = $layout->hasUnits;
        foreach ($records as $cells) {
            $cells = $cells instanceof Message ? [] : $cells;
            if ($headers !== null && $isUnits) {
                $isUnits = false;

                continue;
            }
            if ($headers === null) {
                $headers = array_map(mb_scrub(...), $cells);
                $samples = array_fill(0, count($headers), []);

                continue;
            }
            foreach ($headers as $i => $header) {
                $cell = $cells[$i] ?? '';
                if ($cell !== '' && count($samples[$i]) < self::SAMPLES) {
                    $samples[$i][] = mb_substr(mb_scrub($cell), 0, 40);
                }
            }
        }

        return new self($headers ?? [], array_values($samples), $records->delimiter(), $mapping === null ? FormatGuess::begun($head) : null);
    }

    /**
     * What stands around the table.
     *
     * @param  iterable<string>  $lines
     */
    public static function layoutOf(iterable $lines): Layout
    {
        $head = self::first($lines);

        return LayoutFinder::of(self::decoded($head, Encoding::of(implode("\n", $head))));
    }

    /**
     * @param  iterable<string>  $lines
     * @return list<string>
     */
    private static function first(iterable $lines): array
    {
        $head = [];
        foreach ($lines as $line) {
            $head[] = $line;
            if (count($head) === self::LINES) {
                break;
            }
        }

        return $head;
    }

    /**
     * @param  list<string>  $head
     * @return list<string>
     */
    private static function decoded(array $head, Encoding $encoding): array
    {
        // A file whose lines can be told apart is no longer in UTF-16.
        return $encoding === Encoding::Windows1252 ? array_map($encoding->toUtf8(...), $head) : $head;
    }

    /** Files of one instrument share a header, which identifies it. */
    public function source(): string
    {
        return hash('sha256', implode("\x1F", [$this->delimiter, ...$this->headers]));
    }
}
