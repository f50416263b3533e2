<?php

declare(strict_types=1);

namespace Harmozon\Core\Review;

use Harmozon\Core\Power\Duty;
use Harmozon\Core\Power\HeatLink;
use Harmozon\Core\Power\HeatState;
use Harmozon\Core\Words\Message;

/** A session's current next to what a piece with a boost rating allowed at every moment, and its thermal load. */
final readonly class DutyStrip
{
    /** As many points as a strip on a screen can show apart. */
    private const MOST = 300;

    /**
     * @param  list<array{tS: float, amps: float, allowedA: float, theta: float}>  $points
     * @param  float|null  $spentAtS  when its boost was spent; null when it never was, or it has none
     */
    private function __construct(public string $linkId, public Message $name, public array $points, public ?float $spentAtS)
    {
    }

    /** @return list<self> of every adapter, and of the cable where it heats; along the chain's limits */
    public static function each(Diagnosis $diagnosis): array
    {
        $reference = $diagnosis->reference;

        return array_map(static fn (HeatLink $link): self => self::of($link, $reference->answer->linkName($link->linkId), $diagnosis->referencePoints), $reference->limits->changing->heat ?? []);
    }

    private static function of(HeatLink $link, Message $name, ReferencePoints $referencePoints): self
    {
        $state = new HeatState($link);
        $points = [];
        $spentAtS = null;
        $last = null;
        $every = max(1, (int) ceil(count($referencePoints->all) / self::MOST));
        foreach ($referencePoints->all as $i => $referencePoint) {
            $amps = $referencePoint->moment->amps;
            if ($amps === null) {
                continue;
            }
            if ($last !== null) {
                $from = $last->moment->amps ?? 0.0;
                $state->take(Duty::meanSquareA2($from, $amps), $from, $amps, max(0.0, $referencePoint->moment->tS - $last->moment->tS));
            }
            $last = $referencePoint;
            $isSpent = $state->isSpent && $link->duty->boostMinutes !== null;
            if ($i % $every === 0 || $i === count($referencePoints->all) - 1 || ($isSpent && $spentAtS === null)) {
                $points[] = ['tS' => $referencePoint->moment->tS, 'amps' => $amps, 'allowedA' => $state->allowsA(), 'theta' => $state->theta];
            }
            $spentAtS ??= $isSpent ? $referencePoint->moment->tS : null;
        }

        return new self($link->linkId, $name, $points, $spentAtS);
    }
}
