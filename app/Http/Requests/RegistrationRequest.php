<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\People\GarageFields;
use App\People\PasswordRule;
use App\People\Registration;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Voice;

/** An account together with its first garage. Where registration is closed, nothing that was typed is checked, so that nobody learns who has an account. */
final class RegistrationRequest extends AccountRequest
{
    public function authorize(Registration $registration, Voice $voice): bool
    {
        if ($registration->mode() === 'closed') {
            abort(403, $voice->say(Message::of('app.door_closed')));
        }

        return true;
    }

    /** @return array<string, list<mixed>> */
    public function rules(PasswordRule $password): array
    {
        return [...parent::rules($password), 'garage' => ['required', 'array'], ...GarageFields::rules('garage.')];
    }
}
