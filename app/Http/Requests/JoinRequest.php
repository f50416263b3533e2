<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Invitation;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Voice;

/** An account made with an invitation. Without an open one, nothing that was typed is checked, so that nobody learns who has an account. */
final class JoinRequest extends AccountRequest
{
    public function authorize(Voice $voice): bool
    {
        $token = $this->route('token');
        if (! is_string($token) || Invitation::open($token) === null) {
            abort(404, $voice->say(Message::of('app.invitation_gone')));
        }

        return true;
    }
}
