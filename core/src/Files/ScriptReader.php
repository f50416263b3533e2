<?php

declare(strict_types=1);

namespace Harmozon\Core\Files;

use Harmozon\Core\Bench\Script;

/** Reads what the stand-in should act out. */
final class ScriptReader
{
    /** @throws FieldError */
    public function script(Node $node): Script
    {
        return new Script(
            $node->wholeNumber('seed', 0, PHP_INT_MAX) ?? throw $node->fail('seed', 'is required'),
            $node->wholeNumber('every_s', 1, 3600) ?? 10,
            $node->texts('reads') ?? ['soc', 'v', 'a', 'kw'],
            $node->number('longest_minutes', Range::minutes()) ?? 600.0,
            $node->boolOrNull('ignores_heat') ?? false,
            $node->boolOrNull('fails_to_start') ?? false,
            $node->textOrNull('source', 40) ?? 'stand-in',
        );
    }
}
