<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\People\PasswordRule;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Str;

/** What makes an account: a name, an address that nobody has yet, a password. */
class AccountRequest extends FormRequest
{
    protected function prepareForValidation(): void
    {
        if (is_string($this->input('email'))) {
            $this->merge(['email' => Str::lower(trim($this->input('email')))]);
        }
    }

    /** Addresses of the made-up garages are nobody's own. */
    public static function notMadeUp(): string
    {
        return 'doesnt_end_with:'.config('harmozon.demo_domain');
    }

    /** @return array<string, list<mixed>> */
    public function rules(PasswordRule $password): array
    {
        return [
            'name' => ['required', 'string', 'max:120'],
            'email' => ['required', 'string', 'email', 'max:254', 'unique:users,email', self::notMadeUp()],
            'password' => ['required', $password],
        ];
    }
}
