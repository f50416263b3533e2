<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** A session begins on exactly one chain: the adapters are those in it, none for a direct joint. */
final class BeginSessionRequest extends FitRequest
{
    protected function prepareForValidation(): void
    {
        $this->merge(['exact' => true]);
    }

    public function rules(): array
    {
        return [...parent::rules(), 'adapters' => ['present', 'list', 'max:3'], 'note' => ['nullable', 'string', 'max:1000']];
    }
}
