<?php

declare(strict_types=1);

namespace Harmozon\Core\Record;

/** Minutes above the continuous rating, and the minutes that the boost rating allows. */
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
