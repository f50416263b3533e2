<?php

declare(strict_types=1);

namespace Harmozon\Core\Review;

/** One segment of a session, and what limited it. */
final readonly class LimitedSegment
{
    /** Limits this close count as the same: one is the other as reduced by wear or ambient (share). */
    private const SAME_LIMIT = 0.03;

    /** Unexplained segments are listed separately when their levels differ by more than this (share). */
    private const SAME_LEVEL = 0.2;

    /** @param  float|null  $levelKw  mean over the segment; null when kW were neither read nor follow */
    public function __construct(
        public Finding $finding,
        public float $fromS,
        public float $toS,
        public ?float $levelKw = null,
        public Loss $loss = new Loss,
    ) {
    }

    private function seconds(): float
    {
        return $this->toS - $this->fromS;
    }

    /** Both together, where the second goes on from the first. */
    public function and(self $next): self
    {
        $longer = $this->seconds() >= $next->seconds() ? $this : $next;
        $seconds = $next->toS - $this->fromS;
        $level = $this->levelKw === null || $next->levelKw === null || $seconds <= 0
            ? $longer->levelKw
            : ($this->levelKw * $this->seconds() + $next->levelKw * $next->seconds()) / $seconds;

        return new self($this->finding->lasting($longer->finding->confidence, $seconds), $this->fromS, $next->toS, $level, $this->loss->and($next->loss));
    }

    public function isSameAs(self $other): bool
    {
        [$found, $there] = [$this->finding, $other->finding];
        $isOtherLevel = $found->cause === Cause::Unexplained && abs(($other->levelKw ?? 0.0) - ($this->levelKw ?? 0.0)) > self::SAME_LEVEL * ($this->levelKw ?? 0.0);

        return $found->cause === $there->cause && $found->linkId === $there->linkId && ! $isOtherLevel
            && ($found->limit === $there->limit || ($found->limit !== null && $there->limit !== null && abs($found->limit - $there->limit) <= self::SAME_LIMIT * $found->limit));
    }
}
