<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

final class UnitsRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['units' => ['required', 'string', 'in:metric,us']];
    }

    public function units(): string
    {
        return $this->string('units')->toString();
    }
}
