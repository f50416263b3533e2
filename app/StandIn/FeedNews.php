<?php

declare(strict_types=1);

namespace App\StandIn;

use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;

/** What a feed has to tell. */
final readonly class FeedNews
{
    private function __construct(public Message $message, public bool $isTrouble)
    {
    }

    /**
     * @param  int  $sent  so far
     * @param  int  $added  of them that the server did not know yet
     */
    public static function sent(int $sent, int $all, int $added): self
    {
        return new self(Message::of('feed.sent', sent: Amount::count($sent), all: Amount::count($all), added: Amount::count($added)), false);
    }

    public static function waiting(int $held): self
    {
        return new self(Message::of('feed.waiting', count: Amount::count($held)), true);
    }

    public static function ended(): self
    {
        return new self(Message::of('feed.ended'), false);
    }

    public static function refused(string $why): self
    {
        return new self(Message::of('feed.refused', why: $why), true);
    }
}
