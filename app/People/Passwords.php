<?php

declare(strict_types=1);

namespace App\People;

use App\Models\User;
use Illuminate\Support\Facades\Password;
use Illuminate\Support\Str;

/** Changes and resets passwords. */
final readonly class Passwords
{
    public function __construct(private DeferredMail $mail)
    {
    }

    /**
     * Sets a new password and signs out every browser that used the old one.
     *
     * @param  string|null  $but  the browser session that stays
     */
    public function set(User $person, #[\SensitiveParameter] string $password, ?string $but = null): void
    {
        $person->forceFill(['password' => $password, 'remember_token' => Str::random(60)])->save();
        Devices::of($person)->signOutAll($but);
        $this->mail->send($person->email, AccountChangedMail::password($person));
    }

    /** Sends the link if there is such an account. */
    public function sendLink(string $email): void
    {
        $this->mail->later(static fn () => Password::sendResetLink(['email' => $email], static function (User $person, #[\SensitiveParameter] string $token): void {
            $person->notify(new PasswordResetMail($token));
        }));
    }

    /** Null where the link was used, has expired, or is invalid. */
    public function setByLink(string $email, #[\SensitiveParameter] string $token, #[\SensitiveParameter] string $password): ?User
    {
        $changed = null;
        Password::reset(['email' => $email, 'token' => $token, 'password' => $password], function (User $person, #[\SensitiveParameter] string $password) use (&$changed): void {
            $this->set($person, $password);
            $changed = $person;
        });

        return $changed;
    }
}
