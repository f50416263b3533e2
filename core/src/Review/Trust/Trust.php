<?php

declare(strict_types=1);

namespace Harmozon\Core\Review\Trust;

use Harmozon\Core\Equipment\Adapter;
use Harmozon\Core\Review\Median;
use Harmozon\Core\Words\Message;

/** What all sessions with an adapter show about it. */
final readonly class Trust
{
    /** Slopes are shown per this many sessions. */
    public const PER_SESSIONS = 10;

    /** The rise that a sound contact stays below (K), and how many sessions ahead the trend is followed. */
    private const MOST_RISE_K = 50.0;

    private const AHEAD_SESSIONS = 20;

    /** A rise this many median deviations above the median is sudden, if it exceeds rounding (share of the median). */
    private const SUDDEN_DEVIATIONS = 3.0;

    private const ROUNDING = 0.02;

    /** @param  list<Used>  $used  in the order of time */
    private function __construct(
        public Adapter $adapter,
        public array $used,
        public ProvenBy $provenBy,
        public RiseTrend $trend,
        public ?Slope $handshakeSlope,
        public NextTest $nextTest,
    ) {
    }

    /**
     * @param  list<Used>  $used  in the order of time
     * @param  string  $today  Y-m-d
     */
    public static function in(Adapter $adapter, array $used, string $today): self
    {
        $indices = self::known(array_map(static fn (Used $u): ?float => $u->index, $used));
        $slope = Slope::of($indices);
        $amps = $adapter->rating->plate->continuousA;
        $projected = $slope === null || $amps === null ? null : $slope->after(count($indices) - 1 + self::AHEAD_SESSIONS) * ($amps / 100) ** 2;
        $warming = match (true) {
            $slope === null, $indices === [] => Warming::TooFew,
            self::isSudden($indices) => Warming::Sudden,
            $slope->low > 0 && $projected !== null && $projected > self::MOST_RISE_K => Warming::Warming,
            $slope->low > 0 => Warming::Rising,
            default => Warming::Steady,
        };

        return new self(
            adapter: $adapter,
            used: $used,
            provenBy: new ProvenBy(
                self::best($used, static fn (Used $u): ?float => $u->proved->ofContinuous),
                self::best($used, static fn (Used $u): ?float => $u->proved->ofBoost),
            ),
            trend: new RiseTrend($indices, $slope, $warming, $projected),
            handshakeSlope: Slope::of(self::known(array_map(static fn (Used $u): ?float => $u->handshakeS, $used))),
            nextTest: NextTest::of($adapter, $used, $warming, $today),
        );
    }

    /** What its plate says while a test is due; null where none is. */
    public function testDue(): ?Message
    {
        return match (true) {
            ! $this->nextTest->isDue => null,
            $this->used === [] => Message::of('next_test.first_is_due'),
            default => Message::of('next_test.is_due'),
        };
    }

    public function failedStarts(): int
    {
        return array_sum(array_map(static fn (Used $u): int => $u->failedStarts, $this->used));
    }

    /** The usual seconds of its handshakes; null when none was read. */
    public function medianHandshakeS(): ?float
    {
        return Median::of(array_map(static fn (Used $u): ?float => $u->handshakeS, $this->used));
    }

    /** @param  non-empty-list<float>  $indices */
    private static function isSudden(array $indices): bool
    {
        $median = Median::of($indices);
        $deviation = Median::of(array_map(static fn (float $i): float => abs($i - $median), $indices));

        return max(self::SUDDEN_DEVIATIONS * $deviation, self::ROUNDING * $median) < $indices[count($indices) - 1] - $median;
    }

    /**
     * Of several equal ones the first.
     *
     * @param  list<Used>  $used
     * @param  \Closure(Used): (float|null)  $share
     */
    private static function best(array $used, \Closure $share): ?Used
    {
        $best = null;
        foreach ($used as $one) {
            if ($share($one) !== null && ($best === null || $share($one) > $share($best))) {
                $best = $one;
            }
        }

        return $best;
    }

    /**
     * @param  list<float|null>  $values
     * @return list<float>
     */
    private static function known(array $values): array
    {
        return array_values(array_filter($values, static fn (?float $v): bool => $v !== null));
    }
}
