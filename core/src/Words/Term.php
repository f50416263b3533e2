<?php

declare(strict_types=1);

namespace Harmozon\Core\Words;

/** A member of a closed set with a name: outcomes, verdicts, protocols, port corners. */
interface Term extends \BackedEnum
{
    /** Its name, as it stands inside a sentence. */
    public function message(): Message;
}
