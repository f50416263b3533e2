<?php

declare(strict_types=1);

namespace Harmozon\Core\Equipment;

/** What one network requires before a session, and how much of it is done. */
final readonly class NetworkSetUp
{
    /**
     * @param  array<string, SetUpState>  $steps  by SetUpStep; one that nobody has looked at is not among them
     * @param  string|null  $helpLine  its telephone number for drivers; null when not read
     */
    public function __construct(public string $name, public array $steps, public ?string $helpLine = null)
    {
    }

    /** Whether this is the network's name, ignoring case and spaces around it. */
    public function isCalled(string $name): bool
    {
        return self::isSame($name, $this->name);
    }

    /** Whether two typed names mean the same network: case and spaces around them don't matter. */
    public static function isSame(string $one, string $other): bool
    {
        return mb_strtolower(trim($one)) === mb_strtolower(trim($other));
    }

    /** Whether every step has been checked. */
    public function isLookedAt(): bool
    {
        return count($this->steps) === count(SetUpStep::cases());
    }

    /** @return list<SetUpStep> in their order */
    public function in(SetUpState $state): array
    {
        return array_values(array_filter(SetUpStep::cases(), fn (SetUpStep $s): bool => ($this->steps[$s->value] ?? null) === $state));
    }
}
