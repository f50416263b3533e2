<?php

declare(strict_types=1);

namespace Harmozon\Core\Review\Causes;

use Harmozon\Core\Record\EventCode;
use Harmozon\Core\Review\Cause;
use Harmozon\Core\Review\CauseEvidence;
use Harmozon\Core\Review\CauseRule;
use Harmozon\Core\Review\Confidence;
use Harmozon\Core\Review\Finding;
use Harmozon\Core\Review\PowerMatch;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;

/** About half of what was expected, or as much as the cabinet's policy leaves, with a neighbour known, noted, or likely. */
final class Shared implements CauseRule
{
    private const FROM_RATIO = 0.4;

    private const TO_RATIO = 0.65;

    /** This close to the share that the policy leaves counts as at it. */
    private const AT_SHARE = 0.03;

    /** A segment began with a noted event if both are this close together (s). */
    private const WITH_S = 120.0;

    public function find(CauseEvidence $evidence): ?Finding
    {
        $segment = $evidence->segment;
        if ($segment->ratio === null || $segment->ratio >= PowerMatch::NEAR_FROM_SHARE) {
            return null;
        }
        $came = $evidence->noted(EventCode::NeighbourCame);
        $left = $evidence->noted(EventCode::NeighbourLeft);
        $isHalf = $segment->ratio >= self::FROM_RATIO && $segment->ratio <= self::TO_RATIO;
        $isShare = $this->isShare($evidence);
        [$share, $minutes] = [Amount::ofHundred($segment->ratio), Amount::minutes($segment->seconds() / 60)];
        // What was noted tells it however short it is, and while the reference falls.
        if (($isHalf || $isShare) && ($segment->isSteadyKw || $segment->isSteadyAmps) && (self::near($came, $segment->fromS) || self::near($left, $segment->toS))) {
            return new Finding(Cause::Sharing, Confidence::High, Message::of('evidence.sharing_with', share: $share, minutes: $minutes));
        }
        $isLevel = $segment->hasLevelKw || $segment->hasLevelAmps;

        return match (true) {
            $isLevel && $isHalf && $this->isBeside($evidence, $came, $left) => new Finding(Cause::Sharing, Confidence::Low, Message::of('evidence.sharing', share: $share, minutes: $minutes)),
            $segment->hasLevelKw && $isShare => new Finding(Cause::Sharing, Confidence::Low, Message::of('evidence.sharing_share', kw: Amount::kw($segment->kw), minutes: $minutes)),
            default => null,
        };
    }

    /** Whether it is what the cabinet's policy leaves beside a neighbour. */
    private function isShare(CauseEvidence $evidence): bool
    {
        $cabinet = $evidence->answer()->chain->outlet->feed->cabinet;
        $shares = [$cabinet?->shareKw(), $cabinet?->shareOnceJoinedKw()];
        $kw = $evidence->segment->kw;

        return $kw !== null && array_filter($shares, static fn (?float $share): bool => $share !== null && $share > 0.0 && abs($kw / $share - 1) <= self::AT_SHARE) !== [];
    }

    /**
     * Whether a neighbour was there at some time of the segment, as far as is known.
     *
     * @param  list<float>  $came
     * @param  list<float>  $left
     */
    private function isBeside(CauseEvidence $evidence, array $came, array $left): bool
    {
        $isThere = $evidence->answer()->chain->outlet->feed->cabinet?->partnerActive === true;
        $turns = [...array_map(static fn (float $s): array => [$s, true], $came), ...array_map(static fn (float $s): array => [$s, false], $left)];
        sort($turns);
        // One who leaves was there before.
        $isThere = $isThere || ($turns[0][1] ?? true) === false;
        foreach ($turns as [$s, $comes]) {
            if ($s > $evidence->segment->fromS) {
                return $isThere || ($comes && $s < $evidence->segment->toS);
            }
            $isThere = $comes;
        }

        return $isThere;
    }

    /** @param  list<float>  $times */
    private static function near(array $times, float $tS): bool
    {
        return array_filter($times, static fn (float $s): bool => abs($s - $tS) <= self::WITH_S) !== [];
    }
}
