<?php

declare(strict_types=1);

namespace App\Database;

/**
 * For whoever writes much in the background: people who write meanwhile come first. SQLite has one writer at a time, and
 * those who wait for it look again only now and then, so somebody who takes it back at once would keep it.
 */
final class GivesWay
{
    /** Pause after a write while others write, as a multiple of how long it took. */
    private const PAUSE_TIMES = 3.0;

    /** For so many writes after others were last seen, they are taken to be about. */
    private const STAYS_WRITES = 20;

    private ?int $seen = null;

    private int $left = 0;

    /** Whether others have written lately: then it is better to write little at once. */
    public function areOthersAbout(): bool
    {
        return $this->left > 0;
    }

    /**
     * Pauses where others have written since the last time.
     *
     * @param  float  $seconds  that the write took
     */
    public function afterWriting(float $seconds): void
    {
        $version = Dialect::ofConnection()->writesOfOthers();
        if ($version === null) {
            return;
        }
        $this->left = $this->seen !== null && $version !== $this->seen ? self::STAYS_WRITES : max(0, $this->left - 1);
        $this->seen = $version;
        if ($this->left > 0) {
            usleep((int) (1e6 * self::PAUSE_TIMES * $seconds));
        }
    }
}
