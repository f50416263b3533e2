<?php

declare(strict_types=1);

namespace Harmozon\Core\Fit;

/** The word for a chain. */
enum Outcome: string
{
    case Charges = 'charges';
    case Limited = 'limited';
    case Unverified = 'unverified';
    case WontCharge = 'wont_charge';
    case NoJoint = 'no_joint';
    case Hazard = 'hazard';

    /** Held below this share of what the vehicle would take at an ideal station, a chain is `limited`. */
    public const LIMITED_BELOW = 0.9;

    /**
     * Which of two chains is the better answer: the further a chain comes through the precedence of outcomes, the
     * higher. A hazard ranks above `no_joint` since it must be told: the pieces are at hand and they fit.
     */
    public function rank(): int
    {
        return match ($this) {
            self::Charges => 5,
            self::Limited => 4,
            self::Unverified => 3,
            self::WontCharge => 2,
            self::Hazard => 1,
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

    public function words(): string
    {
        return match ($this) {
            self::Charges => 'Charges',
            self::Limited => 'Charges, held back',
            self::Unverified => 'Check first',
            self::WontCharge => "Mates, won't charge",
            self::NoJoint => 'No joint',
            self::Hazard => 'Do not connect',
        };
    }

    /**
     * The first that applies of: shape fails, hazard, any other failure, any unknown among gates 1 to 6, held back.
     *
     * @param  list<GateResult>  $gates
     */
    public static function of(array $gates, ?float $peakKw, ?float $idealKw): self
    {
        $hazard = $fails = $unknown = false;
        foreach ($gates as $gate) {
            if ($gate->gate === GateName::Shape && $gate->result === Result::Fail) {
                return self::NoJoint;
            }
            $hazard = $hazard || $gate->isHazard;
            $fails = $fails || $gate->result === Result::Fail;
            $unknown = $unknown || ($gate->result === Result::Unknown && $gate->gate !== GateName::Reach);
        }

        return match (true) {
            $hazard => self::Hazard,
            $fails => self::WontCharge,
            $unknown => self::Unverified,
            $peakKw !== null && $idealKw !== null && $peakKw < self::LIMITED_BELOW * $idealKw => self::Limited,
            default => self::Charges,
        };
    }
}
