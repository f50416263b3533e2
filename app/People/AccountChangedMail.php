<?php

declare(strict_types=1);

namespace App\People;

use App\Models\User;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Voice;
use Illuminate\Notifications\Messages\MailMessage;
use Illuminate\Notifications\Notification;

/** Tells a person that what opens their account was changed, in case it was not them (OWASP ASVS 4.0.3, V2.2.3). */
final class AccountChangedMail extends Notification
{
    /** @param  Message  $what  a whole mail */
    private function __construct(private readonly Message $what)
    {
    }

    public static function password(User $person): self
    {
        return new self(Message::of('mail.password_changed', name: $person->name));
    }

    public static function address(User $person, string $now): self
    {
        return new self(Message::of('mail.address_changed', name: $person->name, email: $now));
    }

    /** @return list<string> */
    public function via(): array
    {
        return ['mail'];
    }

    public function toMail(): MailMessage
    {
        $voice = app(Voice::class);

        return (new MailMessage)->subject($voice->say(Message::of('mail.changed_subject')))->view(['text' => 'mail.plain'], ['text' => $voice->say($this->what)]);
    }
}
