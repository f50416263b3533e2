<?php

declare(strict_types=1);

namespace Harmozon\Core\Review;

use Harmozon\Core\Chain\Conditions;
use Harmozon\Core\Fit\ChainAnswer;
use Harmozon\Core\Forecast\Integrator;
use Harmozon\Core\Record\Event;
use Harmozon\Core\Record\EventCode;
use Harmozon\Core\Record\Gap;
use Harmozon\Core\Record\HandshakeTime;
use Harmozon\Core\Record\Measurements;
use Harmozon\Core\Review\Causes\AcStartUp;
use Harmozon\Core\Review\Causes\AfterBoost;
use Harmozon\Core\Review\Causes\AsExpected;
use Harmozon\Core\Review\Causes\AtPlate;
use Harmozon\Core\Review\Causes\Cold;
use Harmozon\Core\Review\Causes\Continued;
use Harmozon\Core\Review\Causes\CoolingFailed;
use Harmozon\Core\Review\Causes\Derated;
use Harmozon\Core\Review\Causes\Shared;
use Harmozon\Core\Review\Causes\StillCold;
use Harmozon\Core\Review\Causes\Unexplained;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;

/** What limited a session, segment by segment, compared with the forecast for its own chain. */
final readonly class Diagnosis
{
    /** A handshake longer than this, from plugging in to first current, counts as a cause (s). */
    private const LONG_HANDSHAKE_S = 120.0;

    /** A step from no current to current is known this well (s). */
    private const KNOWN_WITHIN_S = 120.0;

    private const FEWEST_READINGS = 3;

    /**
     * @param  list<LimitedSegment>  $heldBackBy  in time
     * @param  float|null  $handshakeS  from plugging in to the first current
     * @param  list<Gap>  $gaps  that nobody read
     */
    private function __construct(public Reference $reference, public array $heldBackBy, public ?float $handshakeS, public ?Grade $grade, public ReferencePoints $referencePoints, public array $gaps)
    {
    }

    /** @param  list<Event>  $events */
    public static function of(ChainAnswer $answer, Conditions $conditions, Measurements $measured, array $events = []): self
    {
        $reference = Reference::of($answer, $conditions, $measured->course);
        $referencePoints = ReferencePoints::of($reference, $measured->course);
        $handshakeS = self::handshakeS($measured, $events);
        if ($measured->count->all < self::FEWEST_READINGS || $referencePoints->all === []) {
            return new self($reference, [self::tooLittle($measured)], $handshakeS, null, $referencePoints, $measured->irregularities->gaps);
        }
        $handshake = self::handshake($reference, $measured, $referencePoints, $handshakeS, $events);

        return new self(
            $reference,
            [...($handshake === null ? [] : [$handshake]), ...self::segments($reference, $referencePoints, $events)],
            $handshakeS,
            Grade::of($reference, $referencePoints),
            $referencePoints,
            $measured->irregularities->gaps,
        );
    }

    /** What cost the most minutes against the reference; null when nothing cost any. */
    public function dearest(): ?LimitedSegment
    {
        $dearest = null;
        foreach ($this->heldBackBy as $limited) {
            if (($limited->loss->minutes ?? 0.0) > ($dearest->loss->minutes ?? 0.0)) {
                $dearest = $limited;
            }
        }

        return $dearest;
    }

    private static function tooLittle(Measurements $measured): LimitedSegment
    {
        return new LimitedSegment(
            new Finding(
                Cause::NotEnoughReadings, Confidence::High,
                $measured->count->all < self::FEWEST_READINGS
                    ? Message::of('evidence.few_readings', count: Amount::count($measured->count->all), needed: Amount::count(self::FEWEST_READINGS))
                    : Message::of('evidence.no_power'),
            ),
            0.0,
            $measured->count->lastTs ?? 0.0,
        );
    }

    /**
     * From noted events, or else from readings without current before the first with it.
     *
     * @param  list<Event>  $events
     */
    private static function handshakeS(Measurements $measured, array $events): ?float
    {
        $noted = HandshakeTime::seconds($events);
        $flowS = $measured->course->firstFlowS();
        $idleS = $measured->course->lastIdleS();
        if ($noted !== null || $flowS === null || $idleS === null || $flowS - $idleS > self::KNOWN_WITHIN_S) {
            return $noted;
        }

        return $flowS - self::pluggedS($events, $flowS);
    }

    /** @param  list<Event>  $events */
    private static function pluggedS(array $events, float $beforeS): float
    {
        $plugged = array_filter($events, static fn (Event $e): bool => $e->code === EventCode::Plugged && $e->tMs / 1000 <= $beforeS);

        return $plugged === [] ? 0.0 : max(array_map(static fn (Event $e): float => $e->tMs / 1000, $plugged));
    }

    /** @param  list<Event>  $events */
    private static function handshake(Reference $reference, Measurements $measured, ReferencePoints $referencePoints, ?float $handshakeS, array $events): ?LimitedSegment
    {
        $flowS = $measured->course->firstFlowS();
        $isNever = $flowS === null;
        $seconds = $handshakeS ?? ($isNever ? ($measured->count->lastTs ?? 0.0) : ($measured->course->lastIdleS() ?? 0.0));
        if ($seconds <= self::LONG_HANDSHAKE_S) {
            return null;
        }
        $phase = self::lastPhase($events);
        $lostS = $seconds - Integrator::HANDSHAKE_S;
        $kwh = static fn (?float $kw): ?float => $kw === null ? null : $kw * $lostS / 3600;
        $soc = $referencePoints->all[0]->soc ?? $reference->conditions->charge->socFrom;
        $toS = $flowS ?? $measured->count->lastTs ?? $seconds;

        return new LimitedSegment(
            new Finding(
                Cause::Handshake,
                $handshakeS !== null || $isNever ? Confidence::High : Confidence::Medium,
                match (true) {
                    $phase === null && $isNever => Message::of('evidence.never_started', minutes: Amount::minutes($seconds / 60)),
                    $phase === null => Message::of('evidence.handshake', minutes: Amount::minutes($seconds / 60)),
                    default => Message::of('evidence.handshake_phase', minutes: Amount::minutes($seconds / 60), phase: $phase),
                },
            ),
            max(0.0, $toS - $seconds),
            $toS,
            levelKw: 0.0,
            loss: new Loss($kwh($reference->kwAt($soc)), $lostS / 60, $kwh($reference->carKwAt($soc)), $lostS / 60),
        );
    }

    /** @param  list<Event>  $events */
    private static function lastPhase(array $events): ?string
    {
        $failed = array_filter($events, static fn (Event $e): bool => $e->code === EventCode::FailedStart && $e->detail !== null);
        usort($failed, static fn (Event $a, Event $b): int => $a->tMs <=> $b->tMs);

        return $failed === [] ? null : $failed[count($failed) - 1]->detail;
    }

    /**
     * @param  list<Event>  $events
     * @return list<LimitedSegment>
     */
    private static function segments(Reference $reference, ReferencePoints $referencePoints, array $events): array
    {
        $segments = $referencePoints->segments();
        /** @var list<LimitedSegment> $limited */
        $limited = [];
        $earlier = [];
        $last = null;
        foreach ($segments as $i => $segment) {
            $last = self::find(new CauseEvidence($segment, $earlier, $segments[$i + 1] ?? null, $last, $segments[$i - 1] ?? null, $reference, $events, $referencePoints));
            $one = self::held($last, $segment);
            $newest = array_pop($limited);
            $limited = match (true) {
                $newest === null => [$one],
                $newest->isSameAs($one) => [...$limited, $newest->and($one)],
                default => [...$limited, $newest, $one],
            };
            $earlier = [...$earlier, ...$segment->referencePoints];
        }

        return $limited;
    }

    private static function find(CauseEvidence $evidence): Finding
    {
        if ($evidence->segment->flows()) {
            // In this order; the first that fits.
            foreach ([new CoolingFailed, new AfterBoost, new AtPlate, new Shared, new Cold, new StillCold, new AcStartUp, new Derated, new Continued, new AsExpected] as $rule) {
                $finding = $rule->find($evidence);
                if ($finding !== null) {
                    return $finding;
                }
            }
        }

        return (new Unexplained)->find($evidence);
    }

    private static function held(Finding $finding, Segment $segment): LimitedSegment
    {
        return new LimitedSegment($finding, $segment->fromS, $segment->toS, $segment->kw, Loss::of($segment->referencePoints));
    }
}
