<?php

declare(strict_types=1);

namespace Harmozon\Core\Case;

use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;

/**
 * Splits the text of a garage's document while it arrives: everything but its sessions, each session without its rows,
 * and the rows of its readings. A garage may have millions of readings, so no more than one row, one session or the
 * pieces are in memory at once. The receiver reads what a part contains.
 */
final class GarageStream
{
    /** Everything but the sessions, and a session without its rows (bytes). */
    private const LONGEST_PART = 24_000_000;

    private const LONGEST_ROW = 65_536;

    private const BLANKS = " \t\n\r";

    /** A row as it is written, with nothing nested in it. */
    private const ROW = '/\G\[(?:[^\[\]{}"]++|"(?:[^"\\\\]++|\\\\.)*+")*+\]/s';

    private string $buffer = '';

    private int $at = 0;

    /** Start of the value that is being read. */
    private int $from = 0;

    /** @var \Iterator<mixed, string> */
    private \Iterator $chunks;

    /** @param  iterable<string>  $chunks  of the text, as they come */
    public function __construct(iterable $chunks)
    {
        $this->chunks = $chunks instanceof \Iterator ? $chunks : (static fn () => yield from $chunks)();
        $this->chunks->rewind();
    }

    /**
     * @return \Generator<int, array{string, int, string}> `row`, `session` or `rest`, the number of the session from 0, and its JSON; a session comes behind
     *                                                     its rows, the rest at the end
     *
     * @throws FieldError when it is no JSON, or one part is longer than any may be
     */
    public function parts(): \Generator
    {
        $rest = [];
        foreach ($this->fields() as $key) {
            if ($key === '"sessions"' && $this->next() === '[') {
                foreach ($this->items() as $number => $first) {
                    yield from $first === '{' ? $this->session($number) : [['session', $number, $this->value(self::LONGEST_PART)]];
                }
                $rest[] = '"sessions":[]';
            } else {
                $rest[] = $key.':'.$this->value(self::LONGEST_PART);
            }
        }
        if ($this->next() !== '') {
            throw self::broken();
        }
        yield ['rest', 0, '{'.implode(',', $rest).'}'];
    }

    /** @return \Generator<int, array{string, int, string}> */
    private function session(int $number): \Generator
    {
        $fields = [];
        foreach ($this->fields() as $key) {
            if ($key !== '"readings"' || $this->next() !== '{') {
                $fields[] = $key.':'.$this->value(self::LONGEST_PART);

                continue;
            }
            $readings = [];
            foreach ($this->fields() as $of) {
                if ($of !== '"rows"' || $this->next() !== '[') {
                    $readings[] = $of.':'.$this->value(self::LONGEST_PART);

                    continue;
                }
                foreach ($this->items() as $first) {
                    yield ['row', $number, $first === '[' ? $this->row() : $this->value(self::LONGEST_ROW)];
                }
                $readings[] = '"rows":[]';
            }
            $fields[] = '"readings":{'.implode(',', $readings).'}';
        }
        yield ['session', $number, '{'.implode(',', $fields).'}'];
    }

    /** @return \Generator<int, string> the keys of the object that comes next, each when its value is about to be read */
    private function fields(): \Generator
    {
        $this->take('{');
        for ($i = 0; $this->next() !== '}'; $i++) {
            if ($i > 0) {
                $this->take(',');
            }
            if ($this->next() !== '"') {
                throw self::broken();
            }
            $key = $this->value(self::LONGEST_ROW);
            $this->take(':');
            $this->next();
            yield $key;
        }
        $this->take('}');
    }

    /** @return \Generator<int, string> how each item of the list that comes next begins */
    private function items(): \Generator
    {
        $this->take('[');
        for ($i = 0; ($first = $this->next()) !== ']'; $i++) {
            if ($i > 0) {
                $this->take(',');
                $first = $this->next();
            }
            yield $i => $first;
        }
        $this->take(']');
    }

    private function row(): string
    {
        $found = [''];
        while (preg_match(self::ROW, $this->buffer, $found, 0, $this->at) !== 1) {
            // Nested, which no row is, or not whole yet.
            if (strlen($this->buffer) - $this->at > self::LONGEST_ROW || ! $this->more()) {
                return $this->value(self::LONGEST_ROW);
            }
        }
        $this->at += strlen($found[0]);

        return $found[0];
    }

    /** Any value, as it is written. */
    private function value(int $longest): string
    {
        $this->from = $this->at;
        $depth = 0;
        do {
            $length = strcspn($this->buffer, '"[]{},', $this->at);
            $this->at += $length;
            while ($this->at >= strlen($this->buffer)) {
                $this->mayGoOn($longest);
                if (! $this->more($this->from)) {
                    throw self::broken();
                }
                $this->at += strcspn($this->buffer, '"[]{},', $this->at);
            }
            $sign = $this->buffer[$this->at];
            if ($depth === 0 && ($sign === ',' || $sign === ']' || $sign === '}')) {
                break;
            }
            if ($sign === '"') {
                $this->string($longest);
            } else {
                $depth += match ($sign) {
                    '[', '{' => 1,
                    ']', '}' => -1,
                    default => 0,
                };
                $this->at++;
            }
            $this->mayGoOn($longest);
        } while ($depth > 0 || ! in_array($sign, ['"', ']', '}'], true));
        $value = substr($this->buffer, $this->from, $this->at - $this->from);
        if (trim($value, self::BLANKS) === '') {
            throw self::broken();
        }

        return $value;
    }

    /** Moves past the end of the string that begins here. */
    private function string(int $longest): void
    {
        $this->at++;
        while (true) {
            $this->at += strcspn($this->buffer, '"\\', $this->at);
            while ($this->at + 1 >= strlen($this->buffer) && ($this->buffer[$this->at] ?? '') !== '"') {
                $this->mayGoOn($longest);
                if (! $this->more($this->from)) {
                    throw self::broken();
                }
                $this->at += strcspn($this->buffer, '"\\', $this->at);
            }
            if ($this->buffer[$this->at] === '"') {
                $this->at++;

                return;
            }
            $this->at += 2;
        }
    }

    private function mayGoOn(int $longest): void
    {
        if ($this->at - $this->from > $longest) {
            throw FieldError::at('garage', Message::of('field.part_too_long', most: Amount::count($longest)));
        }
    }

    /**
     * The next character after blanks; empty at the end.
     *
     * @phpstan-impure
     */
    private function next(): string
    {
        do {
            $this->at += strspn($this->buffer, self::BLANKS, $this->at);
            if ($this->at < strlen($this->buffer)) {
                return $this->buffer[$this->at];
            }
        } while ($this->more());

        return '';
    }

    private function take(string $sign): void
    {
        if ($this->next() !== $sign) {
            throw self::broken();
        }
        $this->at++;
    }

    /**
     * Reads on, and drops what has been handed out.
     *
     * @param  int|null  $keep  what begins there is still being read
     *
     * @phpstan-impure
     */
    private function more(?int $keep = null): bool
    {
        if (! $this->chunks->valid()) {
            return false;
        }
        $keep ??= $this->at;
        $this->buffer = substr($this->buffer, $keep).$this->chunks->current();
        $this->at -= $keep;
        $this->from -= $keep;
        $this->chunks->next();

        return true;
    }

    private static function broken(): FieldError
    {
        return FieldError::at('garage', Message::of('field.broken_json'));
    }
}
