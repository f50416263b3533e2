<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** A network's Locations file, and what its own words are assigned to. */
final class LocationsRequest extends FileRequest
{
    /** Of what is assigned, as JSON. */
    private const LONGEST_TERMS = 20_000;

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [...parent::rules(), 'terms' => ['sometimes', 'nullable', 'string', 'max:'.self::LONGEST_TERMS]];
    }

    /** @return string|null JSON, as NetworkTerms reads it */
    public function terms(): ?string
    {
        $terms = $this->validated('terms');

        return is_string($terms) ? $terms : null;
    }
}
