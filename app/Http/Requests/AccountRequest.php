<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\People\AccountFields;
use App\People\PasswordRule;
use Illuminate\Foundation\Http\FormRequest;

/** What makes an account: a name, an address that nobody has yet, a password. */
class AccountRequest extends FormRequest
{
    protected function prepareForValidation(): void
    {
        $this->merge(['email' => AccountFields::kept($this->input('email'))]);
    }

    /** @return array<string, list<mixed>> */
    public function rules(PasswordRule $password): array
    {
        return ['name' => ['required', ...AccountFields::name()], 'email' => ['required', ...AccountFields::email()], 'password' => ['required', $password]];
    }
}
