<?php

declare(strict_types=1);

namespace Harmozon\Core\Chain;

use Harmozon\Core\Equipment\BoostConverter;
use Harmozon\Core\Equipment\Curve;
use Harmozon\Core\Words\Message;

/**
 * The voltage at the plug over a session. Without a mode there is no session: `failure` says why not, or `missing`
 * which facts are needed to tell.
 */
final readonly class VoltagePlan
{
    /**
     * @param  Curve|null  $plugV  volts at the plug over state of charge; null when there is no session or they are unknown
     * @param  float|null  $ceilingAtSoc  where the pack meets the station's ceiling; null when it does not
     * @param  list<UnreadFact>  $missing
     * @param  array{float, float}|null  $possibleV  the least and the most that the highest volts of a session can be, whatever the missing facts are; null: as `plugV` says
     */
    private function __construct(
        public ?VoltageMode $mode,
        public ?Curve $plugV,
        public ?float $ceilingAtSoc,
        public ?BoostConverter $converter,
        public ?Message $failure,
        public array $missing,
        private ?array $possibleV = null,
    ) {
    }

    /**
     * @param  list<UnreadFact>  $missing
     * @param  array{float, float}|null  $possibleV
     */
    public static function session(VoltageMode $mode, Curve $plugV, ?float $ceilingAtSoc = null, ?BoostConverter $converter = null, array $missing = [], ?array $possibleV = null): self
    {
        return new self($mode, $plugV, $ceilingAtSoc, $converter, null, $missing, $possibleV);
    }

    public static function fails(Message $why): self
    {
        return new self(null, null, null, null, $why, []);
    }

    /**
     * @param  non-empty-list<UnreadFact>  $missing
     * @param  array{float, float}  $possibleV  of the sessions that the missing facts leave possible
     * @param  Curve|null  $plugV  the volts the plug would see if the missing facts turn out well
     */
    public static function unknown(array $missing, array $possibleV, ?Curve $plugV = null): self
    {
        return new self($plugV === null ? null : VoltageMode::Native, $plugV, null, null, null, $missing, $possibleV);
    }

    /** The same mode and the same end for a battery of another voltage. */
    public function along(?Curve $packV, ?Curve $insteadOf): self
    {
        $follows = $this->mode === VoltageMode::Native || $this->mode === VoltageMode::SplitPack;
        $plugV = $this->plugV === null || $packV === null || $insteadOf === null || ! $follows
            ? $this->plugV
            : $packV->times($this->plugV->value[0] / $insteadOf->value[0]);

        return new self($this->mode, $plugV, $this->ceilingAtSoc, $this->converter, $this->failure, $this->missing, $this->possibleV);
    }

    /** Whether there may be a session. */
    public function mayRun(): bool
    {
        return $this->failure === null;
    }

    /**
     * The range of the highest voltage between station and inlet; both ends are equal where everything is known, null
     * without a session.
     *
     * @return array{float, float}|null
     */
    public function highestV(Conditions $conditions): ?array
    {
        $highest = $this->plugV?->highestBetween($conditions->charge->socFrom, $this->endSoc($conditions));

        return $this->possibleV ?? ($highest === null ? null : [$highest, $highest]);
    }

    /** Where the session ends at the latest: the target, or the station's ceiling before it. */
    public function endSoc(Conditions $conditions): float
    {
        return $this->ceilingAtSoc ?? $conditions->charge->socTo;
    }
}
