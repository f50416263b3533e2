<?php

declare(strict_types=1);

namespace Harmozon\Core\Review\Memory;

use Harmozon\Core\Equipment\Quantity;
use Harmozon\Core\Record\Event;
use Harmozon\Core\Record\EventCode;
use Harmozon\Core\Review\Cause;
use Harmozon\Core\Review\LimitedSegment;
use Harmozon\Core\Review\RecordedSession;
use Harmozon\Core\Review\ReferencePoint;
use Harmozon\Core\Steps\RungCode;

/** What one session shows about a stall. A session that changes stalls visits each of them. */
final readonly class Visit
{
    /**
     * @param  string  $stall  what stands on it; empty when nobody noted it
     * @param  string  $day  Y-m-d
     * @param  bool  $started  whether current flowed there
     * @param  int  $failedStarts  noted while it was there; a rung of the ladder that was tried is none
     * @param  bool  $isExpected  whether current was to flow at all: that a chain never charges is no fault of the stall
     */
    public function __construct(
        public string $outlet,
        public string $stall,
        public string $day,
        public bool $started,
        public int $failedStarts,
        public ?float $peakKw,
        public StallSigns $signs = new StallSigns,
        public bool $isExpected = true,
    ) {
    }

    /**
     * @param  list<Event>  $events
     * @return non-empty-list<self> in the order of time
     */
    public static function each(RecordedSession $recorded, array $events, string $day): array
    {
        $changes = array_values(array_filter($events, static fn (Event $e): bool => $e->code === EventCode::StallChanged && $e->detail !== null));
        usort($changes, static fn (Event $a, Event $b): int => $a->tMs <=> $b->tMs);
        $visits = [];
        [$label, $fromMs] = [$recorded->stall ?? '', PHP_INT_MIN];
        foreach ($changes as $change) {
            $visits[] = self::between($recorded, $events, $day, $label, $fromMs, $change->tMs);
            [$label, $fromMs] = [$change->detail ?? '', $change->tMs];
        }
        $last = self::between($recorded, $events, $day, $label, $fromMs, PHP_INT_MAX);

        return [...array_values(array_filter($visits, static fn (?self $v): bool => $v !== null)), $last ?? self::nothing($recorded, $day, $label)];
    }

    /**
     * @param  list<Event>  $events
     * @return self|null null where nothing was done there
     */
    private static function between(RecordedSession $recorded, array $events, string $day, string $stall, int $fromMs, int $untilMs): ?self
    {
        $isThere = static fn (float $tMs): bool => $tMs >= $fromMs && $tMs < $untilMs;
        $there = array_values(array_filter($events, static fn (Event $e): bool => $isThere($e->tMs) && $e->code !== EventCode::StallChanged));
        $flowing = array_values(array_filter($recorded->diagnosis->referencePoints->all, static fn (ReferencePoint $m): bool => $isThere($m->moment->tS * 1000) && $m->moment->flows()));
        $isWhole = $fromMs === PHP_INT_MIN && $untilMs === PHP_INT_MAX;
        if (! $isWhole && $there === [] && $flowing === []) {
            return null;
        }
        $measured = $recorded->judgement->measured;
        $has = static fn (Cause $cause): bool => array_filter($recorded->diagnosis->heldBackBy, static fn (LimitedSegment $h): bool => $h->finding->cause === $cause && $isThere($h->fromS * 1000)) !== [];
        $kw = array_filter(array_map(static fn (ReferencePoint $m): ?float => $m->moment->kw, $flowing), static fn (?float $v): bool => $v !== null);

        return new self(
            $recorded->answer->chain->outlet->id, $stall, $day, $isWhole ? $measured->flowed() : $flowing !== [],
            count(array_filter($there, static fn (Event $e): bool => $e->code === EventCode::FailedStart && ! self::isRung($e))),
            $isWhole ? $measured->peak(Quantity::Kw)?->value : ($kw === [] ? null : max($kw)),
            new StallSigns($has(Cause::DeratedStall), $has(Cause::CoolingFailed)), $recorded->answer->outcome->mayFlow(),
        );
    }

    private static function nothing(RecordedSession $recorded, string $day, string $stall): self
    {
        return new self($recorded->answer->chain->outlet->id, $stall, $day, false, 0, null, isExpected: false);
    }

    /** Whether it notes what was tried when nothing started: `join_again`, `another_stall: 3`. */
    private static function isRung(Event $event): bool
    {
        return RungCode::tryFrom(explode(':', $event->detail ?? '')[0]) !== null;
    }

    /** A failed start doesn't count if current flowed there in the end. */
    public function isGood(): bool
    {
        return $this->started && ! $this->signs->derated && ! $this->signs->coolingFailed;
    }

    /** How many starts failed where the session was expected to start. */
    public function failures(): int
    {
        return $this->isExpected ? max($this->failedStarts, $this->started ? 0 : 1) : 0;
    }

    /** @return array<string, mixed> to be kept */
    public function toArray(): array
    {
        return [
            'outlet' => $this->outlet, 'stall' => $this->stall, 'day' => $this->day, 'started' => $this->started, 'failed_starts' => $this->failedStarts,
            'peak_kw' => $this->peakKw, 'derated' => $this->signs->derated, 'cooling_failed' => $this->signs->coolingFailed, 'expected' => $this->isExpected,
        ];
    }

    /** @param  array<string, mixed>  $kept  what toArray() gave */
    public static function fromArray(array $kept): self
    {
        $text = static fn (string $key): string => is_string($kept[$key] ?? null) ? $kept[$key] : '';
        $is = static fn (string $key): bool => ($kept[$key] ?? false) === true;
        $failed = $kept['failed_starts'] ?? 0;
        $peak = $kept['peak_kw'] ?? null;

        return new self($text('outlet'), $text('stall'), $text('day'), $is('started'), is_numeric($failed) ? (int) $failed : 0, is_numeric($peak) ? (float) $peak : null, new StallSigns($is('derated'), $is('cooling_failed')), ($kept['expected'] ?? true) === true);
    }
}
