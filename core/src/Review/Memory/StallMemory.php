<?php

declare(strict_types=1);

namespace Harmozon\Core\Review\Memory;

use Harmozon\Core\Equipment\PastTrouble;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;

/** What sessions at a stall show about it. */
final readonly class StallMemory
{
    /** How long failed starts are remembered: 90 days. */
    private const LASTS = 'P90D';

    /**
     * @param  float|null  $bestKw  ever seen
     * @param  string|null  $lastGood  day of the last session without any trouble (Y-m-d)
     * @param  int  $failedStarts  of the last 90 days
     * @param  list<Message>  $trouble  since the last good session
     */
    private function __construct(public string $stall, public ?float $bestKw, public ?string $lastGood, public int $failedStarts, public array $trouble)
    {
    }

    /**
     * @param  list<Visit>  $visits  of one stall, in the order of time
     * @param  string  $today  Y-m-d
     */
    public static function of(array $visits, string $today): self
    {
        $since = (new \DateTimeImmutable($today))->sub(new \DateInterval(self::LASTS))->format('Y-m-d');
        $best = $good = null;
        $failed = $open = 0;
        $derated = $cooling = null;
        foreach ($visits as $visit) {
            $best = $visit->peakKw === null ? $best : max($best ?? 0.0, $visit->peakKw);
            $fails = $visit->day >= $since ? $visit->failures() : 0;
            $failed += $fails;
            if ($visit->isGood()) {
                $good = $visit->day;
                $open = 0;
                $derated = $cooling = null;
            } else {
                $open += $fails;
                $derated = $visit->signs->derated ? $visit : $derated;
                $cooling = $visit->signs->coolingFailed ? $visit : $cooling;
            }
        }
        $stall = $visits[0]->stall ?? '';
        $where = $stall === '' ? Message::of('memory.here') : Message::of('memory.stall', stall: $stall);

        return new self($stall, $best, $good, $failed, [
            ...($open > 0 ? [Message::of('memory.failed_starts', where: $where, count: Amount::count($open))] : []),
            ...($derated === null ? [] : [Message::of('memory.derated', where: $where, kw: Amount::kw($derated->peakKw))]),
            ...($cooling === null ? [] : [Message::of('memory.cooling_failed', where: $where)]),
        ]);
    }

    /**
     * By outlet and stall.
     *
     * @param  list<Visit>  $visits  in the order of time
     * @return array<string, list<self>> by outlet id
     */
    public static function each(array $visits, string $today): array
    {
        $sorted = [];
        foreach ($visits as $visit) {
            $sorted[$visit->outlet][$visit->stall][] = $visit;
        }

        return array_map(static fn (array $stalls): array => array_values(array_map(static fn (array $of): self => self::of($of, $today), $stalls)), $sorted);
    }

    /**
     * What is remembered about an outlet's own stalls.
     *
     * @param  list<self>  $memories
     */
    public static function remembered(array $memories): ?PastTrouble
    {
        $trouble = array_merge(...array_map(static fn (self $m): array => $m->trouble, $memories));

        return $trouble === [] ? null : new PastTrouble($trouble);
    }
}
