<?php

declare(strict_types=1);

namespace Harmozon\Core\Review;

/** One cause that can limit a session, and how it is recognised. */
interface CauseRule
{
    /** Null where it isn't this cause. */
    public function find(CauseEvidence $evidence): ?Finding;
}
