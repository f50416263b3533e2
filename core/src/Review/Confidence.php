<?php

declare(strict_types=1);

namespace Harmozon\Core\Review;

use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Term;

/** How sure a cause is. */
enum Confidence: string implements Term
{
    /** So close to a figure of the chain a level counts as at it, and as near to it (shares). */
    private const AT = 0.03;

    private const NEAR = 0.06;

    /** Rounding of shares. */
    private const SAME = 1e-9;

    case High = 'high';
    case Medium = 'medium';
    case Low = 'low';

    /**
     * @param  float  $share  by how much the level is off the figure that the cause rests on
     * @param  bool  $isMeasured  volts and amps were read, not worked out
     */
    public static function at(float $share, bool $isMeasured): self
    {
        $off = abs($share);

        return match (true) {
            $off <= self::AT + self::SAME && $isMeasured => self::High,
            $off <= self::NEAR + self::SAME => self::Medium,
            default => self::Low,
        };
    }

    public function message(): Message
    {
        return Message::of('confidence.'.$this->value);
    }
}
