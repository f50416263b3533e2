<?php

declare(strict_types=1);

namespace Harmozon\Core\Review;

use Harmozon\Core\Words\Message;

/** Another difference between two sessions, apart from the piece in question. */
final readonly class Confounder
{
    /**
     * @param  string  $code  part of the contract of `harmozon:compare`
     * @param  Message  $name  inside a sentence
     * @param  Message  $detail  with its figures
     */
    public function __construct(public string $code, public Message $name, public Message $detail)
    {
    }
}
