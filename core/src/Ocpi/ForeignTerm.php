<?php

declare(strict_types=1);

namespace Harmozon\Core\Ocpi;

/** A word of the file that the interface does not know. */
final readonly class ForeignTerm
{
    /**
     * @param  string|null  $ours  what it was assigned to; null when nobody has said
     * @param  int  $times  how often the file uses it
     */
    public function __construct(public TermKind $kind, public string $theirs, public ?string $ours, public int $times)
    {
    }
}
