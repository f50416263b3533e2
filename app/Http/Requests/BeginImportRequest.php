<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** A readings file that is about to arrive. */
final class BeginImportRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['name' => ['required', 'string', 'max:200'], 'bytes' => ['required', 'integer', 'min:1']];
    }
}
