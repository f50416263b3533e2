<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\People\GarageFields;
use App\People\PasswordRule;

/** An account together with its first garage. */
final class FoundingRequest extends AccountRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(PasswordRule $password): array
    {
        return [...parent::rules($password), 'garage' => ['required', 'array'], ...GarageFields::rules('garage.')];
    }
}
