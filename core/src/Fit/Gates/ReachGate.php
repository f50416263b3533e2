<?php

declare(strict_types=1);

namespace Harmozon\Core\Fit\Gates;

use Harmozon\Core\Chain\Fact;
use Harmozon\Core\Chain\UnreadFact;
use Harmozon\Core\Equipment\Bay;
use Harmozon\Core\Equipment\Outlet;
use Harmozon\Core\Equipment\PortCorner;
use Harmozon\Core\Equipment\Stall;
use Harmozon\Core\Fit\Figure;
use Harmozon\Core\Fit\Gate;
use Harmozon\Core\Fit\GateName;
use Harmozon\Core\Fit\GateResult;
use Harmozon\Core\Fit\Situation;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Listing;
use Harmozon\Core\Words\Message;

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

    /** With the car across two bays, so that the port is next to the post (m). */
    private const ACROSS_TWO_BAYS_M = 1.0;

    public function judge(Situation $situation): GateResult
    {
        $port = $situation->chain->inlet->port;
        $length = $situation->chain->outlet->fittings->cable?->lengthM;
        $tight = $situation->conditions->visit->towing ? self::tight($situation->chain->outlet) : null;
        if ($port === null || $length === null) {
            return GateResult::unread(GateName::Reach, $port !== null
                ? [UnreadFact::of(Fact::CableLength, $situation->chain)]
                : [UnreadFact::of(Fact::PortCorner, $situation->chain), ...($length === null ? [UnreadFact::of(Fact::CableLength, $situation->chain)] : [])], $tight);
        }

        $reach = $this->park($port, $length);
        $labels = self::labels($situation->chain->outlet->pullThrough());

        return match (true) {
            ! $situation->conditions->visit->towing, $reach->cautions() !== [] => $reach,
            $tight !== null => GateResult::caution(GateName::Reach, $tight, $reach->figures()),
            default => GateResult::pass(GateName::Reach, static fn (): Message => Message::of('reach.pull_through', reach: $reach->reason(), stalls: $labels), $reach->figures()),
        };
    }

    /** A trailer behind the car asks for a pull-through bay; null where there is one. */
    private static function tight(Outlet $outlet): ?Message
    {
        $stalls = $outlet->site->stalls;
        $isRead = $stalls !== [] && array_filter($stalls, static fn (Stall $s): bool => $s->bay === null) === [];
        $faulty = $outlet->stallsOf(Bay::PullThrough);

        return match (true) {
            $outlet->pullThrough() !== [] => null,
            $faulty !== [] => Message::of('reach.pull_through_faulty', stalls: self::labels($faulty)),
            $isRead => Message::of('reach.no_pull_through'),
            default => Message::of('reach.pull_through_unread'),
        };
    }

    /** @param  list<Stall>  $stalls */
    private static function labels(array $stalls): Listing
    {
        return Listing::comma(array_map(static fn (Stall $s): string => $s->label, $stalls));
    }

    private function park(PortCorner $port, float $lengthM): GateResult
    {
        $near = $port->isCentre() ? self::NEAR_CENTRE_M : self::NEAR_CORNER_M;
        $reason = static fn (string $code): \Closure => static fn (): Message => Message::of($code, port: $port->message(), cable: Amount::metres($lengthM));
        $figures = static fn (): array => [new Figure('cable', $lengthM, 'm'), new Figure('needed_near', $near, 'm'), new Figure('needed_far', self::FAR_END_M, 'm')];

        return match (true) {
            $lengthM >= self::FAR_END_M => GateResult::pass(GateName::Reach, $reason('reach.either_way'), $figures),
            $lengthM >= $near && $port->isFront() => GateResult::pass(GateName::Reach, $reason('reach.nose_first'), $figures),
            $lengthM >= $near => GateResult::caution(GateName::Reach, $reason('reach.back_in'), $figures),
            $lengthM >= self::ACROSS_TWO_BAYS_M => GateResult::caution(GateName::Reach, $reason('reach.two_bays'), $figures),
            default => GateResult::caution(GateName::Reach, $reason('reach.too_short'), $figures),
        };
    }
}
