<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** A chain, and the driver's stall, once it is known. */
final class StepsRequest extends FitRequest
{
    public function rules(): array
    {
        return [...parent::rules(), 'stall' => ['nullable', 'string', 'max:60']];
    }

    public function stall(): ?string
    {
        $stall = $this->validated('stall');

        return is_string($stall) ? $stall : null;
    }
}
