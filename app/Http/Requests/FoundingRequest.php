<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\People\Founding;
use App\People\GarageFields;
use App\People\PasswordRule;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Voice;

/** An account together with its first garage. Where the door is closed, nothing that was typed is looked at: nobody learns who has an account. */
final class FoundingRequest extends AccountRequest
{
    public function authorize(Founding $founding, Voice $voice): bool
    {
        if ($founding->door() === 'closed') {
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
