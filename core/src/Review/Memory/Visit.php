<?php

declare(strict_types=1);

namespace Harmozon\Core\Review\Memory;

use Harmozon\Core\Equipment\Quantity;
use Harmozon\Core\Record\Event;
use Harmozon\Core\Record\EventCode;
use Harmozon\Core\Review\Cause;
use Harmozon\Core\Review\HeldBack;
use Harmozon\Core\Review\Recorded;

/** What one session says of the stall it was at. */
final readonly class Visit
{
    /**
     * @param  string  $stall  what stands on it; empty when nobody noted it
     * @param  string  $day  Y-m-d
     * @param  bool  $started  whether current flowed
     * @param  int  $failedStarts  noted there
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

    /** @param  list<Event>  $events */
    public static function of(Recorded $recorded, array $events, string $day): self
    {
        $has = static fn (Cause $cause): bool => array_filter($recorded->diagnosis->heldBackBy, static fn (HeldBack $h): bool => $h->finding->cause === $cause) !== [];
        $measured = $recorded->judgement->measured;

        return new self(
            $recorded->answer->chain->outlet->id, $recorded->stall ?? '', $day, $measured->flowed(),
            count(array_filter($events, static fn (Event $e): bool => $e->code === EventCode::FailedStart)),
            $measured->peak(Quantity::Kw)?->value, new StallSigns($has(Cause::DeratedStall), $has(Cause::CoolingFailed)), $recorded->answer->outcome->mayFlow(),
        );
    }

    public function isGood(): bool
    {
        return $this->started && $this->failedStarts === 0 && ! $this->signs->derated && ! $this->signs->coolingFailed;
    }

    /** How many starts failed that should not have. */
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
