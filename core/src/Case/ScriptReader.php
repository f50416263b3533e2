<?php

declare(strict_types=1);

namespace Harmozon\Core\Case;

use Harmozon\Core\Bench\Quirks;
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
        $fault = $node->textOrNull('fault');

        return new Script(
            seed: $node->wholeNumber('seed', 0, PHP_INT_MAX) ?? throw $node->fail('seed', Message::of('field.required')),
            everyS: $node->wholeNumber('every_s', 1, Script::SLOWEST_S) ?? Script::EVERY_S,
            reads: $node->texts('reads') ?? Script::READS,
            longestMinutes: $node->number('longest_minutes', Range::minutes()) ?? Script::LONGEST_MINUTES,
            source: $node->textOrNull('source', Reading::LONGEST_SOURCE) ?? Script::SOURCE,
            fault: $fault === null ? null : FaultReader::fault($fault, $node->at('fault')),
            quirks: new Quirks(
                $node->boolOrNull('ignores_heat') ?? false,
                $node->number('wear', Range::heatLoad()) ?? 1.0,
                $node->number('settle_minutes', Range::minutes()) ?? 0.0,
            ),
        );
    }
}
