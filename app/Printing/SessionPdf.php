<?php

declare(strict_types=1);

namespace App\Printing;

use App\Garage\CurrentGarage;
use App\Models\ChargeSession;
use App\Sessions\Instruments;
use App\Sessions\SessionAnswer;
use Harmozon\Core\Equipment\Quantity;
use Harmozon\Core\Record\Judge;
use Harmozon\Core\Record\PlateState;
use Harmozon\Core\Record\Point;
use Harmozon\Core\Record\Provenance;
use Harmozon\Core\Record\TemperatureState;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Term;
use Harmozon\Core\Words\Voice;

/** A session's report on paper: one sheet with the result, and annexes with the evidence. It says the same as the report on the screen. */
final class SessionPdf
{
    /** The most rows of a list; the rest is only counted. */
    private const LISTED = 40;

    private const HELD = 6;

    public function __construct(private readonly SessionAnswer $answers, private readonly Voice $voice, private readonly CurrentGarage $garage)
    {
    }

    public function of(ChargeSession $session, Paper $paper): string
    {
        $report = $this->answers->of($session);
        $title = $this->voice->say(Message::of('print.title', car: (string) $session->pieces['vehicle']['name'], outlet: (string) $session->pieces['outlet']['name']));
        $sheet = new Sheet($paper, $title, $this->voice->say(Message::of('print.foot', id: $session->ulid)));
        $this->first($sheet, $title, $session, $report);
        $sheet->page();
        $sheet->heading($this->voice->say(Message::of('print.annexes')), 13);
        $this->curves($sheet, $report);
        $this->averages($sheet, $report['judgement']['windows']);
        $this->plates($sheet, $report['judgement']);
        $this->temperatures($sheet, $report);
        $this->happened($sheet, $report);
        $this->instruments($sheet, $session, $report['judgement']);
        $this->cautions($sheet, $report['chain']['cautions'] ?? []);
        $this->notProven($sheet);

        return $sheet->pdf();
    }

    /** @param  array<string, mixed>  $report */
    private function first(Sheet $sheet, string $title, ChargeSession $session, array $report): void
    {
        $judgement = $report['judgement'];
        $at = $session->started_at->copy()->setTimezone($this->garage->zone());
        $sheet->text($this->voice->say(Message::of('print.when', day: $at->format('Y-m-d'), hour: $at->format('H:i'), zone: $this->garage->zone())), true);
        $sheet->heading($title, 15);
        $sheet->text($this->voice->begin(Message::of('print.through', links: implode(' › ', array_column($report['chain']['links'], 'label')))), true);
        $sheet->heading(is_string($judgement['verdict_words']) && $session->finished_at !== null ? $judgement['verdict_words'] : $this->voice->say(Message::of('print.open')), 13);
        $sheet->text($report['review']['headline'], isStrong: true, points: 10);
        if ($report['review']['beside'] !== []) {
            $sheet->text(implode(' ', $report['review']['beside']));
        }
        $sheet->figures($this->figures($session, $judgement));
        $this->power($sheet, $report, 46);
        $this->section($sheet, Message::of('print.findings'), $judgement['findings']);
        $held = array_values(array_map(fn (array $h): array => [$this->voice->say(Message::of('print.cause_of', cause: (string) $h['words'], confidence: (string) $h['confidence_words'])), $this->voice->say(Message::of('print.span', from: self::clock($h['from_s']), to: self::clock($h['to_s']))), (string) $h['evidence'], (string) $h['try_next']], array_slice($judgement['held_back_by'], 0, self::HELD)));
        if ($held !== []) {
            $sheet->heading($this->voice->say(Message::of('print.held_back')));
            $sheet->table([$this->voice->say(Message::of('print.cause')), $this->voice->say(Message::of('print.from_to')), $this->voice->say(Message::of('print.evidence')), $this->voice->say(Message::of('print.try_next'))], $held, [0.24, 0.12, 0.36, 0.28]);
        }
        $this->section($sheet, Message::of('print.proves'), $report['review']['proof']);
        if ($session->note !== '') {
            $this->section($sheet, Message::of('print.note'), [$session->note]);
        }
    }

    /**
     * @param  array<string, mixed>  $judgement
     * @return list<array{string, string}>
     */
    private function figures(ChargeSession $session, array $judgement): array
    {
        $peak = static fn (string $of): ?float => isset($judgement['peaks'][$of]['value']) ? (float) $judgement['peaks'][$of]['value'] : null;
        $soc = $session->summary;
        $figures = [
            [$this->voice->amount(Amount::kwh((float) ($judgement['energy_kwh'] ?? 0))), Message::of('print.energy')],
            [$this->orNotRead($peak('kw'), Amount::kw(...)), Message::of('print.peak_kw')],
            [$this->orNotRead($peak('a'), Amount::amps(...)), Message::of('print.peak_a')],
            [$this->orNotRead($peak('v'), Amount::volts(...)), Message::of('print.peak_v')],
            [$this->orNotRead(isset($judgement['mean_10min']['a']) ? (float) $judgement['mean_10min']['a'] : null, Amount::amps(...)), Message::of('print.mean_a')],
        ];
        if (is_numeric($soc['soc_from'] ?? null) && is_numeric($soc['soc_to'] ?? null)) {
            $figures[] = [$this->voice->say(Message::of('print.charge_span', from: Amount::percent((float) $soc['soc_from']), to: Amount::percent((float) $soc['soc_to']))), Message::of('print.charge')];
        }
        if ($session->paid_amount !== null) {
            $figures[] = [$this->voice->amount(Amount::money($session->paid_amount, (string) $session->paid_currency)), Message::of('print.paid')];
        }
        if (($judgement['energy_kwh'] ?? null) === null) {
            array_shift($figures);
        }

        return array_map(fn (array $f): array => [$f[0], $this->voice->say($f[1])], $figures);
    }

    /** An empty frame, its figures written as the garage writes them. */
    private function chart(string $unit): Curves
    {
        return new Curves($unit, $this->voice->say(Message::of('print.minutes')), fn (float $value): string => $this->voice->amount(Amount::asGiven(round($value, 2))));
    }

    /** @param  array<string, mixed>  $report */
    private function power(Sheet $sheet, array $report, float $height): void
    {
        $kw = self::points($report['curve'], 'kw');
        $curves = $this->chart('kW')->line($this->voice->say(Message::of('print.measured')), count($kw) > 1 ? $kw : []);
        $curves->line($this->voice->say(Message::of('print.forecast')), self::points($report['review']['expected'], 'kw'));
        if (! $curves->isEmpty()) {
            $sheet->heading($this->voice->say(Message::of('print.power')));
            $sheet->chart($curves, $height);
        }
    }

    /** @param  array<string, mixed>  $report */
    private function curves(Sheet $sheet, array $report): void
    {
        foreach ($report['review']['duty'] as $duty) {
            $amps = $this->chart('A')
                ->line($this->voice->say(Message::of('print.amps')), self::points($duty['points'], 'a'))
                ->line($this->voice->say(Message::of('print.allowed')), self::points($duty['points'], 'allowed_a'));
            $heat = $this->chart('%')->line($this->voice->say(Message::of('print.heat')), self::points($duty['points'], 'theta', 100));
            if (! $amps->isEmpty()) {
                $sheet->heading($this->voice->say(Message::of('print.duty', name: (string) $duty['name'])));
                $sheet->chart($amps, 30);
                $sheet->chart($heat, 16);
            }
        }
    }

    /** @param  array<string, mixed>  $windows */
    private function averages(Sheet $sheet, array $windows): void
    {
        $rows = [];
        $mean = fn (?array $w): string => $w === null ? '' : $this->voice->say(Message::of('print.mean_of', kw: Amount::kw((float) $w['mean_kw']), minutes: Amount::minutes((float) $w['minutes']), kwh: Amount::kwh((float) $w['kwh'])));
        $more = fn (?array $w): string => match (true) {
            $w === null || $w['percent'] === null => '',
            $w['km'] === null => $this->voice->say(Message::of('print.added', percent: Amount::percent((float) $w['percent']))),
            default => $this->voice->say(Message::of('print.added_km', percent: Amount::percent((float) $w['percent']), km: Amount::km((float) $w['km']))),
        };
        $named = fn (bool $gap, Message $what): string => $this->voice->say($gap ? Message::of('print.with_gap', what: $what) : $what);
        foreach ($windows['to_charge'] as $w) {
            $rows[] = [$named($w['gap'], Message::of('print.to_charge', percent: Amount::percent((float) $w['soc']))), $mean($w), $mean($w['forecast'])];
        }
        foreach ($windows['added'] as $w) {
            $rows[] = [$named($w['gap'], Message::of('print.after_minutes', minutes: Amount::minutes((float) $w['after_minutes']))), $more($w), $more($w['forecast'])];
        }
        if ($rows !== []) {
            $sheet->heading($this->voice->say(Message::of('print.averages')));
            $sheet->table(['', ...$this->voice->each([Message::of('print.measured'), Message::of('print.forecast')])], $rows, [0.3, 0.35, 0.35]);
        }
    }

    /** @param  array<string, mixed>  $judgement */
    private function plates(Sheet $sheet, array $judgement): void
    {
        $amount = ['v' => Amount::volts(...), 'a' => Amount::amps(...), 'kw' => Amount::kw(...)];
        $rows = [];
        foreach ($judgement['plate_check'] as $row) {
            $of = $amount[$row['quantity']];
            $rows[] = [
                (string) $row['name'],
                $this->voice->say(Quantity::from($row['quantity'])->message()),
                $this->limit($row, $of),
                $row['peak'] === null || $row['provenance'] === null ? $this->orNotRead($row['peak'], $of) : $this->voice->say(Message::of('print.peak_of', peak: $of((float) $row['peak']), provenance: Provenance::from($row['provenance'])->message())),
                $row['utilisation'] === null ? '' : $this->voice->amount(Amount::ofHundred((float) $row['utilisation'])),
                (string) $row['minutes_words'],
                $this->term(PlateState::from($row['state'])),
            ];
        }
        if ($rows !== []) {
            $sheet->heading($this->voice->say(Message::of('print.plates')));
            $sheet->table($this->voice->each([Message::of('print.piece'), Message::of('print.quantity'), Message::of('print.limit'), Message::of('print.peak'), Message::of('print.of_limit'), Message::of('print.boost'), Message::of('print.state')]), $rows, [0.24, 0.09, 0.19, 0.18, 0.08, 0.12, 0.10]);
        }
    }

    /** @param  array<string, mixed>  $report */
    private function temperatures(Sheet $sheet, array $report): void
    {
        $rows = array_values(array_map(fn (array $t): array => [
            $this->voice->begin(Point::from($t['point'])->message()),
            $this->orNotRead($t['max_c'], Amount::celsius(...)),
            $this->orNotRead($t['rise_k'], Amount::kelvin(...)),
            $this->term(TemperatureState::from($t['state'])),
        ], $report['judgement']['temperatures']));
        if ($rows === []) {
            return;
        }
        $sheet->heading($this->voice->say(Message::of('print.temperatures')));
        $sheet->table($this->voice->each([Message::of('print.point'), Message::of('print.most'), Message::of('print.rise'), Message::of('print.state')]), $rows, [0.4, 0.2, 0.2, 0.2]);
        $units = $this->garage->units();
        $curves = $this->chart($units->of(Amount::celsius(null))[1]);
        foreach ($report['review']['warmth'] as $warmth) {
            $points = array_map(static fn (array $p): array => [$p[0], $units->of(Amount::celsius($p[1]))[0]], self::points($warmth['points'], 'c'));
            $curves->line($this->voice->begin(Point::from($warmth['point'])->message()), $points);
        }
        if (! $curves->isEmpty()) {
            $sheet->chart($curves, 30);
        }
    }

    /** @param  array<string, mixed>  $report */
    private function happened(Sheet $sheet, array $report): void
    {
        $lines = $report['handshake_s'] === null ? [] : [$this->voice->say(Message::of('print.handshake', seconds: Amount::count((int) round((float) $report['handshake_s']))))];
        foreach (array_slice($report['events'], 0, self::LISTED) as $event) {
            $lines[] = $event['detail_words'] === null ? $this->voice->say(Message::of('print.event', at: self::clock($event['t_s']), words: (string) $event['words'])) : $this->voice->say(Message::of('print.event_detail', at: self::clock($event['t_s']), words: (string) $event['words'], detail: (string) $event['detail_words']));
        }
        $this->section($sheet, Message::of('print.happened'), [...$lines, ...$report['counted']]);
    }

    /** @param  array<string, mixed>  $judgement */
    private function instruments(Sheet $sheet, ChargeSession $session, array $judgement): void
    {
        $lines = [];
        foreach (Instruments::of($session) as $one) {
            $n = Amount::count($one['readings']);
            $lines[] = $this->voice->say($one['name'] === null ? Message::of('print.source_untold', n: $n) : Message::of('print.source', source: $one['name'], n: $n));
        }
        $lines[] = $this->voice->say(Message::of('print.tolerance', share: Amount::ofHundred(Judge::DEFAULT_TOLERANCE)));
        foreach (array_slice($judgement['gaps'], 0, self::LISTED) as $gap) {
            $lines[] = $this->voice->say(Message::of('print.gap', from: self::clock($gap['from_s']), to: self::clock($gap['to_s'])));
        }
        foreach (array_slice($judgement['flags'], 0, self::LISTED) as $flag) {
            $lines[] = $this->voice->say(Message::of('print.event', at: self::clock($flag['t_s']), words: (string) $flag['detail']));
        }
        $this->section($sheet, Message::of('print.instruments'), $lines);
    }

    /** @param  list<string>  $cautions */
    private function cautions(Sheet $sheet, array $cautions): void
    {
        $this->section($sheet, Message::of('print.cautions'), [...$cautions, $this->voice->say(Message::of('print.handbooks'))]);
    }

    private function notProven(Sheet $sheet): void
    {
        $this->section($sheet, Message::of('print.not_proven'), $this->voice->each([Message::of('print.not_proven_surface'), Message::of('print.not_proven_between'), Message::of('print.not_proven_conditions'), Message::of('print.not_proven_promise')]));
    }

    /**
     * @param  array<array-key, array<string, float|int|null>>  $of
     * @return list<array{float, float|null}> seconds and value
     */
    private static function points(array $of, string $field, float $times = 1.0): array
    {
        return array_values(array_map(static fn (array $p): array => [(float) $p['t_s'], $p[$field] === null ? null : $times * $p[$field]], $of));
    }

    /** @param  array<array-key, mixed>  $lines */
    private function section(Sheet $sheet, Message $heading, array $lines): void
    {
        if ($lines !== []) {
            $sheet->heading($this->voice->say($heading));
            $sheet->items(array_values(array_filter($lines, is_string(...))));
        }
    }

    private function term(Term $term): string
    {
        return $this->voice->say($term->message());
    }

    /** @param  \Closure(float): Amount  $amount */
    /** @param  array<string, mixed>  $row */
    private function limit(array $row, \Closure $amount): string
    {
        return match (true) {
            $row['limit'] === null => $this->voice->say(Message::of('print.not_read')),
            $row['limit_is_about'] => $this->voice->say(Message::of('plate.about', figure: $amount((float) $row['limit']))),
            $row['continuous_limit'] === null, $row['continuous_limit'] === $row['limit'] => $this->voice->amount($amount((float) $row['limit'])),
            default => $this->voice->say(Message::of('print.continuous', a: $amount((float) $row['limit']), continuous: Amount::amps((float) $row['continuous_limit']))),
        };
    }

    private function orNotRead(float|int|null $value, \Closure $amount): string
    {
        return $value === null ? $this->voice->say(Message::of('print.not_read')) : $this->voice->amount($amount((float) $value));
    }

    private static function clock(float|int $seconds): string
    {
        $whole = (int) round($seconds);

        return $whole >= 3600 ? sprintf('%d:%02d:%02d', intdiv($whole, 3600), intdiv($whole, 60) % 60, $whole % 60) : sprintf('%d:%02d', intdiv($whole, 60), $whole % 60);
    }
}
