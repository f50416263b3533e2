<?php

declare(strict_types=1);

namespace Harmozon\Core\Review;

/** One cause that can limit a session, and how it is recognised. */
interface CauseRule
{
    /** Null where it is not that. */
    public function find(CauseEvidence $evidence): ?Finding;
}
