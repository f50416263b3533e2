<?php

declare(strict_types=1);

namespace App\Backup;

use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\WrongState;

/** A backup's contents, file by file, and what is needed to read it. */
final readonly class Manifest
{
    public const FORMAT = 'harmozon/backup';

    public const VERSION = 1;

    /** Its path in the archive. */
    public const NAME = 'manifest.json';

    public const DATABASE = 'database.sqlite';

    /** What is on the shelf of several servers; on one server's own disk it is there already. */
    public const SHELF = 'private/';

    /** Photographs and readings files, below the folder of the application's files. */
    public const FILES = ['private/', 'imports/'];

    /**
     * @param  string  $madeAt  ISO 8601, UTC
     * @param  list<string>  $migrations  changes of the database that were made before
     * @param  array<string, array{bytes: int, sha256: string}>  $files  by their path in the archive
     */
    public function __construct(public string $madeAt, public array $migrations, public array $files)
    {
    }

    public function json(): string
    {
        return json_encode([
            'format' => self::FORMAT, 'version' => self::VERSION, 'made_at' => $this->madeAt, 'migrations' => $this->migrations, 'files' => (object) $this->files,
        ], JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR);
    }

    /** @throws WrongState where it is none, or one of a newer version */
    public static function read(string $json): self
    {
        $said = json_decode($json, true);
        if (! is_array($said) || ($said['format'] ?? null) !== self::FORMAT || ! is_int($said['version'] ?? null)) {
            throw WrongState::of('file', Message::of('backup.none'));
        }
        if ($said['version'] > self::VERSION) {
            throw WrongState::of('file', Message::of('backup.newer'));
        }
        $files = [];
        foreach (is_array($said['files'] ?? null) ? $said['files'] : [] as $path => $of) {
            if (! is_string($path) || ! self::mayHold($path) || ! is_array($of) || ! is_int($of['bytes'] ?? null) || ! is_string($of['sha256'] ?? null)) {
                throw WrongState::of('file', Message::of('backup.none'));
            }
            $files[$path] = ['bytes' => $of['bytes'], 'sha256' => $of['sha256']];
        }
        if (! isset($files[self::DATABASE])) {
            throw WrongState::of('file', Message::of('backup.none'));
        }

        return new self(
            is_string($said['made_at'] ?? null) ? $said['made_at'] : '',
            array_values(array_filter(is_array($said['migrations'] ?? null) ? $said['migrations'] : [], is_string(...))),
            $files,
        );
    }

    /** Whether a path stays inside the folder it is unpacked into. */
    private static function mayHold(string $path): bool
    {
        if ($path === self::DATABASE) {
            return true;
        }
        foreach (self::FILES as $folder) {
            if (str_starts_with($path, $folder)) {
                return preg_match('#(^|/)\.\.?(/|$)|\\\\|\0|//#', $path) === 0;
            }
        }

        return false;
    }
}
