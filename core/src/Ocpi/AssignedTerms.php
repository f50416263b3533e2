<?php

declare(strict_types=1);

namespace Harmozon\Core\Ocpi;

/** Words that a network made up, with the meanings that a person has assigned. */
final readonly class AssignedTerms
{
    /** The word's entries are left out. */
    public const LEFT_OUT = '';

    /**
     * @param  array<string, string>  $standards  the coupler's id by the network's connector standard
     * @param  array<string, EvseStatus>  $statuses  by the network's status
     */
    public function __construct(public array $standards = [], public array $statuses = [])
    {
    }

    /** The same with one more word, or another meaning for one. */
    public function with(TermKind $kind, string $theirs, string $ours): self
    {
        return match ($kind) {
            TermKind::Standard => new self(array_replace($this->standards, [$theirs => $ours]), $this->statuses),
            TermKind::Status => new self($this->standards, array_replace($this->statuses, [$theirs => EvseStatus::from($ours)])),
        };
    }

    /** @return string|null ours; null when nobody has said */
    public function meaningOf(TermKind $kind, string $theirs): ?string
    {
        return match ($kind) {
            TermKind::Standard => $this->standards[$theirs] ?? null,
            TermKind::Status => isset($this->statuses[$theirs]) ? $this->statuses[$theirs]->value : null,
        };
    }
}
