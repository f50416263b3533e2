<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Words;

/** One place where a message is made. */
final readonly class MessageCall
{
    /**
     * @param  list<string>  $codes  those it may have; none when they cannot be followed
     * @param  list<string>|null  $figures  their names; null when they cannot be followed
     */
    public function __construct(public string $where, public array $codes, public ?array $figures)
    {
    }
}
