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
use Harmozon\Core\Record\Measured;
use Harmozon\Core\Review\Causes\AfterBoost;
use Harmozon\Core\Review\Causes\AsExpected;
use Harmozon\Core\Review\Causes\AtPlate;
use Harmozon\Core\Review\Causes\Cold;
use Harmozon\Core\Review\Causes\CoolingFailed;
use Harmozon\Core\Review\Causes\Derated;
use Harmozon\Core\Review\Causes\GoesOn;
use Harmozon\Core\Review\Causes\Settling;
use Harmozon\Core\Review\Causes\Shared;
use Harmozon\Core\Review\Causes\StillCold;
use Harmozon\Core\Review\Causes\Unexplained;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;

/** What held a session back, stretch by stretch, against the forecast of its own chain. */
final readonly class Diagnosis
{
    /** Without current for longer than this after plugging in, the handshake held it back (s). */
    private const LONG_HANDSHAKE_S = 120.0;

    /** A step from no current to current is known this well (s). */
    private const KNOWN_WITHIN_S = 120.0;

    private const FEWEST_READINGS = 3;

    /**
     * @param  list<HeldBack>  $heldBackBy  in time
     * @param  float|null  $handshakeS  from plugging in to the first current
     * @param  list<Gap>  $gaps  that nobody read
     */
    private function __construct(public Reference $reference, public array $heldBackBy, public ?float $handshakeS, public ?Grade $grade, public Marks $marks, public array $gaps)
    {
    }

    /** @param  list<Event>  $events */
    public static function of(ChainAnswer $answer, Conditions $conditions, Measured $measured, array $events = []): self
    {
        $reference = Reference::of($answer, $conditions, $measured->course);
        $marks = Marks::of($reference, $measured->course);
        $handshakeS = self::handshakeS($measured, $events);
        if ($measured->count->all < self::FEWEST_READINGS || $marks->all === []) {
            return new self($reference, [self::tooLittle($measured)], $handshakeS, null, $marks, $measured->irregularities->gaps);
        }
        $handshake = self::handshake($reference, $measured, $marks, $handshakeS, $events);

        return new self(
            $reference,
            [...($handshake === null ? [] : [$handshake]), ...self::stretches($reference, $marks, $events)],
            $handshakeS,
            Grade::of($reference, $marks),
            $marks,
            $measured->irregularities->gaps,
        );
    }

    /** What cost the most minutes against the reference; null when nothing cost any. */
    public function dearest(): ?HeldBack
    {
        $dearest = null;
        foreach ($this->heldBackBy as $held) {
            if (($held->loss->minutes ?? 0.0) > ($dearest->loss->minutes ?? 0.0)) {
                $dearest = $held;
            }
        }

        return $dearest;
    }

    private static function tooLittle(Measured $measured): HeldBack
    {
        return new HeldBack(
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
     * By what was noted; else by readings without current before the first with it.
     *
     * @param  list<Event>  $events
     */
    private static function handshakeS(Measured $measured, array $events): ?float
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
    private static function handshake(Reference $reference, Measured $measured, Marks $marks, ?float $handshakeS, array $events): ?HeldBack
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
        $soc = $marks->all[0]->soc ?? $reference->conditions->charge->socFrom;
        $toS = $flowS ?? $measured->count->lastTs ?? $seconds;

        return new HeldBack(
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
     * @return list<HeldBack>
     */
    private static function stretches(Reference $reference, Marks $marks, array $events): array
    {
        $stretches = $marks->stretches();
        /** @var list<HeldBack> $held */
        $held = [];
        $earlier = [];
        $last = null;
        foreach ($stretches as $i => $stretch) {
            $last = self::find(new Clues($stretch, $earlier, $stretches[$i + 1] ?? null, $last, $stretches[$i - 1] ?? null, $reference, $events, $marks));
            $one = self::held($last, $stretch);
            $newest = array_pop($held);
            $held = match (true) {
                $newest === null => [$one],
                $newest->isSameAs($one) => [...$held, $newest->and($one)],
                default => [...$held, $newest, $one],
            };
            $earlier = [...$earlier, ...$stretch->marks];
        }

        return $held;
    }

    private static function find(Clues $clues): Finding
    {
        if ($clues->stretch->flows()) {
            // In this order; the first that fits.
            foreach ([new CoolingFailed, new AfterBoost, new AtPlate, new Shared, new Cold, new StillCold, new Settling, new Derated, new GoesOn, new AsExpected] as $rule) {
                $finding = $rule->find($clues);
                if ($finding !== null) {
                    return $finding;
                }
            }
        }

        return (new Unexplained)->find($clues);
    }

    private static function held(Finding $finding, Stretch $stretch): HeldBack
    {
        return new HeldBack($finding, $stretch->fromS, $stretch->toS, $stretch->kw, Loss::of($stretch->marks));
    }
}
