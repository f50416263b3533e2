<?php

declare(strict_types=1);

namespace Harmozon\Core\Ocpi;

/** One figure of a plate that is different in the file. */
final readonly class FigureChange
{
    /**
     * @param  string  $path  dotted, in the words of the case file; `name` is the outlet's
     * @param  mixed  $here  as it is in the garage
     * @param  mixed  $file  as the file has it
     * @param  bool  $isKept  whether somebody here wrote it: then it stays, and is only told
     */
    public function __construct(public string $path, public mixed $here, public mixed $file, public bool $isKept)
    {
    }
}
