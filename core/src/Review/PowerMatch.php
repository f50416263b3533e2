<?php

declare(strict_types=1);

namespace Harmozon\Core\Review;

use Harmozon\Core\Words\Message;

/** How a power reading compares with the forecast. */
enum PowerMatch: string
{
    /** Below this share of the forecast a stall is worth leaving. */
    public const LEAVE_BELOW_SHARE = 0.7;

    /** From this share on, and as far above 1, it is as forecast. */
    public const NEAR_FROM_SHARE = 0.92;

    case Leave = 'leave';
    case Less = 'less';
    case Near = 'near';
    case More = 'more';

    public function message(): Message
    {
        return Message::of('nearness.'.$this->value);
    }
}
