<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests;

use Harmozon\Core\Words\Language;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Refusal;
use Harmozon\Core\Words\Voice;

/** What a message says in English, °C and metres. */
final class Say
{
    private static ?Voice $voice = null;

    public static function voice(): Voice
    {
        return self::$voice ??= new Voice(Language::english());
    }

    public static function it(?Message $message): string
    {
        return $message === null ? '' : self::voice()->say($message);
    }

    /** @param  list<Message>  $messages */
    public static function all(array $messages): string
    {
        return self::voice()->paragraph($messages);
    }

    /** What a call is refused with; nothing when it is not. */
    public static function refusal(callable $call): string
    {
        try {
            $call();
        } catch (Refusal $e) {
            return self::complaint($e);
        }

        return '';
    }

    public static function complaint(Refusal $refusal): string
    {
        return self::it($refusal->complaint());
    }
}
