<?php

declare(strict_types=1);

namespace Harmozon\Core\Readings\Foreign;

use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Readings\AmbiguousFile;
use Harmozon\Core\Readings\ClockStart;
use Harmozon\Core\Readings\ReadingsReader;
use Harmozon\Core\Readings\RejectedRow;
use Harmozon\Core\Readings\RejectedRows;
use Harmozon\Core\Record\Reading;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;

/** Preview of a readings file: its first rows, their curve, and the rows that would be left out. */
final class Preview
{
    private const ROWS = 8;

    /** The most lines to preview, for files with many blank or very long lines: somebody is waiting. */
    private const MOST_LINES = 250_000;

    private const MOST_BYTES = 16_000_000;

    /** Points per line; beyond that, every second is left out. */
    private const POINTS = 400;

    public int $understood = 0;

    public RejectedRows $rejected;

    /** Whether all of the file was looked at. */
    public bool $isWhole = true;

    public ?Message $problem = null;

    /** Set where it can be read in two ways. */
    public ?AmbiguousFile $unsure = null;

    public ?Mapping $mapping = null;

    public ?ClockStart $clockStart = null;

    /** @var list<string> headers of columns that are not used */
    public array $unusedColumns = [];

    /** @var list<Reading> */
    public array $rows = [];

    /** @var array<string, list<array{float, float}>> seconds and value, by the field of the readings file */
    public array $curve = [];

    /** @var array<string, array{int, int}> every how manyth value of a field is kept, and how many there were */
    private array $pace = [];

    private function __construct()
    {
        $this->rejected = new RejectedRows;
    }

    /**
     * @param  iterable<string>  $lines
     * @param  Mapping|null  $mapping  null: ours, or guessed
     * @param  int  $shiftMs  how long after plugging in the file's own time begins
     * @param  int  $most  rows that are looked at
     */
    public static function of(iterable $lines, ?Mapping $mapping, int $shiftMs, int $most): self
    {
        $preview = new self;
        $reader = new ReadingsReader($mapping, $shiftMs);
        try {
            foreach ($reader->read($preview->first($lines)) as $row) {
                if ($preview->understood + $preview->rejected->count === $most) {
                    $preview->isWhole = false;
                    break;
                }
                if ($row instanceof RejectedRow) {
                    $preview->rejected->add($row);
                } elseif ($row instanceof Reading) {
                    $preview->add($row);
                }
            }
        } catch (FieldError $e) {
            $preview->unsure = $e instanceof AmbiguousFile ? $e : null;
            // Of a file that begins with very many blank lines nobody knows yet whether it is empty.
            $preview->problem = $preview->isWhole ? $e->problem : Message::of('readings.blank_so_far', lines: Amount::count(self::MOST_LINES));
        }
        $preview->mapping = $mapping ?? $reader->guessed();
        $preview->clockStart = $reader->clockStart();
        $preview->unusedColumns = $reader->ignoredColumns();

        return $preview;
    }

    /**
     * @param  iterable<string>  $lines
     * @return \Generator<int, string>
     */
    private function first(iterable $lines): \Generator
    {
        $count = $bytes = 0;
        foreach ($lines as $line) {
            if (++$count > self::MOST_LINES || ($bytes += strlen($line)) > self::MOST_BYTES) {
                $this->isWhole = false;

                return;
            }
            yield $line;
        }
    }

    private function add(Reading $reading): void
    {
        $this->understood++;
        if (count($this->rows) < self::ROWS) {
            $this->rows[] = $reading;
        }
        $values = ['kw' => $reading->kw, 'amps' => $reading->amps, 'volts' => $reading->volts, 'soc_pct' => $reading->socPct];
        foreach ($reading->celsius as $point => $celsius) {
            $values[$point.'_c'] = $celsius;
        }
        foreach ($values as $field => $value) {
            if ($value !== null) {
                $this->draw($field, $reading->tS(), $value);
            }
        }
    }

    private function draw(string $field, float $tS, float $value): void
    {
        [$every, $count] = $this->pace[$field] ?? [1, 0];
        if ($count % $every === 0) {
            $this->curve[$field][] = [$tS, $value];
            if (count($this->curve[$field]) > self::POINTS) {
                $this->curve[$field] = array_values(array_filter($this->curve[$field], static fn (int $i): bool => $i % 2 === 0, ARRAY_FILTER_USE_KEY));
                $every *= 2;
            }
        }
        $this->pace[$field] = [$every, $count + 1];
    }
}
