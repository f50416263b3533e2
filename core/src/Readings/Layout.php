<?php

declare(strict_types=1);

namespace Harmozon\Core\Readings;

use Harmozon\Core\Readings\Foreign\ToldUnit;

/** What stands around the table of a readings file: lines before its header, and a row of units below it. */
final readonly class Layout
{
    /**
     * @param  int  $skipLines  before the header: a line `sep=`, titles, comments
     * @param  non-empty-string|null  $delimiter  that a line `sep=` names
     * @param  bool  $hasUnits  whether a row of units stands below the header
     * @param  list<ToldUnit>  $units  that it names, by the position of the column
     */
    public function __construct(public int $skipLines = 0, public ?string $delimiter = null, public bool $hasUnits = false, public array $units = [])
    {
    }

    /**
     * The lines with those before the header left blank, so that every line keeps its number.
     *
     * @param  iterable<string>  $lines
     * @return iterable<string>
     */
    public function table(iterable $lines): iterable
    {
        if ($this->skipLines === 0) {
            return $lines;
        }

        return (function () use ($lines): \Generator {
            $left = $this->skipLines;
            foreach ($lines as $line) {
                yield $left-- > 0 ? '' : $line;
                $left = max(0, $left);
            }
        })();
    }

    public function unit(int $position): ?ToldUnit
    {
        return $this->units[$position] ?? null;
    }
}
