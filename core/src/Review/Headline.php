<?php

declare(strict_types=1);

namespace Harmozon\Core\Review;

use Harmozon\Core\Record\TouchReading;
use Harmozon\Core\Record\Verdict;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;

/** The sentences that matter most: whether ratings held, what cost the most time, what to do next time. */
final class Headline
{
    /** Less is nothing worth telling (minutes). */
    private const LEAST_MINUTES = 1.0;

    /** The session's result in one sentence. */
    public static function of(RecordedSession $session): Message
    {
        $judgement = $session->judgement;
        $dearest = self::dearest($session->diagnosis);

        return match (true) {
            ! self::isSound($session) && $judgement->findings !== [] => $judgement->findings[0],
            $dearest !== null => Message::of('headline.cost', cause: $dearest->finding->cause->message(), minutes: Amount::minutes($dearest->loss->minutes)),
            default => self::besideForecast($session->diagnosis->grade),
        };
    }

    private static function besideForecast(?Grade $grade): Message
    {
        return match (true) {
            $grade === null => Message::of('headline.within'),
            $grade->isAsForecast() => Message::of('headline.as_forecast'),
            $grade->biasKw > 0 => Message::of('headline.more', kw: Amount::kw($grade->biasKw)),
            default => Message::of('headline.off', kw: Amount::kw($grade->meanErrorKw)),
        };
    }

    /** @return list<Message> what felt hot, what it cost, and what to try */
    public static function beside(RecordedSession $session): array
    {
        $hot = TouchReading::caution($session->events);

        return [...($hot === null ? [] : [$hot]), ...self::costs($session)];
    }

    /** @return list<Message> */
    private static function costs(RecordedSession $session): array
    {
        $cost = self::dearest($session->diagnosis) ?? self::slowest($session->diagnosis);
        $limit = self::limit($session);

        return match (true) {
            $cost !== null => [...($limit === null ? [] : [$limit]), $cost->finding->tryNext],
            $session->diagnosis->grade !== null => [Message::of('headline.no_loss')],
            default => [],
        };
    }

    /** What made it longer than forecast, or than the car alone would take; empty if the first sentence says so already. */
    public static function limit(RecordedSession $session): ?Message
    {
        $dearest = self::dearest($session->diagnosis);
        $slow = self::slowest($session->diagnosis);

        return match (true) {
            $dearest !== null && self::isSound($session) => null,
            $dearest !== null => Message::of('headline.lost', minutes: Amount::minutes($dearest->loss->minutes), cause: $dearest->finding->cause->message()),
            $slow !== null => Message::of('headline.behind_car', minutes: Amount::minutes($slow->loss->behindCarMinutes), cause: $slow->finding->cause->message()),
            default => null,
        };
    }

    private static function isSound(RecordedSession $session): bool
    {
        return $session->judgement->verdict === Verdict::Passed || $session->judgement->verdict === Verdict::PassedIndicative;
    }

    /** What cost the most, where that is worth telling. */
    public static function dearest(Diagnosis $diagnosis): ?LimitedSegment
    {
        $dearest = $diagnosis->dearest();

        return $dearest !== null && ($dearest->loss->minutes ?? 0.0) >= self::LEAST_MINUTES ? $dearest : null;
    }

    /** What limited it most compared with the car alone, as forecast. */
    private static function slowest(Diagnosis $diagnosis): ?LimitedSegment
    {
        $slowest = null;
        foreach ($diagnosis->heldBackBy as $limited) {
            if (! $limited->finding->cause->isCars() && ! $limited->finding->cause->isOpen() && ($limited->loss->behindCarMinutes ?? 0.0) >= max(self::LEAST_MINUTES, $slowest->loss->behindCarMinutes ?? 0.0)) {
                $slowest = $limited;
            }
        }

        return $slowest;
    }
}
