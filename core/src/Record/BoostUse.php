<?php

declare(strict_types=1);

namespace Harmozon\Core\Record;

/** The minutes that amps were above the continuous rating, beside those of the boost rating. */
final readonly class BoostUse
{
    /**
     * @param  float|null  $minutesOver  that were read
     * @param  float|null  $minutesUnread  that lie in gaps nobody read
     * @param  float|null  $minutesPossible  the most between two rests with those that nobody read
     * @param  bool  $isOverrun  by what was read
     * @param  bool  $mayBeOverrun  only together with what nobody read
     */
    public function __construct(
        public ?float $minutesOver = null,
        public ?float $minutesUnread = null,
        public ?float $minutesPossible = null,
        public ?float $thetaMax = null,
        public bool $isOverrun = false,
        public bool $mayBeOverrun = false,
    ) {
    }
}
