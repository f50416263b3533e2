<?php

declare(strict_types=1);

namespace Harmozon\Core\Answers;

use Harmozon\Core\Equipment\Curve;
use Harmozon\Core\Review\Memory\Grades;
use Harmozon\Core\Review\Memory\LearnedCurve;
use Harmozon\Core\Review\Memory\StallMemory;
use Harmozon\Core\Review\Trust\Slope;
use Harmozon\Core\Review\Trust\Trust;
use Harmozon\Core\Review\Trust\Used;
use Harmozon\Core\Words\Voice;

/** Writes what the log adds up to. */
final readonly class TrustWriter
{
    public function __construct(private Voice $voice)
    {
    }

    /** @return array<string, mixed> */
    public function trust(Trust $trust): array
    {
        return [
            'adapter' => $trust->adapter->id,
            'sessions' => count($trust->used),
            'proven' => [
                'of_continuous' => FitWriter::rounded($trust->provenBy->continuous?->proved->ofContinuous, 4),
                'continuous_session' => $trust->provenBy->continuous?->session,
                'of_boost' => FitWriter::rounded($trust->provenBy->boost?->proved->ofBoost, 4),
                'boost_session' => $trust->provenBy->boost?->session,
            ],
            'indices' => array_values(array_map(static fn (Used $u): array => ['session' => $u->session, 'day' => $u->day, 'index' => FitWriter::rounded($u->index)], array_filter($trust->used, static fn (Used $u): bool => $u->index !== null))),
            'slope' => $trust->trend->slope === null ? null : self::slope($trust->trend->slope),
            'band' => $trust->trend->slope?->band(count($trust->trend->indices)),
            'warming' => $trust->trend->warming->value,
            'warming_words' => $this->voice->begin($trust->trend->warming->message()),
            'asks_for_test' => $trust->trend->warming->asksForTest(),
            'projected_rise_k' => FitWriter::rounded($trust->trend->projectedRiseK, 1),
            'handshake_s' => FitWriter::rounded($trust->medianHandshakeS(), 1),
            'handshake_slope' => $trust->handshakeSlope === null ? null : self::slope($trust->handshakeSlope),
            'failed_starts' => $trust->failedStarts(),
            'next_test' => [
                'due' => $trust->nextTest->isDue,
                'label' => ($due = $trust->testDue()) === null ? null : $this->voice->say($due),
                'by' => $trust->nextTest->by,
                'within_sessions' => $trust->nextTest->withinSessions,
                'why' => $this->voice->say($trust->nextTest->why),
            ],
        ];
    }

    /** @return array<string, mixed> */
    public function stall(StallMemory $memory): array
    {
        return [
            'stall' => $memory->stall,
            'best_kw' => FitWriter::rounded($memory->bestKw, 1),
            'last_good' => $memory->lastGood,
            'failed_starts' => $memory->failedStarts,
            'trouble' => $this->voice->each($memory->trouble),
        ];
    }

    /** @return array<string, mixed> */
    public function grades(?Grades $grades): array
    {
        return $grades === null ? [] : [
            'sessions' => $grades->sessions,
            'mean_minutes' => round($grades->meanMinutes, 2),
            'lean_minutes' => round($grades->leanMinutes, 2),
            'mean_kw' => round($grades->meanKw, 2),
            'bias_kw' => round($grades->biasKw, 2),
            'words' => $this->voice->say($grades->message()),
        ];
    }

    /** @return array<string, mixed> the curve that would be taken, with its spread, beside what was learned */
    public function learned(LearnedCurve $learned, ?Curve $entered): array
    {
        return [
            'sessions' => $learned->sessions,
            'points' => array_map(static fn (array $p): array => ['soc' => $p['soc'], 'kw' => round($p['kw'], 1), 'low' => round($p['low'], 1), 'high' => round($p['high'], 1), 'sessions' => $p['sessions']], $learned->points),
            'curve' => self::curve($learned->over($entered)),
            'low' => self::curve($learned->over($entered, 'low')),
            'high' => self::curve($learned->over($entered, 'high')),
        ];
    }

    /** @return array{per_ten: float, low: float, high: float} */
    private static function slope(Slope $slope): array
    {
        return ['per_ten' => round($slope->perSession * Trust::PER_SESSIONS, 3), 'low' => round($slope->low * Trust::PER_SESSIONS, 3), 'high' => round($slope->high * Trust::PER_SESSIONS, 3)];
    }

    /** @return list<array{float, float}> */
    private static function curve(Curve $curve): array
    {
        return array_map(static fn (float $soc, float $kw): array => [round($soc, 1), round($kw, 1)], $curve->soc, $curve->value);
    }
}
