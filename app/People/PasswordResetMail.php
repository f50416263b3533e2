<?php

declare(strict_types=1);

namespace App\People;

use App\Models\User;
use App\Words\SpokenLanguage;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Voice;
use Illuminate\Notifications\Messages\MailMessage;
use Illuminate\Notifications\Notification;
use Illuminate\Support\Facades\App;

/** The mail with the link for setting a new password. */
final class PasswordResetMail extends Notification
{
    public function __construct(#[\SensitiveParameter] private readonly string $token)
    {
    }

    /** @return list<string> */
    public function via(): array
    {
        return ['mail'];
    }

    public function toMail(User $person): MailMessage
    {
        // Whoever asked may be at a browser of somebody else's.
        $voice = new Voice(SpokenLanguage::of($person->language ?? App::getLocale()));
        $minutes = config('auth.passwords.users.expire');

        return (new MailMessage)
            ->subject($voice->say(Message::of('mail.forgotten_subject')))
            ->view(['text' => 'mail.plain'], ['text' => $voice->say(Message::of(
                'mail.forgotten',
                name: $person->name,
                link: AppLinks::newPassword($person->email, $this->token),
                minutes: Amount::minutes(is_int($minutes) ? $minutes : 60),
            ))]);
    }
}
