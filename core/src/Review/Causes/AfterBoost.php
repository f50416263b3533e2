<?php

declare(strict_types=1);

namespace Harmozon\Core\Review\Causes;

use Harmozon\Core\Chain\Chain;
use Harmozon\Core\Power\HeatLink;
use Harmozon\Core\Record\Point;
use Harmozon\Core\Review\Cause;
use Harmozon\Core\Review\CauseEvidence;
use Harmozon\Core\Review\CauseRule;
use Harmozon\Core\Review\Confidence;
use Harmozon\Core\Review\Finding;
use Harmozon\Core\Review\ReferencePoint;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;

/** After some minutes of boost the current falls at once to a piece's continuous rating. */
final class AfterBoost implements CauseRule
{
    /** The boost ended with a fall by this share, within WITHIN_S (s), to within NEAR (share) of the continuous rating. */
    private const FALL = 0.15;

    private const WITHIN_S = 60.0;

    private const NEAR = 0.08;

    /** After at least this share of the boost's minutes. */
    private const SPENT = 0.5;

    /** Amps above the continuous rating by more than this share are a boost. */
    private const TOLERANCE = 0.01;

    public function find(CauseEvidence $evidence): ?Finding
    {
        $amps = $evidence->segment->amps;
        $fromA = $this->before($evidence);
        if ($amps === null || $fromA === null || $amps > $fromA * (1 - self::FALL)) {
            return null;
        }
        $fits = [];
        $before = $evidence->before();
        foreach ($evidence->limits()->changing->heat ?? [] as $link) {
            $off = $this->off($link, $amps);
            $minutes = self::minutesAbove($before, $link->duty->continuousA);
            if ($link->duty->boostMinutes !== null && $off <= self::NEAR && $minutes >= self::SPENT * $link->duty->boostMinutes) {
                $fits[] = [$link, $off, $minutes];
            }
        }
        if ($fits === []) {
            return null;
        }
        usort($fits, fn (array $a, array $b): int => [$this->warmth($evidence, $b[0]), $a[1]] <=> [$this->warmth($evidence, $a[0]), $b[1]]);
        [$link, $off, $minutes] = $fits[0];

        return new Finding(Cause::of($link->code), Confidence::at($off, $evidence->segment->isMeasured), Message::of(
            'evidence.after_boost',
            from: Amount::amps($fromA),
            to: Amount::amps($amps),
            boosted: Amount::minutes($minutes),
            continuous: Amount::amps($link->duty->continuousA),
            link: $evidence->answer()->linkName($link->linkId),
        ), $link->linkId, Message::of('try_next.after_boost', link: $evidence->answer()->linkName($link->linkId)), $link->duty->continuousA);
    }

    /** The amps shortly before it; null when none were read. */
    private function before(CauseEvidence $evidence): ?float
    {
        $last = $evidence->earlier[count($evidence->earlier) - 1] ?? null;
        $near = array_filter($evidence->earlier, static fn (ReferencePoint $m): bool => $m === $last || $m->moment->tS >= $evidence->segment->fromS - self::WITHIN_S);
        $amps = array_filter(array_map(static fn (ReferencePoint $m): ?float => $m->moment->amps, $near), static fn (?float $a): bool => $a !== null);

        return $amps === [] ? null : max($amps);
    }

    /** Distance from its continuous amps, as rated or as reduced by wear and ambient, whichever is nearer (share). */
    private function off(HeatLink $link, float $amps): float
    {
        $of = static fn (float $continuousA): float => $continuousA > 0 ? abs($amps / $continuousA - 1) : INF;

        return min($of($link->duty->continuousA), $of($link->duty->effectiveA));
    }

    /** The highest temperature read; 0 when none was. */
    private function warmth(CauseEvidence $evidence, HeatLink $link): float
    {
        $points = $link->linkId === Chain::CABLE ? [Point::Cable, Point::Handle] : [Point::Adapter];

        return max(array_map(static fn (Point $p): float => $evidence->segment->hottestC($p->value) ?? 0.0, $points));
    }

    /** @param  list<ReferencePoint>  $referencePoints */
    private static function minutesAbove(array $referencePoints, float $continuousA): float
    {
        $above = array_filter($referencePoints, static fn (ReferencePoint $m): bool => $m->moment->amps > $continuousA * (1 + self::TOLERANCE));

        return array_sum(array_map(static fn (ReferencePoint $m): float => $m->seconds(), $above)) / 60;
    }
}
