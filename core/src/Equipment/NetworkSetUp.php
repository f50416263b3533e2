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

    /** Names of networks are written as people write them. */
    public function isCalled(string $name): bool
    {
        return self::isSame($name, $this->name);
    }

    /** Names of networks are typed by people: neither case nor spaces around them tell two apart. */
    public static function isSame(string $one, string $other): bool
    {
        return mb_strtolower(trim($one)) === mb_strtolower(trim($other));
    }

    /** Whether somebody has looked at every step. */
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
