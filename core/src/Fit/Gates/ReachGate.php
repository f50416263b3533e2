<?php

declare(strict_types=1);

namespace Harmozon\Core\Fit\Gates;

use Harmozon\Core\Chain\Unread;
use Harmozon\Core\Equipment\PortCorner;
use Harmozon\Core\Fit\Figure;
use Harmozon\Core\Fit\Gate;
use Harmozon\Core\Fit\GateName;
use Harmozon\Core\Fit\GateResult;
use Harmozon\Core\Fit\Situation;
use Harmozon\Core\Words\Amount;

/**
 * Gate 7: does the cable reach the port, and how many bays does the car take? Assumes a post in the middle of the
 * bay's head and a car of 4.6 × 1.9 m; never worse than a caution, since a driver can always look.
 */
final class ReachGate implements Gate
{
    /** From the post's holster down and across to a port on the near corner of the car, with slack (m). */
    private const NEAR_CORNER_M = 1.7;

    /** The same to a port in the middle of the near end (m). */
    private const NEAR_CENTRE_M = 1.2;

    /** To a port at the far end of the car, along its side (m). */
    private const FAR_END_M = 4.9;

    /** With the car drawn across two bays, so that the port stands beside the post (m). */
    private const ACROSS_TWO_BAYS_M = 1.0;

    public function judge(Situation $situation): GateResult
    {
        $port = $situation->chain->inlet->port;
        $length = $situation->chain->outlet->cable?->lengthM;
        if ($port === null || $length === null) {
            return GateResult::unread(GateName::Reach, $port !== null
                ? [Unread::cableLength($situation->chain)]
                : [Unread::portCorner($situation->chain), ...($length === null ? [Unread::cableLength($situation->chain)] : [])]);
        }

        return $this->park($port, $length);
    }

    private function park(PortCorner $port, float $lengthM): GateResult
    {
        $near = $port->isCentre() ? self::NEAR_CENTRE_M : self::NEAR_CORNER_M;
        $words = sprintf('Port %s, cable %s', $port->words(), Amount::metres($lengthM));
        $figures = [new Figure('cable', $lengthM, 'm'), new Figure('needed_near', $near, 'm'), new Figure('needed_far', self::FAR_END_M, 'm')];

        return match (true) {
            $lengthM >= self::FAR_END_M => GateResult::pass(GateName::Reach, $words.': reaches either way round, one bay.', $figures),
            $lengthM >= $near && $port->isFront() => GateResult::pass(GateName::Reach, $words.': drive in nose first, one bay.', $figures),
            $lengthM >= $near => GateResult::caution(GateName::Reach, $words.': back in, one bay.', $figures),
            $lengthM >= self::ACROSS_TWO_BAYS_M => GateResult::caution(GateName::Reach, $words.': reaches only across two bays; look for an end stall.', $figures),
            default => GateResult::caution(GateName::Reach, $words.': will probably not reach.', $figures),
        };
    }
}
