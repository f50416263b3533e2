<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** A garage's document, and whether it replaces pieces that differ here. */
final class MoveRequest extends FileRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [...parent::rules(), 'replace' => ['sometimes', 'nullable', 'in:0,1,true,false']];
    }
}
