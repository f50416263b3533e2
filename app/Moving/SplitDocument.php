<?php

declare(strict_types=1);

namespace App\Moving;

use App\Database\UnwritableFile;
use Harmozon\Core\Case\GarageStream;
use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Json\FileKind;
use Harmozon\Core\Json\Node;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;

/** A garage's document split into temporary files: its pieces, each session without its rows, and its readings, one a line. The files go with the process. */
final class SplitDocument
{
    private Node $rest;

    /** @var resource */
    private $sessionsFile;

    /** @var resource */
    private $rowsFile;

    /** @var list<int> where each session begins */
    private array $sessions = [];

    /** @var array<int, array{int, int}> where the rows of a session begin, and how many there are */
    private array $rows = [];

    private function __construct()
    {
        $this->rest = Node::of([]);
        $this->sessionsFile = self::file();
        $this->rowsFile = self::file();
    }

    /**
     * @param  iterable<string>  $chunks  of the document's text
     *
     * @throws FieldError when it cannot be read
     */
    public static function of(iterable $chunks): self
    {
        $apart = new self;
        foreach ((new GarageStream(self::ofGarage($chunks)))->parts() as [$what, $number, $json]) {
            match ($what) {
                'row' => $apart->addRow($number, $json),
                'session' => $apart->addSession($json),
                default => $apart->rest = Node::fromJson($json),
            };
        }

        return $apart;
    }

    /**
     * Refuses a file of another kind by name, if its beginning shows the kind.
     *
     * @param  iterable<string>  $chunks
     * @return \Generator<string>
     *
     * @throws FieldError
     */
    private static function ofGarage(iterable $chunks): \Generator
    {
        $isFirst = true;
        foreach ($chunks as $chunk) {
            $why = $isFirst && ! str_contains($chunk, '"format"') ? FileKind::unlike($chunk, FileKind::Garage) : null;
            if ($why !== null) {
                throw FieldError::at('garage', $why);
            }
            $isFirst = false;
            yield $chunk;
        }
    }

    /** Everything but the sessions. */
    public function rest(): Node
    {
        return $this->rest;
    }

    /** @return \Generator<int, Node> the sessions, without the rows of their readings */
    public function sessions(): \Generator
    {
        $file = self::again($this->sessionsFile);
        for ($i = 0; $i < count($this->sessions); $i++) {
            yield $i => self::node((string) fgets($file), $i);
        }
    }

    public function session(int $i): Node
    {
        $file = self::again($this->sessionsFile);
        fseek($file, $this->sessions[$i]);

        return self::node((string) fgets($file), $i);
    }

    public function rowCount(int $i): int
    {
        return $this->rows[$i][1] ?? 0;
    }

    /** @return \Generator<int, mixed> as they are in the document; invalid JSON is null */
    public function rows(int $i): \Generator
    {
        [$from, $count] = $this->rows[$i] ?? [0, 0];
        $file = self::again($this->rowsFile);
        fseek($file, $from);
        for ($n = 0; $n < $count; $n++) {
            yield $n => json_decode((string) fgets($file), true, Node::DEEPEST_JSON);
        }
    }

    private function addRow(int $session, string $json): void
    {
        $this->rows[$session] ??= [(int) ftell($this->rowsFile), 0];
        self::write($this->rowsFile, $json);
        $this->rows[$session][1]++;
    }

    private function addSession(string $json): void
    {
        if (count($this->sessions) === SessionsImport::MOST) {
            throw FieldError::at('sessions', Message::of('field.too_many', most: Amount::count(SessionsImport::MOST)));
        }
        $this->sessions[] = (int) ftell($this->sessionsFile);
        self::write($this->sessionsFile, $json);
    }

    private static function node(string $json, int $i): Node
    {
        try {
            return Node::of(json_decode($json, true, Node::DEEPEST_JSON, JSON_THROW_ON_ERROR), "sessions[{$i}]");
        } catch (\JsonException) {
            throw FieldError::at("sessions[{$i}]", Message::of('field.broken_json'));
        }
    }

    /** @param  resource  $file */
    private static function write($file, string $json): void
    {
        // Between the signs of JSON a line end is a blank like another; inside of a text there is none.
        $line = strtr($json, "\r\n", '  ')."\n";
        if (@fwrite($file, $line) !== strlen($line)) {
            throw new UnwritableFile(sys_get_temp_dir());
        }
    }

    /** @return resource */
    private static function file()
    {
        $file = @tmpfile();

        return $file === false ? throw new UnwritableFile(sys_get_temp_dir()) : $file;
    }

    /**
     * Opens the same file again for a separate reader.
     *
     * @param  resource  $file
     * @return resource
     */
    private static function again($file)
    {
        fflush($file);

        $again = @fopen(stream_get_meta_data($file)['uri'] ?? '', 'rb');

        return $again === false ? throw new UnwritableFile(sys_get_temp_dir()) : $again;
    }
}
