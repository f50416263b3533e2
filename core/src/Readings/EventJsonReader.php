<?php

declare(strict_types=1);

namespace Harmozon\Core\Readings;

use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Json\Node;
use Harmozon\Core\Json\Range;
use Harmozon\Core\Record\Event;
use Harmozon\Core\Record\EventCode;
use Harmozon\Core\Words\Message;

/** Reads one noted event. */
final class EventJsonReader
{
    /** @throws FieldError */
    public function event(Node $node): Event
    {
        $tS = $node->number('t_s', Range::seconds(ReadingColumns::LONGEST_S)) ?? throw $node->fail('t_s', Message::of('field.required'));

        $code = $node->choice('code', EventCode::class) ?? throw $node->fail('code', Message::of('field.required'));

        return new Event(
            $code,
            (int) round(1000 * $tS),
            $node->textOrNull('detail', Event::LONGEST_DETAIL),
        );
    }
}
