<?php

declare(strict_types=1);

namespace Harmozon\Core\Fit;

/** Where in a visit a caution matters. */
enum CautionPlace
{
    case Park;
    case Screen;
    case Access;
    case Contacts;
    case Join;

    /** The order in which the pieces are joined. */
    case Order;

    case Power;
    case Stop;
}
