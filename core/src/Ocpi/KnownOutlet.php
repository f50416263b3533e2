<?php

declare(strict_types=1);

namespace Harmozon\Core\Ocpi;

/** An outlet of the garage, and what the last file said about it. */
final readonly class KnownOutlet
{
    /**
     * @param  array<string, mixed>  $spec  as it is in the garage
     * @param  FileOutlet|null  $last  null when it never came from a file
     * @param  bool  $isAside  whether it is deleted here
     */
    public function __construct(public string $id, public string $name, public array $spec, public ?FileOutlet $last, public bool $isAside = false)
    {
    }

    /** @return list<string> of the stalls it has, or had when it last came */
    public function stallKeys(): array
    {
        return array_values(array_unique([...StallKey::each($this->spec), ...($this->last?->stallKeys() ?? [])]));
    }

    /** Whether it is our own entry, from an export. */
    public function isMeantBy(FileOutlet $outlet): bool
    {
        if ($this->last !== null) {
            return false;
        }
        $uids = array_map(static fn (string $key): string => explode('/', $key)[0], $outlet->stallKeys());
        $ours = array_map(fn (int $at): string => StallKey::uidOfOurs($this->id, $at), array_keys(is_array($this->spec['stalls'] ?? null) ? $this->spec['stalls'] : []));

        return $uids !== [] && array_diff($uids, $ours, [StallKey::uidOfOurs($this->id, null)]) === [];
    }
}
