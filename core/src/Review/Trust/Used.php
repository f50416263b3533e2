<?php

declare(strict_types=1);

namespace Harmozon\Core\Review\Trust;

use Harmozon\Core\Record\Event;
use Harmozon\Core\Record\EventCode;
use Harmozon\Core\Record\Point;
use Harmozon\Core\Record\Verdict;
use Harmozon\Core\Review\RecordedSession;

/** What one session shows about one adapter in its chain. */
final readonly class Used
{
    /**
     * @param  string  $session  names it
     * @param  string  $day  when it began (Y-m-d)
     * @param  float|null  $index  rise ÷ (10-minute mean A / 100)², K per (100 A)²; null where no rise was read
     * @param  int  $failedStarts  noted
     */
    public function __construct(
        public string $session,
        public string $day,
        public Verdict $verdict,
        public ProvenShare $proved,
        public ?float $index,
        public ?float $handshakeS,
        public int $failedStarts,
        public bool $smelt,
    ) {
    }

    /**
     * @param  list<Event>  $events
     * @return array<string, self> by adapter id
     */
    public static function of(RecordedSession $recorded, array $events, string $session, string $day): array
    {
        $count = static fn (EventCode $code): int => count(array_filter($events, static fn (Event $e): bool => $e->code === $code));
        $index = null;
        foreach ($recorded->judgement->temperatures as $row) {
            $index = $row->point === Point::Adapter ? $row->index($recorded->judgement->measured->means->tenMinA) : $index;
        }
        $used = [];
        foreach ($recorded->judgement->proven as $proven) {
            $used[$proven->adapterId] = new self(
                $session, $day, $recorded->judgement->verdict, new ProvenShare($proven->ofContinuous, $proven->ofBoost),
                // A thermometer on a stack of adapters does not say on which.
                count($recorded->judgement->proven) === 1 ? $index : null,
                $recorded->diagnosis->handshakeS, $count(EventCode::FailedStart), $count(EventCode::SmellOrHeat) > 0,
            );
        }

        return $used;
    }

    /** Whether it counts as a test of the piece: its temperature rise was read under load, and no limit was exceeded. */
    public function isTest(): bool
    {
        return $this->index !== null && $this->verdict !== Verdict::Failed && $this->verdict !== Verdict::Incomplete && ! $this->smelt;
    }

    /** @return array<string, mixed> to be kept */
    public function toArray(): array
    {
        return [
            'session' => $this->session, 'day' => $this->day, 'verdict' => $this->verdict->value, 'of_continuous' => $this->proved->ofContinuous, 'of_boost' => $this->proved->ofBoost,
            'index' => $this->index, 'handshake_s' => $this->handshakeS, 'failed_starts' => $this->failedStarts, 'smelt' => $this->smelt,
        ];
    }

    /** @param  array<string, mixed>  $kept  what toArray() gave */
    public static function fromArray(array $kept): self
    {
        $number = static fn (string $key): ?float => is_numeric($kept[$key] ?? null) ? (float) $kept[$key] : null;
        $text = static fn (string $key): string => is_string($kept[$key] ?? null) ? $kept[$key] : '';

        return new self(
            $text('session'), $text('day'), Verdict::tryFrom($text('verdict')) ?? Verdict::Incomplete, new ProvenShare($number('of_continuous'), $number('of_boost')),
            $number('index'), $number('handshake_s'), (int) $number('failed_starts'), ($kept['smelt'] ?? false) === true,
        );
    }
}
