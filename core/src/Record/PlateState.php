<?php

declare(strict_types=1);

namespace Harmozon\Core\Record;

use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Term;

/** A peak compared with its limit. */
enum PlateState: string implements Term
{
    case Within = 'within';
    case Close = 'close';
    case Over = 'over';
    case NotMeasured = 'not_measured';

    /** From this share of the limit a peak is close to it. */
    public const CLOSE_FROM = 0.9;

    public static function of(float $peak, float $limit, float $tolerance): self
    {
        return match (true) {
            $peak > $limit * (1 + $tolerance) => self::Over,
            $peak >= $limit * self::CLOSE_FROM => self::Close,
            default => self::Within,
        };
    }

    /** How bad it is: the worst is the greatest. */
    public function rank(): int
    {
        return match ($this) {
            self::NotMeasured => 0,
            self::Within => 1,
            self::Close => 2,
            self::Over => 3,
        };
    }

    /**
     * The worst state of a whole piece; it is within only if every one of its ratings was measured.
     *
     * @param  non-empty-list<self>  $states
     */
    public static function together(array $states): self
    {
        foreach ([self::Over, self::Close, self::NotMeasured] as $state) {
            if (in_array($state, $states, true)) {
                return $state;
            }
        }

        return self::Within;
    }

    public function message(): Message
    {
        return Message::of('plate_state.'.$this->value);
    }
}
