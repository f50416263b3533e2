<?php

declare(strict_types=1);

namespace App\Imports;

use App\Models\ReadingsSource;
use Harmozon\Core\Readings\Foreign\FileHead;
use Harmozon\Core\Readings\Foreign\Mapping;
use Harmozon\Core\Readings\Foreign\MappingReader;
use Harmozon\Core\Readings\ReadingColumns;

/** The mapping used for each instrument's files, by their header. */
final class Sources
{
    public function mapping(string $source): ?Mapping
    {
        $known = ReadingsSource::query()->where('source', $source)->first();

        return $known instanceof ReadingsSource ? (new MappingReader)->json((string) json_encode($known->mapping)) : null;
    }

    /** The remembered mapping of a foreign file, if its instrument is known. */
    public function ofHead(FileHead $head): ?Mapping
    {
        return ReadingColumns::knows($head->headers) ? null : $this->mapping($head->source());
    }

    public function remember(string $source, string $name, Mapping $mapping): void
    {
        ReadingsSource::query()->updateOrCreate(['source' => $source], ['name' => $name, 'mapping' => $mapping->toArray()]);
    }
}
