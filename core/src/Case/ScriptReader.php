<?php

declare(strict_types=1);

namespace Harmozon\Core\Case;

use Harmozon\Core\Bench\Script;
use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Json\Node;
use Harmozon\Core\Json\Range;
use Harmozon\Core\Record\Reading;
use Harmozon\Core\Words\Message;

/** Reads what the stand-in should simulate. */
final class ScriptReader
{
    /** @throws FieldError */
    public function script(Node $node): Script
    {
        return new Script(
            $node->wholeNumber('seed', 0, PHP_INT_MAX) ?? throw $node->fail('seed', Message::of('field.required')),
            $node->wholeNumber('every_s', 1, 3600) ?? Script::EVERY_S,
            $node->texts('reads') ?? Script::READS,
            $node->number('longest_minutes', Range::minutes()) ?? Script::LONGEST_MINUTES,
            $node->boolOrNull('ignores_heat') ?? false,
            $node->boolOrNull('fails_to_start') ?? false,
            $node->textOrNull('source', Reading::LONGEST_SOURCE) ?? Script::SOURCE,
        );
    }
}
