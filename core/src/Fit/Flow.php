<?php

declare(strict_types=1);

namespace Harmozon\Core\Fit;

/** Whether current is expected to flow. */
enum Flow: string
{
    case Yes = 'yes';

    /** Once the open facts turn out well. */
    case Maybe = 'maybe';

    case No = 'no';
}
