<?php

declare(strict_types=1);

namespace App\Backup;

use App\Files\Shelf;
use Illuminate\Filesystem\Filesystem;

/** The part of a backup that is on the disk of several servers, and backups that are kept there. On one server it does nothing. */
final readonly class BackupShelf
{
    private const FOLDER = 'backups';

    public function __construct(private Filesystem $disk)
    {
    }

    /** Copies what belongs to the data into a folder. */
    public function writeTo(string $folder): void
    {
        foreach ($this->files() as $file) {
            $this->disk->ensureDirectoryExists(dirname($folder.$file), 0700);
            file_put_contents($folder.$file, (string) Shelf::disk()->get($file));
        }
    }

    /** Puts the files of a folder in place of those that are there. */
    public function takeFrom(string $folder): void
    {
        if (! Shelf::isShared()) {
            return;
        }
        $kept = [];
        foreach (is_dir($folder) ? $this->disk->allFiles($folder) : [] as $file) {
            $kept[] = $name = str_replace('\\', '/', $file->getRelativePathname());
            Shelf::disk()->put($name, $file->getContents());
        }
        foreach (array_diff($this->files(), $kept) as $other) {
            Shelf::disk()->delete($other);
        }
    }

    /** @param  int|null  $keep  so many stay, the newest; null: every one */
    public function keepBackup(string $file, ?int $keep): void
    {
        if (! Shelf::isShared()) {
            return;
        }
        $content = fopen($file, 'rb');
        Shelf::disk()->put(self::FOLDER.'/'.basename($file), $content === false ? '' : $content);
        $there = Shelf::disk()->files(self::FOLDER);
        rsort($there);
        foreach ($keep === null ? [] : array_slice($there, $keep) as $old) {
            Shelf::disk()->delete($old);
        }
    }

    /** @return string|null a local copy of a backup that is kept there; null where there is none of that name */
    public function backup(string $name, string $into): ?string
    {
        $place = self::FOLDER.'/'.basename($name);
        $content = Shelf::isShared() && Shelf::disk()->exists($place) ? Shelf::disk()->readStream($place) : null;
        if ($content === null) {
            return null;
        }
        file_put_contents($into, $content);

        return $into;
    }

    /** Unix time; 0 where none is kept there. */
    public static function newestAt(): int
    {
        return ! Shelf::isShared() ? 0 : max([0, ...array_map(Shelf::disk()->lastModified(...), Shelf::disk()->files(self::FOLDER))]);
    }

    /** @return list<string> */
    private function files(): array
    {
        return ! Shelf::isShared() ? [] : array_values(array_filter(Shelf::disk()->allFiles(), static fn (string $file): bool => ! str_starts_with($file, self::FOLDER.'/')));
    }
}
