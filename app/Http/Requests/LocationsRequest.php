<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Http\UploadedFile;

/** A network's Locations file, its prices, and what its own words are assigned to. */
final class LocationsRequest extends FileRequest
{
    /** Of what is assigned, as JSON. */
    private const LONGEST_TERMS = 20_000;

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [...parent::rules(), 'tariffs' => ['sometimes', 'nullable', 'file', $this->largest()], 'terms' => ['sometimes', 'nullable', 'string', 'max:'.self::LONGEST_TERMS]];
    }

    /** Its Tariffs file; null where none was sent. */
    public function tariffs(): ?UploadedFile
    {
        $file = $this->file('tariffs');

        return $file instanceof UploadedFile ? $file : null;
    }

    /** @return string|null JSON, as NetworkTerms reads it */
    public function terms(): ?string
    {
        $terms = $this->validated('terms');

        return is_string($terms) ? $terms : null;
    }
}
