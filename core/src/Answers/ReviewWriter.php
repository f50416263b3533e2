<?php

declare(strict_types=1);

namespace Harmozon\Core\Answers;

use Harmozon\Core\Forecast\Step;
use Harmozon\Core\Review\Comparison;
use Harmozon\Core\Review\Confounder;
use Harmozon\Core\Review\Diagnosis;
use Harmozon\Core\Review\DutyStrip;
use Harmozon\Core\Review\Grade;
use Harmozon\Core\Review\Headline;
use Harmozon\Core\Review\LimitedSegment;
use Harmozon\Core\Review\Proof;
use Harmozon\Core\Review\RecordedSession;
use Harmozon\Core\Review\Window;
use Harmozon\Core\Review\Windows;
use Harmozon\Core\Words\Voice;

/** Writes what a session is compared with, with the field names of the contract. */
final readonly class ReviewWriter
{
    /** The most points of one thermometer that a curve on a screen can show separately. */
    private const MOST_POINTS = 300;

    public function __construct(private Voice $voice)
    {
    }

    /** @return array{headline: string, beside: list<string>, proof: list<string>} the sentences that matter first */
    public function told(RecordedSession $recorded): array
    {
        return [
            'headline' => $this->voice->say(Headline::of($recorded)),
            'beside' => $this->voice->each(Headline::beside($recorded)),
            'proof' => $this->voice->each(Proof::of($recorded)),
        ];
    }

    /** @return array{cause: string, minutes: float}|null what held a session back the most, for a line of the log; null where it is not worth telling */
    public function line(RecordedSession $recorded): ?array
    {
        $dearest = Headline::dearest($recorded->diagnosis);

        return $dearest === null ? null : ['cause' => $dearest->finding->cause->value, 'minutes' => round($dearest->loss->minutes ?? 0.0, 1)];
    }

    /** @return array<string, mixed> */
    public function duty(DutyStrip $strip): array
    {
        return [
            'link' => $strip->linkId,
            'name' => $this->voice->begin($strip->name),
            'spent_at_s' => FitWriter::rounded($strip->spentAtS),
            'points' => array_map(static fn (array $p): array => ['t_s' => round($p['tS'], 1), 'a' => round($p['amps'], 1), 'allowed_a' => round($p['allowedA'], 1), 'theta' => round($p['theta'], 3)], $strip->points),
        ];
    }

    /** @return list<array{point: string, points: list<array{t_s: float, c: float}>}> what thermometers showed, point by point */
    public function warmth(RecordedSession $recorded): array
    {
        $points = [];
        foreach ($recorded->judgement->measured->course->moments() as $moment) {
            foreach ($moment->celsius as $point => $celsius) {
                $points[$point][] = ['t_s' => round($moment->tS, 1), 'c' => round($celsius, 1)];
            }
        }
        $warmth = [];
        foreach ($points as $point => $of) {
            $every = max(1, (int) ceil(count($of) / self::MOST_POINTS));
            $warmth[] = ['point' => $point, 'points' => array_values(array_filter($of, static fn (int $i): bool => $i % $every === 0, ARRAY_FILTER_USE_KEY))];
        }

        return $warmth;
    }

    /** @return list<array{t_s: float, soc: float, kw: float}> the forecast it is compared with */
    public function expected(Diagnosis $diagnosis): array
    {
        return array_map(static fn (Step $s): array => ['t_s' => round($s->tS, 1), 'soc' => round($s->soc, 2), 'kw' => round($s->flow->kw, 1)], $diagnosis->reference->forecast->course->points);
    }

    /** @return array<string, mixed> what belongs to a judgement */
    public function diagnosis(Diagnosis $diagnosis): array
    {
        return [
            'held_back_by' => array_map($this->heldBack(...), $diagnosis->heldBackBy),
            'handshake_s' => FitWriter::rounded($diagnosis->handshakeS),
            'forecast' => $diagnosis->grade === null ? null : self::grade($diagnosis->grade),
            'windows' => self::windows(Windows::of($diagnosis)),
        ];
    }

    /** @return array{to_charge: list<array<string, mixed>>, added: list<array<string, mixed>>} averages as people quote them, measured beside forecast */
    public static function windows(Windows $windows): array
    {
        $toCharge = $added = [];
        $mean = static fn (Window $w): array => ['mean_kw' => round($w->meanKw(), 1), 'kwh' => round($w->kwh, 2), 'minutes' => round($w->minutes, 2)];
        $more = static fn (Window $w): array => ['percent' => FitWriter::rounded($w->percent, 1), 'km' => FitWriter::rounded($w->km, 1)];
        foreach ($windows->toCharge as $soc => [$read, $forecast]) {
            $toCharge[] = ['soc' => $soc, ...$mean($read), 'gap' => $read->hasGap, 'forecast' => $forecast === null ? null : $mean($forecast)];
        }
        foreach ($windows->added as $minutes => [$read, $forecast]) {
            $added[] = ['after_minutes' => $minutes, ...$more($read), 'gap' => $read->hasGap, 'forecast' => $forecast === null ? null : $more($forecast)];
        }

        return ['to_charge' => $toCharge, 'added' => $added];
    }

    /** @return array<string, mixed> */
    private function heldBack(LimitedSegment $limited): array
    {
        return [
            'cause' => $limited->finding->cause->value,
            'words' => $this->voice->begin($limited->finding->cause->message()),
            'link' => $limited->finding->linkId,
            'of_car' => $limited->finding->cause->isCars(),
            'confidence' => $limited->finding->confidence->value,
            'confidence_words' => $this->voice->say($limited->finding->confidence->message()),
            'from_s' => round($limited->fromS, 1),
            'to_s' => round($limited->toS, 1),
            'level_kw' => FitWriter::rounded($limited->levelKw),
            'lost_kwh' => FitWriter::rounded($limited->loss->kwh, 3),
            'lost_minutes' => FitWriter::rounded($limited->loss->minutes),
            'behind_car_kwh' => FitWriter::rounded($limited->loss->behindCarKwh, 3),
            'behind_car_minutes' => FitWriter::rounded($limited->loss->behindCarMinutes),
            'evidence' => $this->voice->say($limited->finding->evidence),
            'try_next' => $this->voice->say($limited->finding->tryNext),
        ];
    }

    /** @return array<string, mixed> with the field names of `harmozon:compare` */
    public function comparison(Comparison $comparison): array
    {
        $ratio = $comparison->ratio;
        $rises = [];
        foreach ($comparison->risesK as $point => [$with, $without]) {
            $rises[] = ['point' => $point, 'with_k' => FitWriter::rounded($with), 'without_k' => FitWriter::rounded($without)];
        }

        return [
            'answer' => $comparison->answer->value,
            'words' => $this->voice->begin($comparison->answer->message()),
            'shared_soc' => $comparison->sharedSoc,
            'power_ratio' => $ratio === null ? null : ['value' => round($ratio->value, 4), 'low' => round($ratio->low, 4), 'high' => round($ratio->high, 4)],
            'minutes_difference' => FitWriter::rounded($comparison->minutesDifference),
            'rises' => $rises,
            'confounders' => array_map(fn (Confounder $c): array => ['code' => $c->code, 'detail' => $this->voice->say($c->detail)], $comparison->confounders),
            'windows' => ['with' => self::windows($comparison->windows[0]), 'without' => self::windows($comparison->windows[1])],
            'sentence' => $this->voice->say($comparison->sentence),
        ];
    }

    /** @return array{minutes: float, measured_minutes: float, mean_error_kw: float, bias_kw: float} */
    public static function grade(Grade $grade): array
    {
        return [
            'minutes' => round($grade->minutes, 2),
            'measured_minutes' => round($grade->measuredMinutes, 2),
            'mean_error_kw' => round($grade->meanErrorKw, 2),
            'bias_kw' => round($grade->biasKw, 2),
        ];
    }
}
