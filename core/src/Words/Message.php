<?php

declare(strict_types=1);

namespace Harmozon\Core\Words;

/**
 * What a rule says: a stable code and its figures with their units. A Voice turns it into a sentence in the language
 * and units of the person who asked.
 */
final readonly class Message
{
    /** @param  array<string, Amount|self|Listing|string>  $figures  by name; text is a name or what somebody typed */
    private function __construct(public string $code, public array $figures)
    {
    }

    public static function of(string $code, Amount|self|Listing|string ...$figures): self
    {
        /** @var array<string, Amount|self|Listing|string> $figures named arguments */
        return new self($code, $figures);
    }

    /** The same with a duration, if its pattern has one. */
    public function lasting(Amount $minutes): self
    {
        return isset($this->figures['minutes']) ? new self($this->code, [...$this->figures, 'minutes' => $minutes]) : $this;
    }

    /**
     * For storing, to be turned into words later in any language and units.
     *
     * @return array{code: string, figures: array<string, mixed>}
     */
    public function toArray(): array
    {
        return ['code' => $this->code, 'figures' => array_map(self::kept(...), $this->figures)];
    }

    /** @param  mixed  $kept  what toArray() gave; anything else is no message */
    public static function fromArray(mixed $kept): ?self
    {
        if (! is_array($kept) || ! is_string($kept['code'] ?? null) || ! is_array($kept['figures'] ?? null)) {
            return null;
        }
        $figures = [];
        foreach ($kept['figures'] as $name => $figure) {
            $read = self::figure($figure);
            if ($read === null) {
                return null;
            }
            $figures[(string) $name] = $read;
        }

        return new self($kept['code'], $figures);
    }

    private static function kept(Amount|self|Listing|string $figure): mixed
    {
        return is_string($figure) ? $figure : $figure->toArray();
    }

    public static function figure(mixed $kept): Amount|self|Listing|string|null
    {
        return is_string($kept) ? $kept : (self::fromArray($kept) ?? Amount::fromArray($kept) ?? Listing::fromArray($kept));
    }

    /** The same for equal messages, whatever the language. */
    public function key(): string
    {
        return $this->code.' '.serialize($this->figures);
    }
}
