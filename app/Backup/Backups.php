<?php

declare(strict_types=1);

namespace App\Backup;

use FilesystemIterator;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\WrongState;
use Illuminate\Filesystem\Filesystem;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use RecursiveDirectoryIterator;
use RecursiveIteratorIterator;
use ZipArchive;

/**
 * Backs up and restores everything that people have entered, as one file: the database, photographs, and readings files
 * still arriving. Settings (.env) are not included.
 */
final readonly class Backups
{
    private const PREFIX = 'harmozon-';

    private const SUFFIX = '.zip';

    public function __construct(private DatabaseCopy $database, private Filesystem $disk, private BackupShelf $shelf)
    {
    }

    /** The default folder for backups. */
    public static function folder(): string
    {
        return storage_path('backups');
    }

    /**
     * @param  int|null  $keep  so many backups stay in the folder, the newest; null: every one
     * @return string the file
     */
    public function make(string $folder, ?int $keep = null, string $name = ''): string
    {
        if (! is_dir($folder) && ! @mkdir($folder, 0700, true)) {
            throw WrongState::of('file', Message::of('backup.not_written', path: $folder));
        }
        $file = "{$folder}/".self::PREFIX.($name === '' ? '' : "{$name}-").Carbon::now()->format('Ymd-His-v').self::SUFFIX;
        $staged = $this->stage();
        try {
            // The database first: a file that it names was there before it was named.
            $this->database->writeTo("{$staged}/".Manifest::DATABASE);
            $this->stageFiles($staged);
            $this->pack($staged, "{$staged}.zip");
            chmod("{$staged}.zip", 0600);
            if (! @rename("{$staged}.zip", $file)) {
                throw WrongState::of('file', Message::of('backup.not_written', path: $file));
            }
        } finally {
            $this->disk->deleteDirectory($staged);
            $this->disk->delete("{$staged}.zip");
        }
        if ($keep !== null) {
            foreach (array_slice(self::in($folder), $keep) as $old) {
                unlink($old);
            }
        }
        $this->shelf->keepBackup($file, $keep);

        return $file;
    }

    /** When the newest backup was made (Unix time), here or on the shelf; 0 where there is none. */
    public static function newestAt(): int
    {
        return max([0, BackupShelf::newestAt(), ...array_map(static fn (string $file): int => (int) filemtime($file), self::in(self::folder()))]);
    }

    /** @return list<string> backups of a folder, the newest first */
    public static function in(string $folder): array
    {
        $found = glob("{$folder}/".self::PREFIX.'[0-9]*'.self::SUFFIX);
        $found = $found === false ? [] : $found;
        rsort($found);

        return $found;
    }

    /**
     * Restores a backup in place of the current data. The backup is checked as a whole first, and the current data is
     * backed up.
     *
     * @return string the backup of what was there before
     *
     * @throws WrongState where the file is damaged, newer than this version, or no backup; nothing has changed then
     */
    public function restore(string $file): string
    {
        $staged = $this->stage();
        try {
            $this->unpack(is_file($file) ? $file : $this->shelf->backup($file, "{$staged}.taken") ?? $file, $staged);
            $before = $this->make(self::folder(), name: 'before-restoring');
            $this->database->takeFrom("{$staged}/".Manifest::DATABASE);
            $this->shelf->takeFrom("{$staged}/".Manifest::SHELF);
            foreach (Manifest::FILES as $folder) {
                $this->disk->ensureDirectoryExists("{$staged}/{$folder}");
                $target = storage_path('app/'.rtrim($folder, '/'));
                $this->disk->ensureDirectoryExists($target, 0700);
                $this->disk->cleanDirectory($target);
                $this->disk->copyDirectory("{$staged}/{$folder}", $target);
            }
        } finally {
            $this->disk->deleteDirectory($staged);
            $this->disk->delete("{$staged}.taken");
        }

        return $before;
    }

    /** @throws WrongState naming what is wrong with it */
    private function unpack(string $file, string $into): void
    {
        $zip = new ZipArchive;
        if (! is_file($file) || $zip->open($file, ZipArchive::RDONLY) !== true) {
            throw WrongState::of('file', Message::of('backup.none'));
        }
        $manifest = Manifest::read((string) $zip->getFromName(Manifest::NAME));
        if (array_diff($manifest->migrations, self::known()) !== []) {
            throw WrongState::of('file', Message::of('backup.newer'));
        }
        foreach ($manifest->files as $path => $of) {
            $this->disk->ensureDirectoryExists(dirname("{$into}/{$path}"), 0700);
            $in = $zip->getStream($path);
            $out = fopen("{$into}/{$path}", 'wb');
            if ($in === false || $out === false || @stream_copy_to_stream($in, $out) !== $of['bytes'] || hash_file('sha256', "{$into}/{$path}") !== $of['sha256']) {
                throw WrongState::of('file', Message::of('backup.damaged', path: $path));
            }
            fclose($out);
        }
        if (! $this->database->isWhole("{$into}/".Manifest::DATABASE)) {
            throw WrongState::of('file', Message::of('backup.damaged', path: Manifest::DATABASE));
        }
    }

    private function stage(): string
    {
        $folder = storage_path('framework/backup-'.bin2hex(random_bytes(6)));
        $this->disk->makeDirectory($folder, 0700, true);

        return $folder;
    }

    /** Copies, not links: a readings file that grows while it is packed would no longer match its checksum. */
    private function stageFiles(string $staged): void
    {
        $this->shelf->writeTo("{$staged}/".Manifest::SHELF);
        foreach (Manifest::FILES as $folder) {
            $root = storage_path('app/'.rtrim($folder, '/'));
            foreach (self::filesIn($root) as $path) {
                $target = "{$staged}/{$folder}{$path}";
                $this->disk->ensureDirectoryExists(dirname($target), 0700);
                // One that was taken away meanwhile is no more.
                @copy("{$root}/{$path}", $target);
            }
        }
    }

    private function pack(string $staged, string $file): void
    {
        $zip = new ZipArchive;
        if ($zip->open($file, ZipArchive::CREATE | ZipArchive::OVERWRITE) !== true) {
            throw WrongState::of('file', Message::of('backup.not_written', path: $file));
        }
        $files = [];
        foreach (self::filesIn($staged) as $path) {
            $files[$path] = ['bytes' => (int) filesize("{$staged}/{$path}"), 'sha256' => (string) hash_file('sha256', "{$staged}/{$path}")];
            $zip->addFile("{$staged}/{$path}", $path);
        }
        $zip->addFromString(Manifest::NAME, (new Manifest(Carbon::now()->toIso8601ZuluString(), self::made(), $files))->json());
        if (! $zip->close()) {
            throw WrongState::of('file', Message::of('backup.not_written', path: $file));
        }
    }

    /** @return list<string> changes of the database that were made */
    private static function made(): array
    {
        return Schema::hasTable('migrations') ? array_values(array_filter(DB::table('migrations')->orderBy('id')->pluck('migration')->all(), is_string(...))) : [];
    }

    /** @return list<string> changes of the database that this version knows and that were not made yet */
    public static function toMake(): array
    {
        return array_values(array_diff(self::known(), self::made()));
    }

    /** @return list<string> changes of the database that this version knows */
    private static function known(): array
    {
        $files = glob(database_path('migrations/*.php'));

        return array_map(static fn (string $file): string => basename($file, '.php'), $files === false ? [] : $files);
    }

    /** @return list<string> paths below a folder, in order */
    private static function filesIn(string $folder): array
    {
        if (! is_dir($folder)) {
            return [];
        }
        $paths = [];
        foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator($folder, FilesystemIterator::SKIP_DOTS)) as $file) {
            if ($file instanceof \SplFileInfo && $file->isFile() && $file->getFilename() !== '.gitignore') {
                $paths[] = substr($file->getPathname(), strlen($folder) + 1);
            }
        }
        sort($paths);

        return $paths;
    }
}
