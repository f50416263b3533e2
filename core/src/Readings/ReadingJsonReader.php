<?php

declare(strict_types=1);

namespace Harmozon\Core\Readings;

use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Json\Node;
use Harmozon\Core\Json\Range;
use Harmozon\Core\Record\Point;
use Harmozon\Core\Record\Reading;
use Harmozon\Core\Words\Message;

/** Reads one typed reading, in the column names of the readings file. */
final class ReadingJsonReader
{
    public function __construct(private readonly int $longestSource = Reading::LONGEST_SOURCE)
    {
    }

    /** @throws FieldError */
    public function reading(Node $node): Reading
    {
        $tS = $node->number('t_s', Range::seconds(ReadingColumns::LONGEST_S)) ?? throw $node->fail('t_s', Message::of('field.required'));
        $celsius = [];
        foreach (Point::cases() as $point) {
            $value = $node->number($point->value.'_c', Range::readCelsius());
            if ($value !== null) {
                $celsius[$point->value] = $value;
            }
        }
        $reading = new Reading(
            (int) round(1000 * $tS),
            $node->number('soc_pct', Range::soc()),
            $node->number('volts', Range::readVolts()),
            $node->number('amps', Range::readAmps()),
            $node->number('kw', Range::readKw()),
            $celsius,
            $node->textOrNull('source', $this->longestSource),
            $node->textOrNull('note', Reading::LONGEST_NOTE),
        );

        return $reading->holdsAnything() ? $reading : throw FieldError::at($node->path, Message::of('readings.no_value_typed'));
    }
}
