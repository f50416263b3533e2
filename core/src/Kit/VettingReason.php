<?php

declare(strict_types=1);

namespace Harmozon\Core\Kit;

use Harmozon\Core\Words\Message;

/** One reason for a verdict. */
final readonly class VettingReason
{
    /** @param  string  $code  a question's, or what is wrong with the adapter */
    private function __construct(public string $code, public Weight $weight, public Message $detail, public bool $isDecisive)
    {
    }

    /** A reason to leave it, whatever else is said. */
    public static function against(string $code, Message $detail): self
    {
        return new self($code, Weight::High, $detail, true);
    }

    public static function toAsk(string $code, Weight $weight, Message $detail): self
    {
        return new self($code, $weight, $detail, false);
    }
}
