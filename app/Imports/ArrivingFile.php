<?php

declare(strict_types=1);

namespace App\Imports;

use App\Database\UnwritableFile;
use App\Files\Shelf;
use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\WrongState;

/** An announced file that arrives in parts. */
final readonly class ArrivingFile
{
    /** One piece of it (bytes). */
    public const LARGEST_PIECE = 4_194_304;

    public const FOLDER = 'storage/app/imports';

    /**
     * @param  int  $bytes  as announced
     * @param  int  $received  of them
     */
    public function __construct(private string $path, private int $bytes, private int $received)
    {
    }

    /** @throws UnwritableFile */
    public function announce(): void
    {
        $folder = dirname($this->path);
        if ((! is_dir($folder) && ! @mkdir($folder, 0o700, true)) || ! @touch($this->path)) {
            throw new UnwritableFile(self::FOLDER);
        }
    }

    /**
     * Appends the next part. A repeated part changes nothing; returns how much has arrived.
     *
     * @param  resource  $piece
     * @param  \Closure(resource, int): void|null  $look  at what was written, from where it begins: the file, and a number of bytes
     * @return int how much of it is there now
     */
    public function append(int $from, $piece, ?\Closure $look = null): int
    {
        if ($from < $this->received) {
            return $this->received;
        }
        if ($from > $this->received) {
            throw FieldError::at('from', Message::of('app.import_from', received: Amount::count($this->received)));
        }
        Shelf::bring($this->path, $this->received);
        $file = is_file($this->path) ? fopen($this->path, 'r+b') : false;
        if ($file === false) {
            throw WrongState::of('file', Message::of('app.import_gone'));
        }
        try {
            // What was written and never acknowledged is written again.
            ftruncate($file, max(0, $from));
            fseek($file, $from);
            $written = (int) @stream_copy_to_stream($piece, $file, self::LARGEST_PIECE + 1);
            if ($written > self::LARGEST_PIECE || $from + $written > $this->bytes) {
                ftruncate($file, max(0, $from));
                throw FieldError::at('piece', Message::of('app.import_too_much'));
            }
            if (! @fflush($file)) {
                throw new UnwritableFile(self::FOLDER);
            }
            if ($look !== null) {
                fseek($file, $from);
                $look($file, $written);
            }
        } finally {
            fclose($file);
        }
        Shelf::keepPiece($this->path, $from, $written);

        return $from + $written;
    }
}
