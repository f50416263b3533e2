<?php

declare(strict_types=1);

namespace Harmozon\Core\Review;

use Harmozon\Core\Record\Course;
use Harmozon\Core\Record\Moment;

/** A session's moments next to their reference. */
final readonly class ReferencePoints
{
    /** How long the power ramps up after the first current and after any later start (s). */
    private const FIRST_RAMP_S = 90.0;

    private const LATER_RAMP_S = 30.0;

    /** With fewer moments than this after the ramp, those in the ramp are used, too. */
    private const FEWEST = 3;

    /** The shortest segment (s). */
    private const SHORTEST_S = 60.0;

    /**
     * @param  list<ReferencePoint>  $all  those with A or kW, from the first reading on
     * @param  float  $firstFlowS  when current was first read
     */
    private function __construct(public array $all, public float $firstFlowS)
    {
    }

    public static function of(Reference $reference, Course $course): self
    {
        $moments = array_values(array_filter($course->moments(), static fn (Moment $m): bool => $m->kw !== null || $m->amps !== null));
        $charges = self::charges($reference, $moments);
        $referencePoints = [];
        foreach ($moments as $i => $moment) {
            $soc = $charges[$i];
            $referencePoints[] = new ReferencePoint(
                $moment,
                isset($moments[$i + 1]) ? $moments[$i + 1]->tS : $moment->tS,
                $soc,
                $soc === null ? null : $reference->kwAt($soc),
                $soc === null ? null : $reference->carKwAt($soc),
            );
        }

        return new self($referencePoints, $course->firstFlowS() ?? INF);
    }

    /** @return list<ReferencePoint> from the end of the ramp to the last current, those faster than the eye averaged */
    public function flowing(): array
    {
        $flows = array_keys(array_filter($this->all, static fn (ReferencePoint $m): bool => $m->moment->flows()));
        if ($flows === []) {
            return [];
        }
        $flowing = array_slice($this->all, $flows[0], $flows[count($flows) - 1] - $flows[0] + 1);
        $settled = self::withoutRamps($flowing);

        return AveragedReadings::of(count($settled) < self::FEWEST ? $flowing : $settled);
    }

    /**
     * Leaves out readings taken while the power ramps up.
     *
     * @param  list<ReferencePoint>  $flowing
     * @return list<ReferencePoint>
     */
    private static function withoutRamps(array $flowing): array
    {
        $settled = [];
        $startS = $flowing === [] ? 0.0 : $flowing[0]->moment->tS;
        $rampS = self::FIRST_RAMP_S;
        $flowed = true;
        foreach ($flowing as $referencePoint) {
            if ($referencePoint->moment->flows() && ! $flowed) {
                [$startS, $rampS] = [$referencePoint->moment->tS, self::LATER_RAMP_S];
            }
            $flowed = $referencePoint->moment->flows();
            if (! $flowed || $referencePoint->moment->tS >= $startS + $rampS) {
                $settled[] = $referencePoint;
            }
        }

        return $settled;
    }

    /** @return list<Segment> those too short to be one belong to the one before; before the first, to the ramp */
    public function segments(): array
    {
        $kept = [];
        $short = [];
        foreach (Segmentation::cut($this->flowing()) as $segment) {
            if ($segment->seconds() >= self::SHORTEST_S) {
                $kept[] = $segment->referencePoints;
            } elseif ($kept !== []) {
                $kept[] = [...array_pop($kept), ...$segment->referencePoints];
            } else {
                $short = [...$short, ...$segment->referencePoints];
            }
        }
        if ($kept === [] && $short !== []) {
            $kept[] = $short;
        }

        return array_map(static fn (array $referencePoints): Segment => new Segment($referencePoints), $kept);
    }

    /**
     * How far the charge may be above what the screen shows: nothing where it shows tenths.
     *
     * @param  list<Moment>  $moments
     */
    private static function stepPct(array $moments): float
    {
        foreach ($moments as $moment) {
            if ($moment->soc !== null && $moment->soc !== floor($moment->soc)) {
                return 0.0;
            }
        }

        return 1.0;
    }

    /**
     * The charge at every moment: as read, to the percent; else from the energy since it was last read, or until it first was.
     *
     * @param  list<Moment>  $moments
     * @return list<float|null>
     */
    private static function charges(Reference $reference, array $moments): array
    {
        $kwh = [];
        $sum = 0.0;
        foreach ($moments as $i => $moment) {
            $sum += $moment->kwhSince($moments[$i - 1] ?? null);
            $kwh[] = $sum;
        }
        $first = null;
        foreach ($moments as $i => $moment) {
            if ($moment->soc !== null) {
                $first = $i;
                break;
            }
        }
        [$known, $atKwh, $atS] = $first === null ? [$reference->conditions->charge->socFrom, 0.0, $moments[0]->tS ?? 0.0] : [$moments[$first]->soc, $kwh[$first], $moments[$first]->tS];
        $charges = [];
        $stepPct = self::stepPct($moments);
        foreach ($moments as $i => $moment) {
            $gained = $reference->percentOf($kwh[$i] - $atKwh, $moment->tS - $atS);
            $soc = $moment->soc;
            if ($soc !== null) {
                // A screen of whole percents stands still while the battery charges on.
                $soc = $gained === null || $known === null ? $soc : max($soc, min($soc + $stepPct, $known + $gained));
                [$known, $atKwh, $atS, $gained] = [$soc, $kwh[$i], $moment->tS, 0.0];
            }
            $charges[] = $gained === null || $known === null ? $soc : max(0.0, min(100.0, $known + $gained));
        }

        return $charges;
    }
}
