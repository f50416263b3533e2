<?php

declare(strict_types=1);

namespace Harmozon\Core\Fit;

use Harmozon\Core\Power\LimitSet;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Term;

/** The outcome for a chain. */
enum Outcome: string implements Term
{
    case Charges = 'charges';
    case Limited = 'limited';
    case Unverified = 'unverified';
    case WontCharge = 'wont_charge';
    case NoJoint = 'no_joint';
    case Hazard = 'hazard';

    /** Below this share of what the vehicle would take at an ideal station, a chain is `limited`. */
    public const LIMITED_BELOW = 0.9;

    /**
     * Ranks chains as answers. A hazard ranks above what won't charge, because the driver must know: the pieces are at
     * hand and they fit.
     */
    public function rank(): int
    {
        return match ($this) {
            self::Charges => 5,
            self::Limited => 4,
            self::Unverified => 3,
            self::Hazard => 2,
            self::WontCharge => 1,
            self::NoJoint => 0,
        };
    }

    public function flow(): Flow
    {
        return match ($this) {
            self::Charges, self::Limited => Flow::Yes,
            self::Unverified => Flow::Maybe,
            self::WontCharge, self::NoJoint, self::Hazard => Flow::No,
        };
    }

    /** Whether current is expected to flow, or may flow once the open facts are read. */
    public function mayFlow(): bool
    {
        return $this->flow() !== Flow::No;
    }

    public function message(): Message
    {
        return Message::of('outcome.'.$this->value);
    }

    /** A short form for tight spaces; null where the kW say it. */
    public function short(): ?Message
    {
        return match ($this) {
            self::Charges, self::Limited => null,
            self::Unverified => Message::of('outcome_short.unverified'),
            self::WontCharge => Message::of('outcome_short.wont_charge'),
            self::NoJoint => Message::of('outcome_short.no_joint'),
            self::Hazard => Message::of('outcome_short.hazard'),
        };
    }

    /**
     * What the gates alone say: the first that applies of shape fails, hazard, any other failure, any unknown among
     * gates 1 to 6. A hazard counts only where current can flow.
     *
     * When the shape fails, the gates after it aren't run.
     *
     * @param  bool  $reachesContacts  whether the outlet's current reaches the car although gate 2 fails
     */
    public static function of(GateResults $gates, bool $reachesContacts): self
    {
        $fails = $unknown = $hazard = false;
        $flows = true;
        for ($place = 0; ($gate = $gates->at($place)) !== null; $place++) {
            if ($gate->fails()) {
                if ($gate->gate === GateName::Shape) {
                    return self::NoJoint;
                }
                $fails = true;
                $flows = $flows && ($gate->gate !== GateName::Current || $reachesContacts);
                $hazard = $hazard || $gate->isHazard();
            } elseif ($gate->isUnknown() && $gate->gate !== GateName::Reach) {
                $unknown = true;
            }
        }

        return match (true) {
            $hazard && $flows => self::Hazard,
            $fails => self::WontCharge,
            $unknown => self::Unverified,
            default => self::Charges,
        };
    }

    /**
     * The same with the power taken into account: a chain that gives next to nothing doesn't charge, and one that
     * charges may be limited.
     *
     * @param  float|null  $idealKw  null when the car's own power has not been read in full
     */
    public function held(?float $peakKw, ?float $idealKw): self
    {
        return match (true) {
            $peakKw === null => $this,
            $peakKw < LimitSet::LEAST_KW => self::WontCharge,
            $this === self::Charges && $idealKw !== null && $peakKw < self::LIMITED_BELOW * $idealKw => self::Limited,
            default => $this,
        };
    }
}
