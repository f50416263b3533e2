<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** A token for a logger: its name, and how many days it is valid. */
final class TokenRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['name' => ['required', 'string', 'max:60'], 'days' => ['required', 'integer', 'min:1', 'max:730']];
    }
}
