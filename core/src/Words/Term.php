<?php

declare(strict_types=1);

namespace Harmozon\Core\Words;

/** One of a closed set of things that have names: outcomes, verdicts, languages, corners. */
interface Term extends \BackedEnum
{
    /** Its name, as it stands inside a sentence. */
    public function message(): Message;
}
