<?php

declare(strict_types=1);

namespace Harmozon\Core\Chain;

use Harmozon\Core\Equipment\BoostConverter;
use Harmozon\Core\Equipment\Curve;

/**
 * The volts at the plug over a session. Without a mode there is no session: `failure` says why not, or `missing` which
 * facts would be needed to tell.
 */
final readonly class VoltagePlan
{
    /**
     * @param  Curve|null  $plugV  volts at the plug over state of charge; null when there is no session or they are unknown
     * @param  float|null  $stopsAtSoc  where the pack meets the station's ceiling; null when it does not
     * @param  list<Unread>  $missing
     */
    private function __construct(
        public ?VoltageMode $mode,
        public ?Curve $plugV,
        public ?float $stopsAtSoc,
        public ?BoostConverter $converter,
        public ?string $failure,
        public array $missing,
    ) {
    }

    /** @param  list<Unread>  $missing */
    public static function session(VoltageMode $mode, Curve $plugV, ?float $stopsAtSoc = null, ?BoostConverter $converter = null, array $missing = []): self
    {
        return new self($mode, $plugV, $stopsAtSoc, $converter, null, $missing);
    }

    public static function fails(string $why): self
    {
        return new self(null, null, null, null, $why, []);
    }

    /**
     * @param  non-empty-list<Unread>  $missing
     * @param  Curve|null  $plugV  the volts the plug would see if the missing facts turn out well
     */
    public static function unknown(array $missing, ?Curve $plugV = null): self
    {
        return new self($plugV === null ? null : VoltageMode::Native, $plugV, null, null, null, $missing);
    }

    /** The highest volts any piece between station and inlet would see; null without a session. */
    public function highestV(Conditions $conditions): ?float
    {
        return $this->plugV?->highestBetween($conditions->socFrom, $this->endSoc($conditions));
    }

    /** Where the session ends at the latest: the target, or the station's ceiling before it. */
    public function endSoc(Conditions $conditions): float
    {
        return $this->stopsAtSoc ?? $conditions->socTo;
    }
}
