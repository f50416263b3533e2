<?php

declare(strict_types=1);

namespace Harmozon\Core\Files;

use Harmozon\Core\Record\Point;
use Harmozon\Core\Record\Reading;

/** Reads one typed reading, in the column names of the readings file. */
final class ReadingJsonReader
{
    /** Seconds since plugging in that a session may last: 100 days. */
    private const LONGEST_S = 8_640_000.0;

    /** @throws FieldError */
    public function reading(Node $node): Reading
    {
        $tS = $node->number('t_s', Range::seconds(self::LONGEST_S)) ?? throw $node->fail('t_s', 'is required');
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
            $node->textOrNull('source', 40),
            $node->textOrNull('note', 300),
        );

        return $reading->holdsAnything() ? $reading : throw FieldError::at($node->path, 'holds no value: give at least one of charge, volts, amps, kW or a temperature');
    }
}
