<?php

declare(strict_types=1);

namespace Harmozon\Core\Json;

use Harmozon\Core\Equipment\Curve;
use Harmozon\Core\Equipment\ImpossibleValue;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Listing;
use Harmozon\Core\Words\Message;

/**
 * An object of a decoded JSON document together with its path, so that every complaint names its field. A key that is
 * absent and a key that is null both read as null: not known.
 */
final readonly class Node
{
    /** Deeper than any file of ours or of a station. */
    public const DEEPEST_JSON = 64;

    /** Longer than any list on a plate: points of a curve, inlets, networks. */
    public const LONGEST_LIST = 200;

    public const LONGEST_TEXT = 500;

    /** The longest quotation of an input in an error message. */
    public const LONGEST_QUOTE = 40;

    /**
     * @param  array<array-key, mixed>  $fields
     * @param  ReadFields|null  $noted  where what is read is written down; null when nobody asks
     * @param  list<string>  $unread  paths below this object, dotted, whose values count as not known
     */
    private function __construct(private array $fields, public string $path, private ?ReadFields $noted, private array $unread = [])
    {
    }

    /** @throws FieldError when the value is not an object */
    public static function of(mixed $value, string $path = '', ?ReadFields $noted = null): self
    {
        if (! is_array($value) || ($value !== [] && array_is_list($value))) {
            throw FieldError::at($path, Message::of('field.expected_object', kind: self::kind($value)));
        }

        return new self($value, $path, $noted);
    }

    /** @throws FieldError when the text is not a JSON object */
    public static function fromJson(string $json): self
    {
        try {
            $value = json_decode($json, true, self::DEEPEST_JSON, JSON_THROW_ON_ERROR);
        } catch (\JsonException $e) {
            throw FieldError::at('', Message::of('field.not_json', why: lcfirst($e->getMessage())));
        }

        return self::of($value);
    }

    /**
     * The same object with further fields, for documents that keep a piece's name outside its plate.
     *
     * @param  array<string, mixed>  $fields
     */
    public function with(array $fields): self
    {
        return new self([...$this->fields, ...$fields], $this->path, $this->noted, $this->unread);
    }

    /**
     * The same object; values at these paths count as not known, but are kept as written.
     *
     * @param  list<string>  $paths  dotted (`inlets.0.dc.max_v`)
     */
    public function withUnread(array $paths): self
    {
        return $paths === [] ? $this : new self($this->fields, $this->path, $this->noted, $paths);
    }

    /** @return array<string, mixed> as they stand */
    public function fields(): array
    {
        return array_combine($this->keys(), array_values($this->fields));
    }

    /** @return list<string> */
    public function keys(): array
    {
        return array_map(strval(...), array_keys($this->fields));
    }

    /** The same object; fields read from now on are recorded. */
    public function noting(ReadFields $noted): self
    {
        return new self($this->fields, $this->path, $noted, $this->unread);
    }

    public function has(string $key): bool
    {
        return isset($this->fields[$key]) && (! in_array($key, $this->unread, true) || $this->raw($key) !== null);
    }

    /** The raw value of a field; null when absent. */
    public function raw(string $key): mixed
    {
        $value = $this->fields[$key] ?? null;
        if ($this->noted !== null && array_key_exists($key, $this->fields)) {
            $this->noted->value($key, $value);
        }

        return in_array($key, $this->unread, true) ? null : $value;
    }

    public function at(string $key): string
    {
        return $this->path === '' ? $key : "{$this->path}.{$key}";
    }

    public function fail(string $key, Message $problem): FieldError
    {
        return FieldError::at($this->at($key), $problem);
    }

    public function object(string $key): self
    {
        return self::of($this->fields[$key] ?? throw $this->fail($key, Message::of('field.required')), $this->at($key), $this->noted?->object($key))->withUnread($this->unreadBelow($key));
    }

    /** @return list<string> */
    private function unreadBelow(string $key): array
    {
        $below = array_filter($this->unread, static fn (string $path): bool => str_starts_with($path, "{$key}."));

        return array_map(static fn (string $path): string => substr($path, strlen($key) + 1), array_values($below));
    }

    public function objectOrNull(string $key): ?self
    {
        return $this->raw($key) === null ? null : $this->object($key);
    }

    /** @return list<self> */
    public function objects(string $key, int $most = self::LONGEST_LIST): array
    {
        $nodes = [];
        foreach ($this->list($key, $most) as $i => $value) {
            $nodes[] = self::of($value, $this->at($key)."[{$i}]", $this->noted?->item($key, $i))->withUnread($this->unreadBelow("{$key}.{$i}"));
        }

        return $nodes;
    }

    /** @return list<self> none when the field is absent */
    public function objectsOrNone(string $key, int $most = self::LONGEST_LIST): array
    {
        return $this->has($key) ? $this->objects($key, $most) : [];
    }

    public function text(string $key): string
    {
        return $this->textOrNull($key) ?? throw $this->fail($key, Message::of('field.required'));
    }

    public function textOrNull(string $key, int $longest = self::LONGEST_TEXT): ?string
    {
        $value = $this->raw($key);
        if ($value === null) {
            return null;
        }
        if (! is_string($value)) {
            throw $this->fail($key, Message::of('field.expected_text', kind: self::kind($value)));
        }
        if (PlainText::isBlank($value)) {
            throw $this->fail($key, Message::of('field.empty'));
        }
        $value = PlainText::of($value);

        return mb_strlen($value) <= $longest ? $value : throw $this->fail($key, Message::of('field.too_long', most: Amount::count($longest)));
    }

    /** A day of the calendar (Y-m-d). */
    public function dayOrNull(string $key): ?string
    {
        $day = $this->textOrNull($key, 10);

        return $day === null || (strlen($day) === 10 && RealDay::opens($day)) ? $day : throw $this->fail($key, Message::of('field.expected_day'));
    }

    public function boolOrNull(string $key): ?bool
    {
        $value = $this->raw($key);

        return $value === null || is_bool($value) ? $value : throw $this->fail($key, Message::of('field.expected_yes_no', kind: self::kind($value)));
    }

    /** A number inside a physical range. */
    public function number(string $key, Range $range): ?float
    {
        $value = $this->raw($key);

        return $value === null ? null : self::numberAt($value, $this->at($key), $range);
    }

    public function wholeNumber(string $key, int $least, int $most): ?int
    {
        $value = $this->raw($key);
        if ($value === null) {
            return null;
        }
        if (! is_int($value) && ! (is_float($value) && floor($value) === $value)) {
            throw $this->fail($key, Message::of('field.expected_whole', kind: self::kind($value)));
        }

        return $value >= $least && $value <= $most ? (int) $value : throw $this->fail($key, Message::of('field.between', least: Amount::count($least), most: Amount::count($most)));
    }

    /** @throws FieldError when it is no code of ISO 4217 */
    public function currency(string $key): string
    {
        $currency = $this->text($key);

        return preg_match('/^[A-Z]{3}$/D', $currency) === 1 ? $currency : throw $this->fail($key, Message::of('field.expected_currency'));
    }

    /** Money: a decimal as text, or a JSON number, never negative. */
    public function money(string $key): ?string
    {
        $value = $this->raw($key);
        if ($value === null) {
            return null;
        }
        $text = is_int($value) || is_float($value) ? (string) $value : $value;
        if (! is_string($text) || preg_match('/^\d{1,9}(\.\d{1,6})?$/', $text) !== 1) {
            throw $this->fail($key, Message::of('field.expected_money'));
        }

        return $text;
    }

    /**
     * @template T of \BackedEnum
     *
     * @param  class-string<T>  $enum
     * @return T|null
     */
    public function choice(string $key, string $enum): ?\BackedEnum
    {
        $value = $this->raw($key);

        return $value === null ? null : self::choiceAt($value, $this->at($key), $enum);
    }

    /**
     * @template T of \BackedEnum
     *
     * @param  class-string<T>  $enum
     * @return list<T>|null
     */
    public function choices(string $key, string $enum): ?array
    {
        if (! $this->has($key)) {
            return null;
        }
        $chosen = [];
        foreach ($this->list($key) as $i => $value) {
            $chosen[] = self::choiceAt($value, $this->at($key)."[{$i}]", $enum);
        }

        return $chosen;
    }

    /** @return list<string>|null */
    public function texts(string $key): ?array
    {
        if (! $this->has($key)) {
            return null;
        }
        $texts = [];
        foreach ($this->list($key) as $i => $value) {
            $text = is_string($value) && trim($value) !== '' ? $value : throw $this->fail("{$key}[{$i}]", Message::of('field.expected_text', kind: self::kind($value)));
            $texts[] = mb_strlen($text) <= self::LONGEST_TEXT ? $text : throw $this->fail("{$key}[{$i}]", Message::of('field.too_long', most: Amount::count(self::LONGEST_TEXT)));
        }

        return $texts;
    }

    /** @return list<mixed> */
    public function list(string $key, int $most = self::LONGEST_LIST): array
    {
        $value = $this->raw($key) ?? throw $this->fail($key, Message::of('field.required'));
        if (! is_array($value) || ! array_is_list($value)) {
            throw $this->fail($key, Message::of('field.expected_list', kind: self::kind($value)));
        }

        return count($value) <= $most ? $value : throw $this->fail($key, Message::of('field.too_many', most: Amount::count($most)));
    }

    /** A quantity over state of charge: pairs of percent and value. */
    public function curve(string $key, Range $range): ?Curve
    {
        if (! $this->has($key)) {
            return null;
        }
        $points = [];
        foreach ($this->list($key) as $i => $pair) {
            if (! is_array($pair) || ! array_is_list($pair) || count($pair) !== 2) {
                throw $this->fail("{$key}[{$i}]", Message::of('field.expected_pair'));
            }
            $points[] = [
                self::numberAt($pair[0], $this->at("{$key}[{$i}][0]"), Range::soc()),
                self::numberAt($pair[1], $this->at("{$key}[{$i}][1]"), $range),
            ];
        }

        return $this->guard(static fn (): Curve => Curve::through($points), $key);
    }

    public static function numberAt(mixed $value, string $path, Range $range): float
    {
        if (! is_int($value) && ! is_float($value)) {
            throw FieldError::at($path, Message::of('field.expected_number', kind: self::kind($value)));
        }

        if (is_infinite((float) $value)) {
            throw FieldError::at($path, Message::of('field.endless'));
        }

        return $range->holds((float) $value) ? (float) $value : throw FieldError::at($path, Message::of('field.outside', value: (string) json_encode($value), range: $range->message()));
    }

    /**
     * Builds a value whose own rules may refuse the figures; a refusal names the field.
     *
     * @template T
     *
     * @param  callable(): T  $make
     * @return T
     */
    public function guard(callable $make, string $key = ''): mixed
    {
        try {
            return $make();
        } catch (ImpossibleValue $e) {
            $base = $key === '' ? $this->path : $this->at($key);
            $dot = $e->field === '' || str_starts_with($e->field, '[') || $base === '' ? '' : '.';
            throw FieldError::at($base.$dot.$e->field, $e->problem);
        }
    }

    /**
     * @template T of \BackedEnum
     *
     * @param  class-string<T>  $enum
     * @return T
     */
    private static function choiceAt(mixed $value, string $path, string $enum): \BackedEnum
    {
        $chosen = is_string($value) ? $enum::tryFrom($value) : null;

        return $chosen ?? throw FieldError::at($path, Message::of(
            'field.none_of',
            value: is_string($value) ? '"'.mb_substr($value, 0, self::LONGEST_QUOTE).'"' : self::kind($value),
            known: Listing::comma(array_map(static fn (\BackedEnum $c): string => (string) $c->value, $enum::cases())),
        ));
    }

    private static function kind(mixed $value): Message
    {
        return match (true) {
            $value === null => Message::of('kind.null'),
            is_bool($value) => Message::of('kind.bool'),
            is_string($value) => Message::of('kind.text'),
            is_int($value), is_float($value) => Message::of('kind.number'),
            is_array($value) => array_is_list($value) ? Message::of('kind.list') : Message::of('kind.object'),
            default => Message::of('kind.other'),
        };
    }
}
