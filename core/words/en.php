<?php

declare(strict_types=1);

/*
 * English. A pattern is ICU's message format: {name} is a figure of the message, {Name} the same at the beginning of a
 * sentence. Codes begin with the subject they belong to. One file per room of the core; another language is another folder
 * with the same codes.
 */
return array_merge(...array_map(static fn (string $file): array => require $file, glob(__DIR__.'/en/*.php') ?: []));
