<?php

declare(strict_types=1);

namespace Harmozon\Core\Review\Causes;

use Harmozon\Core\Power\BindingCode;
use Harmozon\Core\Power\LimitSet;
use Harmozon\Core\Review\Cause;
use Harmozon\Core\Review\CauseEvidence;
use Harmozon\Core\Review\CauseRule;
use Harmozon\Core\Review\Confidence;
use Harmozon\Core\Review\Finding;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;

/** Amps or kW stay level at what a link allows, and no other link allows clearly less. */
final class AtPlate implements CauseRule
{
    private const AT = 0.03;

    /** How much above the lowest limit it may be (share). */
    private const LOWEST = 0.05;

    /** Rounding of shares. */
    private const SAME = 1e-9;

    public function find(CauseEvidence $evidence): ?Finding
    {
        $limits = $evidence->limits();
        if ($limits === null) {
            return null;
        }
        $fits = [
            ...($evidence->segment->hasLevelAmps ? self::fits(self::amps($limits), $evidence->segment->amps ?? 0.0, $limits->kwPerAmp($evidence->soc()), $evidence) : []),
            ...($evidence->segment->hasLevelKw ? self::fits(self::kw($limits), $evidence->segment->kw ?? 0.0, 1.0, $evidence) : []),
        ];
        if ($fits === []) {
            return null;
        }
        // Of several the one that was found before, since its level goes on; else the lowest.
        usort($fits, static fn (array $a, array $b): int => [! self::goesOn($evidence->last, $a['link'], $a['limit']), $a['kw'], $a['code']->precedence()] <=> [! self::goesOn($evidence->last, $b['link'], $b['limit']), $b['kw'], $b['code']->precedence()]);
        ['code' => $code, 'link' => $link, 'limit' => $limit, 'level' => $level, 'isAmps' => $isAmps] = $fits[0];
        $told = ['minutes' => Amount::minutes($evidence->segment->seconds() / 60), 'link' => $evidence->answer()->linkName($link)];

        return new Finding(
            Cause::of($code),
            Confidence::at($level / $limit - 1, $evidence->segment->isMeasured),
            $isAmps
                ? Message::of('evidence.at_amps', level: Amount::amps($level), limit: Amount::amps($limit), minutes: $told['minutes'], link: $told['link'])
                : Message::of('evidence.at_kw', level: Amount::kw($level), limit: Amount::kw($limit), minutes: $told['minutes'], link: $told['link']),
            $link,
            limit: $limit,
        );
    }

    private static function goesOn(?Finding $last, string $linkId, float $limit): bool
    {
        return $last?->limit !== null && $last->linkId === $linkId && abs($limit - $last->limit) <= self::AT * $limit;
    }

    /**
     * @param  list<array{BindingCode, string, float, bool}>  $plates
     * @param  float  $kwPer  kW of one of what the plates are in
     * @return list<array{code: BindingCode, link: string, limit: float, level: float, kw: float, isAmps: bool}>
     */
    private static function fits(array $plates, float $level, float $kwPer, CauseEvidence $evidence): array
    {
        $step = $evidence->reference->stepAt($evidence->soc());
        $fits = [];
        foreach ($plates as [$code, $link, $limit, $isAmps]) {
            if ($limit <= 0.0 || abs($level / $limit - 1) > self::AT + self::SAME) {
                continue;
            }
            $rest = $evidence->limits()?->without($link)->kwThen($evidence->soc(), $step->heat->spent ?? [], $evidence->segment->fromS / 60, $step?->heat->packC);
            if ($limit * $kwPer <= (1 + self::LOWEST) * ($rest ?? INF)) {
                $fits[] = ['code' => $code, 'link' => $link, 'limit' => $limit, 'level' => $level, 'kw' => $limit * $kwPer, 'isAmps' => $isAmps];
            }
        }

        return $fits;
    }

    /** @return list<array{BindingCode, string, float, bool}> of a piece with a boost both figures, and what wear and air leave of the second */
    private static function amps(LimitSet $limits): array
    {
        $plates = [];
        foreach ($limits->amps as $limit) {
            $plates["{$limit->linkId} {$limit->amps}"] = [$limit->code, $limit->linkId, $limit->amps, true];
        }
        foreach ($limits->changing->heat as $link) {
            foreach ([$link->duty->boostA, $link->duty->continuousA, $link->duty->effectiveA] as $amps) {
                $plates["{$link->linkId} {$amps}"] = [$link->code, $link->linkId, $amps, true];
            }
        }

        return array_values($plates);
    }

    /** @return list<array{BindingCode, string, float, bool}> */
    private static function kw(LimitSet $limits): array
    {
        $plates = [];
        foreach ($limits->kw as $limit) {
            $plates[] = [$limit->code, $limit->linkId, $limit->kw, false];
        }
        foreach ($limits->changing->later as $later) {
            $plates[] = [$later->limit->code, $later->limit->linkId, $later->limit->kw, false];
        }

        return $plates;
    }
}
