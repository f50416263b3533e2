<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** A board, or the part of it that is in view. */
final class CellsRequest extends BoardRequest
{
    /** As long as an address may well be. */
    private const LONGEST = 6000;

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [...parent::rules(), 'outlets' => ['sometimes', 'string', 'max:'.self::LONGEST], 'vehicles' => ['sometimes', 'string', 'max:'.self::LONGEST], 'first' => ['sometimes', 'integer', 'min:1', 'max:200']];
    }

    /** The number of outlets from the top, before the page knows their ids; null when ids are given. */
    public function first(): ?int
    {
        return $this->has('first') ? $this->integer('first') : null;
    }

    /** @return list<string>|null public ids; null for every one */
    public function outlets(): ?array
    {
        return $this->ids('outlets');
    }

    /** @return list<string>|null public ids; null for every one */
    public function vehicles(): ?array
    {
        return $this->ids('vehicles');
    }

    /** @return list<string>|null */
    private function ids(string $field): ?array
    {
        return $this->has($field) ? array_values(array_unique(explode(',', $this->string($field)->toString()))) : null;
    }
}
