<?php

declare(strict_types=1);

namespace App\People;

use Illuminate\Contracts\Foundation\Application;
use Illuminate\Notifications\Notification;
use Illuminate\Support\Facades\Notification as Mails;

/**
 * Sends mails after the response: nobody waits for them, the timing doesn't reveal who has an account, and a mail that
 * fails breaks nothing else.
 */
final readonly class DeferredMail
{
    public function __construct(private Application $app)
    {
    }

    public function send(string $address, Notification $mail): void
    {
        $this->later(static fn () => Mails::route('mail', $address)->notify($mail));
    }

    /** @param  callable(): mixed  $task */
    public function later(callable $task): void
    {
        // An application that answers more than once runs what ends it after every answer.
        $isDone = false;
        $this->app->terminating(static function () use ($task, &$isDone): void {
            if ($isDone) {
                return;
            }
            $isDone = true;
            try {
                $task();
            } catch (\Throwable $e) {
                report($e);
            }
        });
    }
}
