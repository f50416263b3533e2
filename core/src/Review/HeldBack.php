<?php

declare(strict_types=1);

namespace Harmozon\Core\Review;

use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;

/** One stretch of a session, and what held it back there. */
final readonly class HeldBack
{
    /** What wear and air leave of a figure is that figure, told as one (share). */
    private const SAME_LIMIT = 0.03;

    /** What nothing explains is told level by level (share). */
    private const SAME_LEVEL = 0.2;

    /**
     * @param  string|null  $linkId  the link whose figure it is; null where it is none's
     * @param  float|null  $limit  that figure (A or kW)
     * @param  float|null  $levelKw  mean over the stretch; null when kW were neither read nor follow
     * @param  float|null  $lostKwh  what the reference would have brought more in the same time; null without a reference
     * @param  float|null  $lostMinutes  what the reference would have been quicker for the same charge
     * @param  float|null  $behindCarKwh  what the car alone would have taken more in the same time
     * @param  float|null  $behindCarMinutes  what the car alone would have been quicker for the same charge
     */
    public function __construct(
        public Cause $cause,
        public Confidence $confidence,
        public float $fromS,
        public float $toS,
        public Message $evidence,
        public Message $tryNext,
        public ?string $linkId = null,
        public ?float $limit = null,
        public ?float $levelKw = null,
        public ?float $lostKwh = null,
        public ?float $lostMinutes = null,
        public ?float $behindCarKwh = null,
        public ?float $behindCarMinutes = null,
    ) {
    }

    private function seconds(): float
    {
        return $this->toS - $this->fromS;
    }

    /** Both together, where the second goes on from the first. */
    public function and(self $next): self
    {
        $sum = static fn (?float $a, ?float $b): ?float => $a === null || $b === null ? $a ?? $b : $a + $b;
        $longer = $this->seconds() >= $next->seconds() ? $this : $next;
        $seconds = $next->toS - $this->fromS;
        $level = $this->levelKw === null || $next->levelKw === null || $seconds <= 0
            ? $longer->levelKw
            : ($this->levelKw * $this->seconds() + $next->levelKw * $next->seconds()) / $seconds;

        return new self(
            $this->cause, $longer->confidence, $this->fromS, $next->toS, $this->evidence->lasting(Amount::minutes($seconds / 60)), $this->tryNext, $this->linkId, $this->limit, $level,
            $sum($this->lostKwh, $next->lostKwh), $sum($this->lostMinutes, $next->lostMinutes),
            $sum($this->behindCarKwh, $next->behindCarKwh), $sum($this->behindCarMinutes, $next->behindCarMinutes),
        );
    }

    public function isSameAs(self $other): bool
    {
        $isOtherLevel = $this->cause === Cause::Unexplained && abs(($other->levelKw ?? 0.0) - ($this->levelKw ?? 0.0)) > self::SAME_LEVEL * ($this->levelKw ?? 0.0);

        return $this->cause === $other->cause && $this->linkId === $other->linkId && ! $isOtherLevel
            && ($this->limit === $other->limit || ($this->limit !== null && $other->limit !== null && abs($this->limit - $other->limit) <= self::SAME_LIMIT * $this->limit));
    }
}
