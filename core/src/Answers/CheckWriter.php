<?php

declare(strict_types=1);

namespace Harmozon\Core\Answers;

use Harmozon\Core\Equipment\Quantity;
use Harmozon\Core\Readings\RejectedRow;
use Harmozon\Core\Readings\RejectedRows;
use Harmozon\Core\Record\Flag;
use Harmozon\Core\Record\Gap;
use Harmozon\Core\Record\Judgement;
use Harmozon\Core\Record\PeakValue;
use Harmozon\Core\Record\PlateRow;
use Harmozon\Core\Record\PlateState;
use Harmozon\Core\Record\Proven;
use Harmozon\Core\Record\TemperatureRow;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Voice;

/** Writes a judgement with the field names of the contract. */
final readonly class CheckWriter
{
    public function __construct(private Voice $voice)
    {
    }

    /** @return array<string, mixed> */
    public function judgement(Judgement $judgement, RejectedRows $rejected = new RejectedRows): array
    {
        $measured = $judgement->measured;

        return [
            'verdict' => $judgement->verdict->value,
            'readings' => $measured->count->all,
            ...$this->rejected($rejected),
            'gaps' => array_map(static fn (Gap $g): array => ['from_s' => $g->fromS, 'to_s' => $g->toS], $measured->irregularities->gaps),
            'gaps_left_out' => $measured->irregularities->gapsLeftOut,
            'peaks' => [
                'v' => self::peak($measured->peak(Quantity::Volts)),
                'a' => self::peak($measured->peak(Quantity::Amps)),
                'kw' => self::peak($measured->peak(Quantity::Kw)),
            ],
            'mean_10min' => ['a' => FitWriter::rounded($measured->means->tenMinA), 'kw' => FitWriter::rounded($measured->means->tenMinKw)],
            'mean_1min' => ['a' => FitWriter::rounded($measured->means->oneMinA), 'kw' => FitWriter::rounded($measured->means->oneMinKw)],
            'energy_kwh' => FitWriter::rounded($measured->energy->kwh, 3),
            'energy_bridged_share' => FitWriter::rounded($measured->energy->bridgedShare, 4),
            'soc_gained' => FitWriter::rounded($measured->energy->socGained()),
            'implied_usable_kwh' => FitWriter::rounded($judgement->impliedUsableKwh),
            'plate_check' => array_map($this->plateRow(...), $judgement->plateCheck),
            'pieces' => array_map(static fn (string $link, PlateState $state): array => ['link' => $link, 'state' => $state->value], array_map(strval(...), array_keys($judgement->pieces())), array_values($judgement->pieces())),
            'proven' => array_map(static fn (Proven $p): array => [
                'adapter' => $p->adapterId,
                'of_continuous' => FitWriter::rounded($p->ofContinuous, 4),
                'of_boost' => FitWriter::rounded($p->ofBoost, 4),
            ], $judgement->proven),
            'temperatures' => array_map(static fn (TemperatureRow $t): array => [
                'point' => $t->point->value,
                'max_c' => FitWriter::rounded($t->maxC),
                'rise_k' => FitWriter::rounded($t->riseK),
                'state' => $t->state->value,
                'index_k_per_100a2' => FitWriter::rounded($t->index($measured->means->tenMinA)),
            ], $judgement->temperatures),
            'flags' => array_map(fn (Flag $f): array => ['t_s' => $f->tMs / 1000.0, 'code' => $f->code->value, 'detail' => $this->voice->say($f->detail)], $measured->irregularities->flags),
            'flags_left_out' => $measured->irregularities->flagsLeftOut,
            'findings' => $this->voice->each($judgement->findings),
            'finding_codes' => FitWriter::codes($judgement->findings),
        ];
    }

    /** @return array{rejected: list<array{line: int, reason: string, code: string}>, rejected_count: int} */
    public function rejected(RejectedRows $rows): array
    {
        return [
            'rejected' => array_map(function (RejectedRow $row): array {
                $problem = $row->reason->figures['problem'] ?? $row->reason;

                return ['line' => $row->line, 'reason' => $this->voice->say($row->reason), 'code' => $problem instanceof Message ? $problem->code : $row->reason->code];
            }, $rows->first),
            'rejected_count' => $rows->count,
        ];
    }

    /** @return array{value: float, t_s: float, provenance: string}|null */
    private static function peak(?PeakValue $peak): ?array
    {
        return $peak === null ? null : ['value' => round($peak->value, 2), 't_s' => $peak->tMs / 1000.0, 'provenance' => $peak->provenance->value];
    }

    /** @return array<string, mixed> */
    private function plateRow(PlateRow $row): array
    {
        return [
            'link' => $row->link->id,
            'name' => $this->voice->say($row->link->name),
            'quantity' => $row->quantity->value,
            'limit' => $row->limit(),
            'limit_is_about' => $row->isAboutLimit(),
            'continuous_limit' => $row->continuousLimit(),
            'peak' => FitWriter::rounded($row->peak?->value),
            'margin' => FitWriter::rounded($row->margin()),
            'utilisation' => FitWriter::rounded($row->utilisation(), Amount::SHARE_DECIMALS),
            'state' => $row->state->value,
            'peak_state' => $row->peakState()->value,
            'minutes_state' => $row->minutesState()?->value,
            'minutes_over_continuous' => FitWriter::rounded($row->boost->minutesOver, 3),
            'minutes_over_unread' => FitWriter::rounded($row->boost->minutesUnread, 3),
            'minutes_possible' => FitWriter::rounded($row->boost->minutesPossible, 3),
            'minutes_words' => ($said = $row->minutesSaid()) === null ? null : $this->voice->say($said),
            'allowed_minutes' => $row->allowedMinutes(),
            'left_minutes' => FitWriter::rounded($row->leftMinutes(), 3),
            'theta_max' => FitWriter::rounded($row->boost->thetaMax, Amount::SHARE_DECIMALS),
            'provenance' => $row->peak?->provenance->value,
            'missing' => $row->missing === null ? null : $this->voice->say($row->missing),
        ];
    }
}
