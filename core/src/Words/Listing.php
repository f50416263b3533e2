<?php

declare(strict_types=1);

namespace Harmozon\Core\Words;

/** A list inside a message; each language joins it in its own way. */
final readonly class Listing
{
    /** @param  list<Message|Amount|string>  $items */
    private function __construct(public Joiner $joiner, public array $items)
    {
    }

    /** @return array{joiner: string, items: list<mixed>} */
    public function toArray(): array
    {
        return ['joiner' => $this->joiner->value, 'items' => array_map(static fn (Message|Amount|string $i): mixed => is_string($i) ? $i : $i->toArray(), $this->items)];
    }

    /** @param  mixed  $kept  what toArray() gave; anything else is no listing */
    public static function fromArray(mixed $kept): ?self
    {
        $joiner = is_array($kept) && is_string($kept['joiner'] ?? null) ? Joiner::tryFrom($kept['joiner']) : null;
        if ($joiner === null || ! is_array($kept) || ! is_array($kept['items'] ?? null)) {
            return null;
        }
        $items = [];
        foreach ($kept['items'] as $item) {
            $read = Message::figure($item);
            if ($read === null || $read instanceof self) {
                return null;
            }
            $items[] = $read;
        }

        return new self($joiner, $items);
    }

    /** @param  list<Message|Amount|string>  $items  all of them hold */
    public static function and(array $items): self
    {
        return new self(Joiner::And, $items);
    }

    /** @param  list<Message|Amount|string>  $items  a plain enumeration */
    public static function comma(array $items): self
    {
        return new self(Joiner::Comma, $items);
    }

    /** @param  list<Message|Amount|string>  $items  longer parts of one sentence */
    public static function semicolon(array $items): self
    {
        return new self(Joiner::Semicolon, $items);
    }

    /** @param  list<Message|Amount|string>  $items  figures of one plate, each apart from the next */
    public static function dotted(array $items): self
    {
        return new self(Joiner::Dot, $items);
    }

    /** @param  list<Message|Amount|string>  $items  side by side */
    public static function spaced(array $items): self
    {
        return new self(Joiner::Space, $items);
    }
}
